import type { H3Event } from 'h3'
import type { JobOptions } from '../jobs/workerPool'

/** Names that a page may call a job by, to ask how it stands. */
export const JOB_NAME = /^[\w-]{8,64}$/

/** A job that is done for whoever asked: it ends when they have gone, and is asked after by the name that they gave it. */
export function waitedFor(event: H3Event): JobOptions {
  const name = getRequestHeader(event, 'job-name')
  return { calledOff: endOf(event), name: name !== undefined && JOB_NAME.test(name) ? name : undefined }
}

/** Ends when whoever asked has gone: what was only begun for them need not be finished. */
function endOf(event: H3Event): AbortSignal {
  const gone = new AbortController()
  event.node.res.once('close', () => gone.abort())
  return gone.signal
}

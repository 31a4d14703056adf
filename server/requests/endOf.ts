import type { H3Event } from 'h3'

/** Ends when whoever asked has gone: what was only begun for them need not be finished. */
export function endOf(event: H3Event): AbortSignal {
  const gone = new AbortController()
  event.node.res.once('close', () => gone.abort())
  return gone.signal
}

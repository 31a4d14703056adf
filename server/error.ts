import type { H3Error, H3Event } from 'h3'
import { barRecords, databasePath } from './db/connection'
import { troubleOf, troubleWith } from './db/trouble'
import { JobFailed } from './jobs/workerPool'

/*
 * Answers when something goes wrong: always a sentence for the maker, never a stack of calls. What is written down says what
 * happened and where, without anything that a maker wrote.
 */

interface ErrorAnswer {
  readonly status: number
  readonly message: string
  readonly data?: unknown
  readonly retryS?: number
}

const FAILED: Readonly<Record<JobFailed['why'], ErrorAnswer>> = {
  'too-long': { status: 503, message: 'This takes longer than there is time for. Nothing was changed. Ask for less at once.' },
  'too-much': { status: 503, message: 'This takes more memory than there is. Nothing was changed. Ask for less at once.' },
  'too-busy': { status: 503, message: 'There is much to do just now. Try again in a moment.', retryS: 2 },
  'called-off': { status: 503, message: 'This was called off. Nothing was changed.' },
  'mistake': { status: 500, message: 'The program made a mistake here. Nothing is lost; the bag can be saved to a file as it is.' },
}

const MISTAKE: ErrorAnswer = { status: 500, message: 'The program made a mistake here. Nothing is lost, and nothing was half saved.' }

function toldOf(error: H3Error): ErrorAnswer {
  const cause = error.cause ?? error
  const trouble = troubleOf(cause, databasePath())
  if (trouble) {
    if (trouble.code === 'corrupt') barRecords(trouble)
    return { status: 503, message: trouble.words, data: { trouble: trouble.code }, retryS: 2 }
  }
  if (cause instanceof JobFailed) return FAILED[cause.why]
  if (error.unhandled || error.fatal) return MISTAKE
  const { statusCode: status, message, data } = error
  return { status, message: message || 'This was not understood.', data }
}

function frames(error: unknown): string {
  return String((error as Error).stack ?? '').split('\n').filter(line => /^\s+at /.test(line)).slice(0, 12).join('\n')
}

function bodyOf({ status, message, data }: ErrorAnswer) {
  return { error: true, statusCode: status, message, ...(data === undefined ? {} : { data }) }
}

/** The answer where something was written that may not be on the disk. */
export function unsyncedOf(error: unknown) {
  const trouble = troubleOf(error, databasePath()) ?? troubleWith('io', databasePath(), error)
  return bodyOf({ status: 503, message: trouble.words, data: { trouble: trouble.code } })
}

/** Answers a request that failed. */
export default function answerError(error: H3Error, event: H3Event): void {
  const told = toldOf(error)
  const { res } = event.node
  if (told.status === 500) {
    const cause = (error.cause ?? error) as Error
    const path = event.path.split('?')[0]!.replace(/[^/\w.-]/g, '').slice(0, 120)
    process.stderr.write(`${event.method} ${path}: ${cause instanceof JobFailed ? cause.message : `${cause.name}\n${frames(cause)}`}\n`)
  }
  if (res.headersSent || res.writableEnded) {
    res.destroy()
    return
  }
  res.writeHead(told.status, {
    'Content-Type': 'application/json', 'Cache-Control': 'no-store', ...(told.retryS ? { 'Retry-After': String(told.retryS) } : {}),
  })
  res.end(JSON.stringify(bodyOf(told)))
}

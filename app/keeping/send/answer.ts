import { type Refusal, refusalWords } from '../refusal'

/*
 * The server's answer to something that was sent, the same for bags and makes. Nothing is thrown: a server that is away is an answer too.
 */

/** Answer to something that was sent. */
export type Answer<T>
  = | { readonly is: 'kept', readonly body: T }
    /** `overtaken`: changed elsewhere meanwhile. `gone`: deleted elsewhere. `unknown`: the server has no such thing. */
    | { readonly is: 'overtaken' | 'gone' | 'unknown' }
    | { readonly is: 'refused' | 'away', readonly words: readonly string[] }

/** Said of a server that does not answer. */
export const AWAY = 'The program does not answer. Is it still running?'

/** Meaning of the statuses that say what to do; after any other one it is tried again. */
const MEANING: Readonly<Record<number, 'overtaken' | 'gone' | 'unknown' | 'refused'>> = {
  404: 'unknown', 409: 'overtaken', 410: 'gone', 413: 'refused', 422: 'refused',
}

/** A page that is closed may still send this much (a limit that browsers set on what outlives a page). */
const OUTLIVES_PAGE_BYTES = 60_000

interface Sent {
  readonly method: 'POST' | 'PUT'
  readonly body: object
  readonly headers?: Readonly<Record<string, string>>
  /** It goes on where the page is closed meanwhile, if it is small enough. */
  readonly outlivesPage?: true
}

/** Sends something once. */
export async function send<T>(path: string, { method, body, headers, outlivesPage }: Sent): Promise<Answer<T>> {
  const text = JSON.stringify(body)
  try {
    const response = await fetch(path, {
      method, headers: { 'Content-Type': 'application/json', ...headers }, body: text,
      keepalive: outlivesPage === true && text.length < OUTLIVES_PAGE_BYTES,
    })
    if (response.ok) return { is: 'kept', body: (await response.json()) as T }
    const is = MEANING[response.status] ?? 'away'
    return is === 'refused' || is === 'away' ? { is, words: await wordsOf(response) } : { is }
  }
  catch {
    return { is: 'away', words: [AWAY] }
  }
}

async function wordsOf(response: Response): Promise<string[]> {
  return refusalWords((await response.json().catch(() => ({}))) as Refusal, response.status)
}

const LAST_RETRY_MS = 30_000

/** How long to wait after so many failures in a row: twice as long each time, half a minute at most. */
export function retryAfterMs(failures: number, firstMs: number): number {
  return Math.min(LAST_RETRY_MS, firstMs * 2 ** Math.max(0, failures - 1))
}

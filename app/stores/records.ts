import { ref } from 'vue'
import { randomWord } from '~/keeping/newId'
import { type Refusal, refusalWords } from '~/keeping/refusal'

/** A document as the server keeps it. */
export interface KeptRecord<D> {
  readonly id: string
  readonly revision: number
  readonly createdAt: string
  readonly updatedAt: string
  readonly document: D
  /** Why this program cannot read it. */
  readonly unreadable?: readonly string[]
}

interface RequestFailure {
  readonly statusCode?: number
  readonly data?: Refusal
}

/** Why the server refused, in words for the maker; each field that must change on a line of its own. */
export function refusalLines(error: unknown): string[] {
  const { statusCode, data = {} } = error as RequestFailure
  return statusCode === undefined ? ['The program does not answer. Is it still running?'] : refusalWords(data, statusCode)
}

interface Ask {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE'
  readonly body?: object | string
  readonly query?: Readonly<Record<string, string | number>>
  readonly headers?: Readonly<Record<string, string>>
  /** Of a file that is no JSON. */
  readonly responseType?: 'blob'
  /** A signal that ends it before it is answered. */
  readonly signal?: AbortSignal
}

/** Asks the server for something, or to do something; it throws what `refusalLines` reads. */
export function ask<T>(path: string, asking: Ask = {}): Promise<T> {
  return ($fetch as (path: string, asking: object) => Promise<unknown>)(path, { retry: 0, ...asking }) as Promise<T>
}

/** Gives the server a document to keep, whatever it holds: what is off is refused with the fields to change. */
export function kept<D>(path: string, document: unknown): Promise<KeptRecord<D>> {
  return ask<KeptRecord<D>>(path, {
    method: 'POST', body: JSON.stringify(document), headers: { 'Content-Type': 'application/json', 'Save-Id': randomWord(20) },
  })
}

/** Requests on their way are waited for, not sent again. */
export function shared<T>(asking: () => Promise<T>): () => Promise<T> {
  let coming: Promise<T> | undefined
  return () => (coming ??= asking().finally(() => (coming = undefined)))
}

export function statusOf(error: unknown): number | undefined {
  return (error as RequestFailure).statusCode
}

/** Runs what talks to the server; what goes wrong is told in `trouble`, not thrown. */
export function useTrying() {
  const trouble = ref<string[]>([])
  async function trying<T>(work: () => Promise<T>): Promise<T | undefined> {
    trouble.value = []
    try {
      return await work()
    }
    catch (error) {
      trouble.value = refusalLines(error)
      return undefined
    }
  }
  return { trouble, trying }
}

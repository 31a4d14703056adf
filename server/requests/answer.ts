import { createHash } from 'node:crypto'
import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import type { H3Event } from 'h3'
import { LRUCache } from 'lru-cache'

const pack = promisify(gzip)

/** Answers that were packed, by their marks: bags are asked for more often than they change. */
const packed = new LRUCache<string, Buffer>({ maxSize: 16_000_000, sizeCalculation: bytes => bytes.length })

/** An answer as JSON, and its mark. */
interface JsonAnswer {
  readonly text: string
  readonly mark: string
}

/** Answers that are still at hand, by what they say: nothing that is answered changes. */
const written = new WeakMap<object, JsonAnswer>()

function marked(text: string): JsonAnswer {
  return { text, mark: `"${createHash('sha1').update(text).digest('base64url')}"` }
}

/** Shorter than this packing saves nothing. */
const WORTH_PACKING_BYTES = 1_400

/**
 * Answers with JSON: packed where the page takes that, and with a mark by which a page that has it already is told so.
 */
export function answerJson(event: H3Event, value: object): Promise<Buffer | string | null> {
  const known = written.get(value) ?? marked(JSON.stringify(value))
  written.set(value, known)
  return answerMarked(event, known)
}

/** The same for what is JSON already. */
export function answerText(event: H3Event, text: string): Promise<Buffer | string | null> {
  return answerMarked(event, marked(text))
}

async function answerMarked(event: H3Event, { text, mark }: JsonAnswer): Promise<Buffer | string | null> {
  setResponseHeaders(event, { 'ETag': mark, 'Cache-Control': 'no-cache', 'Content-Type': 'application/json', 'Vary': 'Accept-Encoding' })
  if (getRequestHeader(event, 'if-none-match') === mark) {
    setResponseStatus(event, 304)
    return null
  }
  if (text.length < WORTH_PACKING_BYTES || !/\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')) return text
  setResponseHeader(event, 'Content-Encoding', 'gzip')
  const known = packed.get(mark) ?? await pack(text, { level: 1 })
  packed.set(mark, known)
  return known
}

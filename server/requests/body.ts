import type { H3Event } from 'h3'

/** Far more than any document needs. */
const MOST_BYTES = 1_000_000
/** A make holds a line for every tap. */
export const MOST_MAKE_BYTES = 40_000_000

/** Of what is too large so much more is read, so that the page hears the answer; whoever sends on is cut off. */
const MOST_THROWN_AWAY = 100_000_000

/** The bytes of a request's body, read to the end but kept only as far as they can be used. Answers 413 to more. */
export async function bytesOf(event: H3Event, most: number): Promise<Buffer> {
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size <= most) chunks.push(chunk)
    else if (size > most + MOST_THROWN_AWAY) break
  }
  if (size > most) {
    throw createError({
      statusCode: 413, statusMessage: 'Too large', message: `This is ${Math.ceil(size / 1e6)} MB; at most ${most / 1e6} MB are taken.`,
    })
  }
  return Buffer.concat(chunks)
}

/** The JSON of a request. Answers 413 to a body too large and 400 to one that is not JSON. */
export async function jsonBody(event: H3Event, most = MOST_BYTES): Promise<unknown> {
  const text = (await bytesOf(event, most)).toString('utf8')
  try {
    return JSON.parse(text) as unknown
  }
  catch {
    throw createError({
      statusCode: 400, statusMessage: 'Not JSON', message: 'This is not JSON: the file may be cut short, or of another kind.',
    })
  }
}

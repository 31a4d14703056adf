import type { H3Event } from 'h3'
import { fileName } from '../../core/readers/export/fileName'

/** Answers with a file to save; its bytes, which may be many, are not copied. */
export function sendFile(
  event: H3Event,
  name: string,
  { body, type, extension }: { body: string | Uint8Array, type: string, extension: string },
): string | Buffer {
  setResponseHeaders(event, {
    'Content-Type': typeof body === 'string' ? `${type}; charset=utf-8` : type,
    'Content-Disposition': `attachment; filename="${fileName(name, extension)}"`,
  })
  return typeof body === 'string' ? body : Buffer.from(body.buffer, body.byteOffset, body.byteLength)
}

/** An open document as a file. */
export function sendDocument(event: H3Event, document: { readonly name: string, readonly fairHollow: string }): string | Buffer {
  return sendFile(event, document.name, {
    body: JSON.stringify(document, null, 2) + '\n', type: 'application/json', extension: `${document.fairHollow}.json`,
  })
}

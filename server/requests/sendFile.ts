import type { H3Event } from 'h3'
import { fileName } from '../../core/export/fileName'

/** Answers with a file to save. */
export function sendFile<B extends string | Buffer>(
  event: H3Event,
  name: string,
  { body, type, extension }: { body: B, type: string, extension: string },
): B {
  setResponseHeaders(event, {
    'Content-Type': typeof body === 'string' ? `${type}; charset=utf-8` : type,
    'Content-Disposition': `attachment; filename="${fileName(name, extension)}"`,
  })
  return body
}

/** An open document as a file. */
export function sendDocument(event: H3Event, document: { readonly name: string, readonly fairHollow: string }): string {
  return sendFile(event, document.name, {
    body: JSON.stringify(document, null, 2) + '\n', type: 'application/json', extension: `${document.fairHollow}.json`,
  })
}

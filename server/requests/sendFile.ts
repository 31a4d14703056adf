import type { H3Event } from 'h3'

/** A file name that every system takes, from what a maker called a thing. */
function fileName(name: string, extension: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^a-zA-Z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
  return `${plain || 'bag'}.${extension}`
}

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

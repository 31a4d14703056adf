import { plainFont } from './plainFont'
import type { Fonts } from './sheet'

/** Where the fonts of the paper lie among the server's own files. */
const FILES = {
  plain: ['text', 'atkinson-hyperlegible-next-latin-400-normal.woff'], bold: ['text', 'atkinson-hyperlegible-next-latin-700-normal.woff'],
  heading: ['heading', 'bricolage-grotesque-latin-700-normal.woff'],
} as const satisfies Readonly<Record<keyof Fonts, readonly [string, string]>>

async function unpacked([base, file]: readonly [string, string]): Promise<Buffer> {
  const raw = await useStorage(`assets:${base}`).getItemRaw<Uint8Array>(file)
  if (!raw) throw new Error(`the font ${file} did not ship with the server`)
  return plainFont(Buffer.from(raw))
}

let kept: Promise<Fonts> | undefined

async function load(): Promise<Fonts> {
  const [plain, bold, heading] = await Promise.all([unpacked(FILES.plain), unpacked(FILES.bold), unpacked(FILES.heading)])
  return { plain, bold, heading }
}

/** The fonts of the paper, unpacked once. */
export function paperFonts(): Promise<Fonts> {
  return (kept ??= load())
}

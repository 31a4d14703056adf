import { readFileSync } from 'node:fs'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { plainFont } from '../../server/paper/plainFont'
import type { Fonts, PaperWish } from '../../server/paper/sheet'

const woff = (name: string) => plainFont(readFileSync(`node_modules/@fontsource/${name}`))
const TEXT = 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin'

/** The fonts that ship with the server. */
export const fonts: Fonts = {
  plain: woff(`${TEXT}-400-normal.woff`), bold: woff(`${TEXT}-700-normal.woff`),
  heading: woff('bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff'),
}
export const A4: PaperWish = { paper: 'a4', large: false }

/** A run of text, and where it stands. */
export interface Item {
  readonly str: string
  readonly x: number
  readonly y: number
  readonly width: number
}

/** A page as a reader of PDFs finds it. */
export interface Page {
  readonly text: string
  readonly items: readonly Item[]
  readonly size: readonly number[]
}

/** What a reader of PDFs finds on each page, text in order. */
export async function pagesOf(pdf: Buffer): Promise<Page[]> {
  const file = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 }).promise
  const pages: Page[] = []
  for (let n = 1; n <= file.numPages; n++) {
    const page = await file.getPage(n)
    const { items } = await page.getTextContent()
    const found = items.flatMap(item =>
      'str' in item ? [{ str: item.str, x: item.transform[4] as number, y: item.transform[5] as number, width: item.width }] : [],
    )
    pages.push({
      text: found
        .map(({ str }) => str)
        .join(' ')
        .replace(/\s+/g, ' '),
      items: found, size: page.view.slice(2),
    })
  }
  return pages
}

/** Text without its spaces: lines are broken anywhere. */
export const plain = (text: string) => text.replace(/\s+/g, '')

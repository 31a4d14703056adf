import { readFileSync } from 'node:fs'
import { knowEveryKind } from '../core/bag/design/everyKind'
import type { Design } from '../core/bag/design/design'
import { draft } from '../core/bag/draft/draft'
import { patternOf } from '../core/readers/words/pattern'
import { patternPdf } from '../server/paper/patternPdf'
import { plainFont } from '../server/paper/plainFont'

knowEveryKind()

const woff = (name: string) => plainFont(readFileSync(`node_modules/@fontsource/${name}-normal.woff`))
const TEXT = 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin'

/** How long a pattern in large print, of about a dozen pages, takes to be put on paper: the middle of ten, after a warm-up. */
export async function paperOf(design: Design): Promise<{ readonly pages: number, readonly ms: number }> {
  const fonts = {
    plain: woff(`${TEXT}-400`), bold: woff(`${TEXT}-700`), heading: woff('bricolage-grotesque/files/bricolage-grotesque-latin-700'),
  }
  const drafted = draft(design)
  const timings: number[] = []
  let pages = 0
  for (let i = 0; i < 12; i++) {
    const from = performance.now()
    const pdf = await patternPdf(drafted, patternOf(drafted, 'us'), { paper: 'a4', large: true }, fonts)
    if (i > 1) timings.push(performance.now() - from)
    pages = [...pdf.toString('latin1').matchAll(/\/Type \/Page\b(?!s)/g)].length
  }
  return { pages, ms: timings.sort((a, b) => a - b)[5]! }
}

import { strFromU8, unzipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import type { Design } from '../../core/bag/design/design'
import { draft } from '../../core/bag/draft/draft'
import { patternOf } from '../../core/readers/words/pattern'
import { parcelOf } from '../../server/paper/parcel'
import { patternPdf } from '../../server/paper/patternPdf'
import { PAPERS } from '../../server/paper/sheet'
import { demoDesigns } from '../pattern/spokenOf'
import { A4, fonts, pagesOf, plain } from './readPdf'

const write = (design: Design, wish = A4) => {
  const drafted = draft(design)
  const pattern = patternOf(drafted, 'us')
  return { drafted, pattern, pdf: patternPdf(drafted, pattern, wish, fonts) }
}

describe('a pattern on paper', () => {
  it.each(demoDesigns())('holds every line of $name whole on one page, within the margins', async ({ design }) => {
    const { pattern, pdf } = write(design)
    const pages = await pagesOf(await pdf)
    const texts = pages.map(({ text }) => plain(text))
    for (const { lines } of pattern.sections) {
      for (const { words, count } of lines)
        expect(
          texts.some(text => text.includes(plain(`${words}. ${count}`))),
          words,
        ).toBe(true)
    }
    pages.forEach(({ items, text, size }, i) => {
      expect(text).toContain(`page ${i + 1} of ${pages.length}`)
      expect(text).toContain(pattern.title)
      for (const { x, y, width, str } of items.filter(one => one.str.trim())) {
        expect(x, str).toBeGreaterThan(36)
        expect(x + width, str).toBeLessThan(size[0]! - 36)
        expect(y, str).toBeGreaterThan(36)
        expect(y, str).toBeLessThan(size[1]! - 36)
      }
    })
  })

  it('embeds its fonts', async () => {
    const pdf = (await write(demoDesigns()[0]!.design).pdf).toString('latin1')
    const named = [...pdf.matchAll(/\/FontName \/(\S+)/g)].map(([, name]) => name!.replace(/^[A-Z]{6}\+/, ''))
    expect(new Set(named)).toEqual(
      new Set(['AtkinsonHyperlegibleNext-Regular', 'AtkinsonHyperlegibleNext-Bold', 'BricolageGrotesque-Bold']),
    )
    expect([...pdf.matchAll(/\/FontFile2/g)].length).toBe(3)
    expect(pdf).not.toContain('/Helvetica')
  })

  it('comes on both papers, and in large print on more pages', async () => {
    const { design } = demoDesigns()[0]!
    for (const paper of ['a4', 'letter'] as const) {
      const small = await pagesOf(await write(design, { paper, large: false }).pdf)
      const large = await pagesOf(await write(design, { paper, large: true }).pdf)
      expect(small[0]!.size.map(Math.round)).toEqual(PAPERS[paper].map(Math.round))
      expect(large.length).toBeGreaterThan(small.length)
    }
  })

  it('prints a question mark for a sign that its font lacks, and never loses a name', async () => {
    const [page] = await pagesOf(await write({ ...demoDesigns()[0]!.design, name: 'Bag ✓ of Ann é' }).pdf)
    expect(page!.text).toContain('Bag ? of Ann é')
  })

  it('says at the head and at the place what stops it', async () => {
    const { design } = demoDesigns().find(({ name }) => name === 'onion-net.json')!
    const pages = await pagesOf(
      await write({ ...design, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 61 } }, colour: 'main' } }).pdf,
    )
    expect(pages[0]!.text).toContain('Not finished')
    expect(pages.map(({ text }) => text).join(' ')).toContain('The pattern stops here')
  })
})

describe('a parcel', () => {
  it('holds the document, the pattern in every form, the table and the chart, and is the same every time', async () => {
    const { drafted, pdf } = write(demoDesigns()[0]!.design)
    const bytes = await pdf
    const parcel = parcelOf(drafted, bytes, 'us', 'brackets', {})
    const files = unzipSync(new Uint8Array(parcel))
    expect(Object.keys(files).sort()).toEqual([
      'bag.design.json', 'pattern.csv', 'pattern.draft.json', 'pattern.md', 'pattern.pdf', 'pattern.svg', 'pattern.txt',
    ])
    expect(JSON.parse(strFromU8(files['bag.design.json']!))).toEqual(JSON.parse(JSON.stringify(drafted.design)))
    expect(Buffer.from(files['pattern.pdf']!).equals(bytes)).toBe(true)
    expect(parcel.equals(parcelOf(drafted, bytes, 'us', 'brackets', {}))).toBe(true)
  })
})

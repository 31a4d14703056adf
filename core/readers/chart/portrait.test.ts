import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { anyLegalDesign } from '../../../tests/arbitraries/legal'
import { demoDesigns } from '../../../tests/pattern/spokenOf'
import { readDesign } from '../../bag/design/read'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { portraitOf } from './portrait'

const portraits = demoDesigns().map(({ design }) => ({ design, portrait: portraitOf(draft(design)) }))

/** The corners of a path of straight lines. */
function cornersOf(path: string): (readonly [number, number])[] {
  return [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const)
}

describe('a bag small enough for a shelf of two thousand', () => {
  it('is as wide and tall as the bag, and stands on the shelf', () => {
    for (const { design, portrait } of portraits) {
      const { sizes } = draft(design)
      expect(portrait.tallCm, design.name).toBeCloseTo(sizes.withHandles?.emptyCm ?? sizes.height.cm, 0)
      const corners = portrait.layers.filter(({ as }) => as === 'fabric' || as === 'net').flatMap(({ path }) => cornersOf(path))
      expect(Math.max(...corners.map(([, y]) => y)), design.name).toBeCloseTo(0, 1)
      expect(-Math.min(...corners.map(([, y]) => y)), design.name).toBeCloseTo(sizes.height.cm, 0)
      expect(2 * Math.max(...corners.map(([x]) => x)), design.name).toBeCloseTo(portrait.wideCm, 0)
    }
  })

  it('wears its yarns, nets, straps and cords, and says its facts in the maker\'s units', () => {
    const of = (name: string) => portraits.find(({ design }) => design.name === name)!.portrait
    expect(of('Onion net').layers.map(({ as }) => as)).toContain('net')
    expect(of('Seed-head pouch').layers.filter(({ as }) => as === 'cord').length).toBe(2)
    expect(of('Windfall apple tote').layers.map(({ as }) => as)).toEqual(expect.arrayContaining(['behind', 'strap', 'inside', 'fabric']))
    for (const { design, portrait } of portraits) {
      const colours = new Set(design.yarns.map(({ colour }) => colour))
      for (const { colour, as } of portrait.layers) if (as !== 'button') expect(colours).toContain(colour)
      expect(portrait.facts).toContain(design.units === 'in' ? ' in tall' : ' cm tall')
      expect(portrait.stop).toBeUndefined()
    }
  })

  it('draws a band of many rounds to its top', () => {
    const plain = newDesign('Plain')
    for (const rounds of [28, 29, 30, 31, 55, 61]) {
      const wall = [{ id: 'high', kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: plain.yarns[0]!.id }] as never
      const drafted = draft({ ...plain, wall })
      const { layers } = portraitOf(drafted)
      const top = (paths: readonly string[]) => -Math.min(...paths.flatMap(cornersOf).map(([, y]) => y))
      expect(top(layers.map(({ path }) => path)), `${rounds} rounds`).toBeCloseTo(drafted.sizes.height.cm, 0)
      // The line below the last round is drawn, too: a round's height under the rim.
      const roundCm = drafted.parts.at(-1)!.size.height.cm / rounds
      expect(top(layers.flatMap(({ lines }) => lines ?? [])), `${rounds} rounds`).toBeCloseTo(drafted.sizes.height.cm - roundCm, 1)
    }
  })

  it('takes little room, whatever the bag: a page of them stays under a hundred thousand bytes', () => {
    for (const { design, portrait } of portraits) expect(JSON.stringify(portrait).length, design.name).toBeLessThan(4_200)
    fc.assert(
      fc.property(anyLegalDesign, (design) => {
        const reading = readDesign(design)
        if (reading.ok) expect(JSON.stringify(portraitOf(draft(reading.document))).length).toBeLessThan(16_000)
      }),
      { ...SEED, numRuns: 60 },
    )
  })
})

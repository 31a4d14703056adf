import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyContents, SEED } from '../../../tests/arbitraries/designs'
import { demoDesigns } from '../../../tests/pattern/spokenOf'
import type { Contents } from '../../parts/contents/contents'
import type { Design } from '../design/design'
import { applyFix } from '../design/edit'
import { newDesign } from '../design/starter'
import { draft } from '../draft/draft'
import { proposal } from './proposal'
import { wholeBag } from './wholeBags'
import { WHOLE_BAGS } from './wholeBagList'

const of = (id: string, contents: Contents): Design => ({
  ...wholeBag(WHOLE_BAGS.find(bag => bag.id === id)!, {
    name: 'Bag', gauge: newDesign('x').gauge, yarn: { name: 'cotton', colour: '#dccba6' }, sizes: {},
  }), contents,
})
const proposedOf = (design: Design) => {
  const found = proposal(design)
  return found.does === 'change' ? applyFix(design, found.fix).design : found.does === 'nothing' ? design : undefined
}
const kinds = ({ wall }: Design) => wall.map(({ kind }) => kind).filter(band => band !== 'adjust')
const BOX: Contents = { kind: 'box', lengthCm: 16, widthCm: 8, heightCm: 20 }
const APPLES: Contents = { kind: 'balls', count: 17, acrossCm: 7 }

describe('a bag for what it must hold', () => {
  it.each(['tote', 'net', 'pouch', 'sling', 'basket', 'wrap', 'satchel', 'tube'])('drafts, holds it and stays what it was: %s', (id) => {
    for (const contents of [BOX, APPLES]) {
      const design = of(id, contents)
      const after = proposedOf(design)!
      const { findings, parts } = draft(after)
      expect(findings.filter(({ weight }) => weight === 'stop'), id).toEqual([])
      expect(findings.some(({ code }) => code === 'contents-fit'), `${id} ${contents.kind}`).toBe(true)
      expect(kinds(after), id).toEqual(kinds(design))
      expect(parts.some(({ casing }) => casing)).toBe(draft(design).parts.some(({ casing }) => casing))
    }
  })

  it('leaves a net alone that holds it', () => {
    const net = demoDesigns().find(({ name }) => name === 'onion-net.json')!.design
    expect(draft(net).findings.some(({ code }) => code === 'contents-fit')).toBe(true)
    expect(proposal(net)).toEqual({ does: 'nothing' })
  })

  it('is no larger than it needs be: seventeen apples of 7 cm, 5 litres poured in, do not get a bag of 14', () => {
    // Poured at 0.6: 17 · (π/6) · 7³ / 0.6 = 5.09 litres; stacked in layers, with a centimetre about and two above, a cylinder of 9.
    const { sizes } = draft(proposedOf(of('pouch', APPLES))!)
    expect(sizes.litres).toBeGreaterThan(5)
    expect(sizes.litres).toBeLessThan(11)
  })

  it('never leaves a bag that stops or does not hold, whatever must go in', () => {
    fc.assert(fc.property(anyContents, fc.constantFrom('tote', 'net', 'pouch', 'tube'), (contents, id) => {
      const design = of(id, contents)
      const found = proposal(design)
      if (found.does !== 'change') return
      const { findings } = draft(applyFix(design, found.fix).design)
      expect(findings.filter(({ weight }) => weight === 'stop')).toEqual([])
      expect(findings.some(({ code }) => code === 'contents-outgrow')).toBe(false)
    }), { numRuns: 25, ...SEED })
  }, 120_000)
})

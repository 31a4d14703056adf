import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Design } from '../../core/bag/design/design'
import { applyFix } from '../../core/bag/design/edit'
import { stacked } from '../../core/bag/design/partIds'
import { readDesign } from '../../core/bag/design/read'
import { newDesign } from '../../core/bag/design/starter'
import { type Draft, draft } from '../../core/bag/draft/draft'
import { exportDraft, EXPORTS } from '../../core/readers/export/exportDraft'
import { MOST_MADE } from '../../core/things/round/stitchBudget'
import { checkRepeat } from '../../core/parts/band/checkRepeat'
import type { WallSpec } from '../../core/parts/wall/wall'
import { SEED } from '../arbitraries/designs'
import { anyLegalDesign } from '../arbitraries/legal'

/** How many random documents are tried; `npm run torture` tries 50,000. */
const TRIED = Number(process.env.LEGAL ?? 150)

/** What a bag was made of in all, straps and strips included. */
function madeIn({ rounds, parts }: Draft): number {
  const rows = parts.flatMap(part => part.pieces.flatMap(piece => piece.rows))
  return [...rounds.map(({ worked }) => worked), ...rows].reduce((sum, { edge }) => sum + edge.count, 0)
}

function bag(wall: readonly object[], more: Partial<Design> = {}): Design {
  const reading = readDesign(JSON.parse(JSON.stringify({ ...newDesign('Heavy'), ...more, wall: stacked(wall as never) })))
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
  return reading.document
}

const solid = (rounds: number): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main' } as never)
const stopOf = ({ findings }: Draft) => findings.find(({ weight }) => weight === 'stop')

describe('everything that a document may hold (law 5)', () => {
  it('is drafted and written out, or stops with a part and what to change; never more is made than may be', () => {
    fc.assert(
      fc.property(anyLegalDesign, (design) => {
        const reading = readDesign(design)
        if (!reading.ok) return
        const drafted = draft(reading.document)
        expect(madeIn(drafted)).toBeLessThanOrEqual(MOST_MADE)
        for (const as of EXPORTS) exportDraft(drafted, as, 'us')
      }),
      { ...SEED, ...(process.env.LEGAL_SEED ? { seed: Number(process.env.LEGAL_SEED) } : {}), numRuns: TRIED },
    )
  }, 100 * TRIED + 60_000)

  it('stops where a bag would take more stitches than it is drafted with, before they are made, and offers what would do', () => {
    const wide = bag(Array.from({ length: 40 }, () => solid(400)))
    const drafted = draft(wide)
    const stop = stopOf(drafted)!
    expect(stop).toMatchObject({ code: 'too-much', weight: 'stop' })
    expect(stop.what).toContain('250,000')
    expect(madeIn(drafted)).toBeLessThanOrEqual(MOST_MADE)
    for (const fix of [stop.fix!, ...(stop.otherFixes ?? [])]) {
      const fixed = applyFix(wide, fix).design
      expect(readDesign(JSON.parse(JSON.stringify(fixed))).ok).toBe(true)
      // What is left above may be too much in its turn, but this part no longer is.
      expect(stopOf(draft(fixed))?.part).not.toBe(stop.part)
    }
  })

  it('stops at a base of which the turn-up or the first band would be too much', () => {
    const disc = { ...newDesign('x').base, increases: 48, size: { pin: { rounds: 90 } } }
    const drafted = draft(bag([solid(20)], { base: disc as never }))
    expect(stopOf(drafted)).toMatchObject({ code: 'too-much', part: 'part-1' })
    expect(stopOf(drafted)!.fix!.label).toBe('Leave this part out')
  })

  it('is the same when part of it is taken over from a draft before (law 4)', () => {
    const before = draft(bag([solid(100), solid(20), solid(5)]))
    for (const rounds of [100, 3000 / 3, 900, 20]) {
      const wall = before.design.wall.map((part, i) => (i === 0 ? { ...part, size: { pin: { rounds } } } : part))
      const design = { ...before.design, wall } as Design
      const [again, anew] = [draft(design, { before }), draft(design)]
      expect(again.findings).toEqual(anew.findings)
      expect(again.rounds.length).toBe(anew.rounds.length)
    }
  })
})

describe('a repeat of the maker\'s own that blows up', () => {
  const own = (...lines: string[]) => ({ id: 'own', name: 'own', lines })

  it('is refused before it is made, with the line', () => {
    const checked = checkRepeat(own('sc in next', '[[[sc in next st] 999 times] 999 times] 999 times'))
    expect(checked).toMatchObject({ ok: false, trouble: { line: 1 } })
    expect(checkRepeat(own('[[[sk next st] 999 times] 999 times] 999 times, sc in next')).ok).toBe(false)
    expect(checkRepeat(own('(999 dc) in next, [ch 1] 999 times')).ok).toBe(false)
  })

  it('stops the band and not the program, however often it is used', () => {
    const design = bag(Array.from({ length: 40 }, () => ({ kind: 'own', repeat: 'own', size: { pin: { rounds: 500 } }, colour: 'main' })), {
      repeats: [own('[[[sc in next st, ch 1] 999 times] 999 times] 999 times')],
    })
    const drafted = draft(design)
    expect(stopOf(drafted)?.part).toBe('part-1')
    expect(madeIn(drafted)).toBeLessThan(MOST_MADE)
  })

  it('is still tried where it is large and sound', () => {
    const lines = Array.from({ length: 24 }, () => 'sc in next 72')
    expect(checkRepeat(own(...lines))).toMatchObject({ ok: true })
    const wide = ['[sc in next, dc in next] 36 times', ...Array.from({ length: 23 }, () => 'sc in next 70, 2 sc in next, sk next st')]
    expect(checkRepeat(own(...wide))).toMatchObject({ ok: true, texture: { asks: { multiple: 72 } } })
  })
})

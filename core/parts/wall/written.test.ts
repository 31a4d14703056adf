import { gaugeOf } from '../../things/gauge/gauge'
import { describe, expect, it } from 'vitest'
import type { Design } from '../../bag/design/design'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { turnedInto } from '../../bag/design/changeKind'
import { applyFix } from '../../bag/design/edit'
import { draft } from '../../bag/draft/draft'
import { divides } from '../part/asks'
import { foundation } from '../../things/round/edge'
import { roundLines } from '../../readers/words/pattern'
import { checkRounds } from './written'
import { demandOf, type WallSpec } from './wall'

const bag = (lines: readonly string[], below: readonly WallSpec[] = []): Design => ({
  ...newDesign('Written'), gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }, turnUp: 'plain',
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 30 } }, colour: 'main' },
  repeats: [{ id: 'mine', name: 'my rounds', lines }], wall: stacked([...below, { kind: 'written', repeat: 'mine',
    colour: 'main' } as WallSpec]),
})
const boxes: WallSpec = { kind: 'boxes', chains: 1, finish: false, size: { pin: { rounds: 2 } }, colour: 'main' }

describe('rounds written freely', () => {
  it('are worked as they stand: increases at chosen places, a round of another stitch', () => {
    const { parts } = draft(bag(['2 sc in next, sc in next 14, 2 sc in next, sc in next 14', '*hdc in next st; rep from * around']))
    expect(parts.at(-1)!.rounds.map(({ edge }) => edge.count)).toEqual([32, 32])
    // A round of sc is half a centimetre tall, one of hdc 0.7 (craft 4; from memory).
    expect(parts.at(-1)!.size.height.cm).toBeCloseTo(1.2, 9)
    const lines = roundLines(draft(bag(['2 sc in next, sc in next 14, 2 sc in next, sc in next 14'])), 'us')
    expect(lines.at(-1)!.words).toBe(
      'Ch 1; beg in same st as join: 2 sc in next st, sc in next 14 sts, 2 sc in next st, sc in next 14 sts; join with sl st to first sc',
    )
  })

  it('go around as often as there is room between what opens and what closes them', () => {
    expect(checkRounds(['sc in next, *2 sc in next, sc in next 2; rep from * around, sc in next 2'], foundation('stitch',
      30))).toEqual({ ok: true, leaves: 39 })
    expect(draft(bag(['*2 sc in next ch-sp; rep from * around'], [boxes])).parts.at(-1)!.edge.count).toBe(30)
  })

  it('that do not come out stop the bag and say where', () => {
    expect(checkRounds(['sc in next 12'], foundation('stitch', 30))).toMatchObject({ ok: false, trouble: { line: 0,
      what: expect.stringContaining('18 of 30') as string } })
    expect(draft(bag(['sc in next 30', 'sc in nowhere'])).parts.at(-1)!.findings[0]).toMatchObject({
      code: 'written-unread', weight: 'stop', what: expect.stringContaining('Line 2') as string,
    })
    expect(draft(bag(['sc in next 40'])).findings.find(({ weight }) => weight === 'stop')?.what).toContain('ran out')
  })

  it('take the counts on which they come out, and no others', () => {
    const design = bag(['sc in next, *sc in next 3, 2 sc in next; rep from * around'])
    const { asks, leaves } = demandOf(design.wall[0]!, { gauge: draft(design).gauge, repeats: design.repeats, hook: { hookMm: 4,
      strands: 1 } })!
    expect([29, 30, 33, 34].map(count => divides(count, asks))).toEqual([true, false, true, false])
    expect(leaves(29)).toBe(36)
    const found = draft({ ...design, wall: stacked([{ kind: 'adjust', stitch: 'sc', to: { want: { divides: true } }, mirrored: true,
      colour: 'main' }, ...design.wall]) })
    expect(found.parts.at(-2)!.edge.count).toBe(29)
  })

  it('a part turned into written rounds brings a plain round of its own along', () => {
    const design = bag([], [])
    const plain = { ...design, repeats: [], wall: stacked([boxes]) }
    const { changes, label } = turnedInto(plain, plain.wall[0]!.id, 'written', { aroundCm: 15, count: 48, gauge: gaugeOf(plain.gauge) })
    const { design: next } = applyFix(plain, { label, changes })
    expect(draft(next).findings.filter(({ weight }) => weight === 'stop')).toEqual([])
    expect(next.repeats).toHaveLength(1)
  })
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDesign, SEED } from '../../../../tests/arbitraries/designs'
import type { Design } from '../../design/design'
import { stacked } from '../../design/partIds'
import { newDesign } from '../../design/starter'
import { gaugeOf } from '../../../things/gauge/gauge'
import { expected } from '../../../making/make/expectedLength'
import { work } from '../../../things/round/workRound'
import { type Draft, draft } from '../draft'
import { isStopped } from '../fold/draftPart'
import type { Measurement } from './measurements'

const TOTE: Design = {
  ...newDesign('Tote'), rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
  gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } } },
  base: { ...newDesign('Tote').base, increases: 6, size: { pin: { rounds: 20 } } },
  wall: stacked([
    { kind: 'solid', stitch: 'sc', size: { want: { heightCm: 8 } }, colour: 'main' },
    { kind: 'solid', stitch: 'sc', size: { want: { heightCm: 13.2 } }, colour: 'main' },
  ]),
}

const rounds = ({ parts }: Draft) => parts.map(part => part.rounds.length)
const says = (drafted: Draft) => drafted.rounds.map(({ worked }) => `${worked.edge.count} ${JSON.stringify(worked.round.steps)}`)

describe('a bag drafted from what was measured', () => {
  // By hand: swatch rounds of 10/22 = 0.4545 ± 0.0103, with 8 % of a bag ± 0.0378; 12 rounds of 0.5083 ± 0.3/12 = 0.025. Weights 700 and
  // 1 600: 0.4920 cm. Of 13.2 cm 6.1 stand; 7.1 / 0.4920 = 14.43, so 14 more: 26, where 29 were planned.
  it('takes the height that is left, at the size that the stitches are known by now', () => {
    const before = draft(TOTE)
    expect(rounds(before)).toEqual([20, 0, 18, 29])
    const after = draft(TOTE, { taken: [{ round: 50, what: 'part-height', cm: 6.1 }] })
    expect(after.gauge.sc.height.cm).toBeCloseTo(0.49197, 4)
    expect(rounds(after)).toEqual([20, 0, 18, 26])
    // 6.1 + 14 * 0.49197 = 12.99 cm.
    expect(after.parts[3]!.size.height.cm).toBeCloseTo(12.99, 2)
  })

  it('looks at the rounds since the last measure, and weighs later ones more', () => {
    const once: Measurement = { round: 50, what: 'part-height', cm: 6.1 }
    // Ten rounds more are 4.3 cm: 0.43 each, tighter than those before.
    const twice = draft(TOTE, { taken: [once, { round: 60, what: 'part-height', cm: 10.4 }] })
    const { gauge } = draft(TOTE, { taken: [once] })
    expect(twice.gauge.sc.height.cm).toBeLessThan(gauge.sc.height.cm)
    expect(twice.parts[3]!.size.height.cm).toBeGreaterThan(12.9)
    expect(twice.parts[3]!.size.height.cm).toBeLessThan(13.5)
  })

  it('is drafted the same whatever is taken over from before', () => {
    const taken: Measurement[] = [{ round: 20, what: 'base-length', cm: 19.5 }, { round: 30, what: 'part-height', cm: 5.2 }]
    const before = draft(TOTE, { taken: taken.slice(0, 1) })
    const after = draft(TOTE, { before, taken })
    expect(says(after)).toEqual(says(draft(TOTE, { taken })))
    expect(after.sizes).toEqual(draft(TOTE, { taken }).sizes)
    expect(after.parts[0]).toBe(draft(TOTE, { before: after, taken }).parts[0])
    expect(draft(TOTE, { before: after, taken }).parts.every((part, i) => part === after.parts[i])).toBe(true)
  })

  it('takes a texture by its own size, and leaves the stitches it is made of alone', () => {
    const bands = stacked([
      { kind: 'sprigs', size: { pin: { rounds: 12 } }, colour: 'main' },
      { kind: 'solid', stitch: 'sc', size: { want: { heightCm: 5 } }, colour: 'main' },
      { kind: 'sprigs', size: { want: { heightCm: 8.2 } }, colour: 'main' },
    ] as Parameters<typeof stacked>[0])
    const design: Design = { ...TOTE, base: { ...TOTE.base, size: { pin: { rounds: 20 } } } as Design['base'], wall: bands }
    const before = draft(design)
    expect(before.parts.some(isStopped)).toBe(false)
    const after = draft(design, { taken: [{ round: 32, what: 'part-height', cm: 8.2 }] })
    expect(after.gauge).toEqual(before.gauge)
    // Twelve rounds of the same stand 8.2 cm, so as many are wanted again, or one more or fewer for the doubt in it.
    expect(Math.abs(after.parts.at(-1)!.rounds.length - 12)).toBeLessThanOrEqual(1)
    expect(before.parts.at(-1)!.rounds.length).not.toBe(after.parts.at(-1)!.rounds.length)
    expect(after.parts.at(-1)!.size.height.cm).toBeCloseTo(8.2, 0)
    // Its width was not measured, and is as sure as it was.
    expect(after.parts.at(-1)!.size.circumference).toEqual(before.parts.at(-1)!.size.circumference)
  })

  it('moves the sides with the seam from there on, and the ones already passed', () => {
    const joined: Design = { ...TOTE, rounds: { style: 'joined', startingChainCounts: false } }
    const { parts } = draft(joined, { taken: [{ round: 48, leanPerTen: 3 }] })
    const whole = draft({ ...joined, rounds: { ...joined.rounds, leanPerTen: 3 } })
    expect(parts.at(-1)!.edge.sides).toEqual(whole.parts.at(-1)!.edge.sides)
    expect(parts[2]!.edge.sides).toEqual(draft(joined).parts[2]!.edge.sides)
  })

  it('keeps everything divisible: a wanted count goes to the nearest on which all above comes out', () => {
    const design: Design = {
      ...TOTE, wall: stacked([
        { kind: 'solid', stitch: 'sc', size: { want: { heightCm: 6 } }, colour: 'main' },
        { kind: 'taper', stitch: 'sc', size: { want: { heightCm: 4, aroundCm: 48 } }, mirrored: false, colour: 'main' },
        { kind: 'waves', size: { pin: { rounds: 4 } }, colour: 'main' },
      ] as Parameters<typeof stacked>[0]),
    }
    const before = draft(design)
    expect(before.parts.some(isStopped)).toBe(false)
    const counts = new Set<number>()
    for (let by = 0.8; by < 1.25; by += 0.01) {
      const after = draft(design, { before, taken: [{ round: 30, what: 'flat-width', cm: 30 * by }] })
      expect(after.parts.find(isStopped)?.findings, String(by)).toBeUndefined()
      counts.add(after.parts[3]!.edge.count)
    }
    expect(counts.size).toBeGreaterThan(2)
  })

  it('tells a floor as the tape said', () => {
    const after = draft(TOTE, { taken: [{ round: 20, what: 'base-length', cm: 19.5 }] })
    const before = draft(TOTE)
    expect(after.sizes.floor.length.cm).toBeGreaterThan(before.sizes.floor.length.cm)
    expect(after.sizes.floor.length.cm).toBeLessThanOrEqual(19.5)
    expect(after.parts[0]!.rounds).toHaveLength(20)
  })
})

/** A design that drafts, a round of it, and what is measured there by how much more or less than was expected. */
const atWork = fc.record({
  design: anyDesign, at: fc.double({ min: 0.05, max: 1, noNaN: true }), by: fc.double({ min: 0.75, max: 1.3, noNaN: true }),
})

function measuredThere(drafted: Draft, at: number, by: number): Extract<Measurement, { cm: number }> | undefined {
  const round = Math.max(1, Math.ceil(at * drafted.rounds.length))
  const sides = ['base-width', 'base-length', 'part-height', 'flat-width'] as const
  const found = sides.flatMap(what => expected(drafted, round, what) ?? [])[0]
  return found && { round, what: found.what, cm: found.length.cm * by }
}

describe('laws of measuring', () => {
  it('never changes what is worked', () => {
    fc.assert(
      fc.property(atWork, ({ design, at, by }) => {
        const before = draft(design)
        const taken = measuredThere(before, at, by)
        if (!taken) return
        const after = draft(design, { before, taken: [taken] })
        expect(says(after).slice(0, taken.round)).toEqual(says(before).slice(0, taken.round))
        const { kind, chains } = before.start
        expect(draft(design, { taken: [taken] }).start).toMatchObject({ kind, chains })
      }),
      { ...SEED, numRuns: 120 },
    )
  })

  it('changes nothing where the measure is what was expected', () => {
    fc.assert(
      fc.property(atWork, ({ design, at }) => {
        const before = draft(design)
        const taken = measuredThere(before, at, 1)
        // A taper above what is worked comes to a count that all above divides by, where it did not before.
        if (!taken || before.findings.some(({ code, weight }) => weight === 'stop' || code === 'mouth-does-not-divide')) return
        const after = draft(design, { before, taken: [taken] })
        expect(says(after)).toEqual(says(before))
        expect(after.sizes.height.cm).toBeCloseTo(before.sizes.height.cm, 6)
      }),
      { ...SEED, numRuns: 120 },
    )
  })

  it('is worked on the edge that is there: every round above is worked again on the one below it', () => {
    fc.assert(
      fc.property(atWork, ({ design, at, by }) => {
        const before = draft(design)
        const taken = measuredThere(before, at, by)
        if (!taken) return
        const after = draft(design, { before, taken: [taken] })
        for (const { worked } of after.rounds) {
          const again = work(worked.round, worked.on)
          expect(again.ok && again.worked.edge.count).toBe(worked.edge.count)
        }
      }),
      { ...SEED, numRuns: 60 },
    )
  })

  it('leaves the rest as it would be drafted from the edge there, in what is known there', () => {
    // A plain band cut in two at the hook: its rest is a band of its own, as tall as what is left, drafted in the refined gauge.
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 28 }), fc.double({ min: 0.8, max: 1.25, noNaN: true }), (done, by) => {
        const before = draft(TOTE)
        const cm = (13.2 / 29) * done * by
        const after = draft(TOTE, { before, taken: [{ round: 38 + done, what: 'part-height', cm }] })
        const left = 13.2 - cm
        const rest = draft({
          ...TOTE, wall: stacked([
            { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 18 + done } }, colour: 'main' },
            ...(left > 0.3 ? [{ kind: 'solid' as const, stitch: 'sc' as const, size: { want: { heightCm: left } }, colour: 'main' }] : []),
          ]),
          gauge: { ...TOTE.gauge, measured: { sc: { stitches: 20, rounds: 10 / after.gauge.sc.height.cm, overCm: 10 } } },
        })
        const alone = left > 0.3 ? rest.parts[3]!.rounds.length : 0
        // Half a round to go may be worked or left: on its own a band has at least one.
        if (left / after.gauge.sc.height.cm > 0.6) expect(after.parts[3]!.rounds.length - done).toBe(alone)
        else expect(after.parts[3]!.rounds.length - done).toBeLessThanOrEqual(1)
      }),
      { ...SEED, numRuns: 200 },
    )
  })

  it('knows the gauge of the swatch again where nothing was measured', () => {
    expect(draft(TOTE).gauge).toEqual(gaugeOf(TOTE.gauge))
  })
})

import { describe, expect, it } from 'vitest'
import type { Design } from '../../bag/design/design'
import { applyFix } from '../../bag/design/edit'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { implausible } from './implausible'
import type { Deed, MakeEvent } from './event'
import { expected, measurable } from './expectedLength'
import { afterAll, eventOf, MakeLog, stateOf } from './fold'
import { compared, lastDone, measuring, partMeasured } from './measuring'
import { type InHand, inHand } from './plan'

const TOTE: Design = {
  ...newDesign('Tote'), rounds: { style: 'joined', startingChainCounts: false }, turnUp: 'plain',
  gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } } },
  base: { ...newDesign('Tote').base, increases: 6, size: { pin: { rounds: 20 } } },
  wall: stacked([
    { kind: 'solid', stitch: 'sc', size: { want: { heightCm: 8 } }, colour: 'main' },
    { kind: 'solid', stitch: 'sc', size: { want: { heightCm: 13.2 } }, colour: 'main' },
  ]),
}

/** A make worked up to the end of a round, and what else was told. */
function worked(round: number, ...told: Deed[]): { readonly events: readonly MakeEvent[], readonly hand: InHand } {
  const log = new MakeLog()
  let n = 0
  const happen = (deed: Deed) => log.add([eventOf(log, deed, { id: `m.${String(n++).padStart(4, '0')}`, at: 60_000 * n })])
  happen({ do: 'started', plan: TOTE })
  happen({ do: 'moved', to: { leg: 'start', beats: 'all' }, ...afterAll(log) })
  for (let i = 1; i <= round; i++) happen({ do: 'moved', to: { leg: `r${i}`, beats: 'all' }, ...afterAll(log) })
  told.forEach(happen)
  return { events: log.events, hand: inHand(log.state)! }
}

describe('measuring at the hook', () => {
  it('says what a measure would change, before it is taken', () => {
    const { hand } = worked(50)
    expect(lastDone(hand)).toBe(50)
    const { words, beside, redone, same } = measuring(hand, { round: 50, what: 'part-height', cm: 6.1 })
    expect(words).toMatch(/^Plain wall 2 is 6\.1 cm after 12 rounds, not 5\.5 cm: Plain wall 2: 26 rounds instead of 29\./)
    expect(words).toMatch(/\{\d+ m\} less yarn/)
    expect(redone).toMatchObject([{ name: 'Plain wall 2', before: 29, now: 26 }])
    expect(beside).toMatchObject([{ name: 'Plain wall 2', differs: true, before: { rounds: 29 }, now: { rounds: 26 } }])
    expect(same).toBe(false)
    expect(measuring(hand, { round: 50, what: 'part-height', cm: (12 * 10) / 22 }).same).toBe(true)
  })

  it('drafts the rest by it once it is told, and not where it is for the record alone', () => {
    const measured: Deed = { do: 'measured', round: 50, what: 'part-height', cm: 6.1, redrafts: true }
    expect(worked(50, measured).hand.draft.parts.at(-1)!.rounds).toHaveLength(26)
    expect(worked(50, { do: 'measured', round: 50, what: 'part-height', cm: 6.1 }).hand.draft.parts.at(-1)!.rounds).toHaveLength(29)
  })

  it('forgets what was measured of rounds that are ripped back, and takes it back with the event', () => {
    const measured: Deed = { do: 'measured', round: 50, what: 'part-height', cm: 6.1, redrafts: true }
    const { events } = worked(50, measured)
    const ripped = [...events, { id: 'm.z', turn: 999, at: 1, do: 'ripped' as const, toRound: 44 }]
    expect(stateOf(ripped).measured).toEqual([])
    const back = [...events, { id: 'm.z', turn: 999, at: 1, do: 'undone' as const, of: events.at(-1)!.id }]
    expect(inHand(stateOf(back))!.draft.parts.at(-1)!.rounds).toHaveLength(29)
  })

  it('is replayed as it was gone through', () => {
    const across: Deed = { do: 'measured', round: 20, what: 'base-width', cm: 19, redrafts: true }
    const { events, hand } = worked(50, across, { do: 'leaned', round: 45, perTen: 2 })
    const log = new MakeLog()
    let before: InHand | undefined
    for (const event of [...events].reverse()) {
      log.add([event])
      before = inHand(log.state, before)
    }
    expect(before!.draft.sizes).toEqual(hand.draft.sizes)
    expect(before!.draft.parts.at(-1)!.edge.sides).toEqual(hand.draft.parts.at(-1)!.edge.sides)
  })

  it('says what can be measured where the hook is', () => {
    const { draft: drafted } = worked(50).hand
    expect(measurable(drafted, 10).map(({ what }) => what)).toEqual(['base-width'])
    expect(measurable(drafted, 25).map(({ what }) => what)).toEqual(['height', 'flat-width'])
    expect(measurable(drafted, 50).map(({ what }) => what)).toEqual(['part-height', 'height', 'flat-width'])
    // Ten rounds of the floor: 20 * 10/22 = 9.09 cm across.
    expect(expected(drafted, 10, 'base-width')!.length.cm).toBeCloseTo(9.09, 2)
    expect(measurable(drafted, 0)).toEqual([])
  })

  it('says of the drop what a strip under a weight did', () => {
    const strap: Design = {
      ...TOTE, contents: { kind: 'box', lengthCm: 12, widthCm: 8, heightCm: 8, weightKg: 3 }, wall: stacked([
        { kind: 'solid', stitch: 'sc', size: { want: { heightCm: 10 } }, colour: 'main' },
        {
          kind: 'chain-straps', number: 2, width: { want: { widthCm: 10 } }, chains: { want: { dropCm: 15 } }, into: 'over', corners: 1,
          rounds: 3, stitch: 'sc', nudge: 0, colour: 'main',
        },
      ] as Parameters<typeof stacked>[0]),
    }
    const taken = { round: 30, strip: { beforeCm: 20, afterCm: 26, widthCm: 3, kg: 2 } }
    const [before, after] = [draft(strap), draft(strap, { taken: [taken] })]
    expect(after.sizes.withHandles!.loadedCm).not.toBe(before.sizes.withHandles!.loadedCm)
    expect(compared(before, after, taken).words).toContain('Held up with its load it reaches')
  })
})

describe('a part measured on the bench', () => {
  it('is an edit of the design, and says so among the findings', () => {
    const before = draft(TOTE)
    const fix = partMeasured(before, { part: 'part-2', rounds: 12, what: 'part-height', cm: 6.1 })!
    const { design } = applyFix(TOTE, fix)
    const after = draft(design, { before })
    expect(after.parts.at(-1)!.rounds).toHaveLength(26)
    const found = after.findings.find(({ code }) => code === 'gauge-refined')!
    expect(found.what).toContain('after 12 rounds')
    expect(found.what).toContain('Plain wall 2 takes 26 rounds instead of 29')
    // Another part than was measured is told so, and the measure can be forgotten.
    const other = draft({ ...design, base: { ...TOTE.base, size: { pin: { rounds: 21 } } } as Design['base'] })
    const unused = other.findings.find(({ code }) => code === 'measured-unused')!
    expect(applyFix(other.from, unused.fix!).design.measured).toBeUndefined()
  })

  it('measures no round that is not there', () => {
    expect(partMeasured(draft(TOTE), { part: 'part-2', rounds: 99, what: 'part-height', cm: 6 })).toBeUndefined()
    expect(partMeasured(draft(TOTE), { part: 'part-9', rounds: 1, what: 'part-height', cm: 6 })).toBeUndefined()
  })
})

describe('doubt in a measure', () => {
  const planned = { cm: 24.1, plusMinusCm: 0.6 }
  // 9.5 in are 24.1 cm: typed as centimetres it is 39 % of what was planned.
  it('asks for inches', () => {
    expect(implausible(9.5, planned, 'cm')).toMatchObject({ instead: { cm: 24.13 } })
    expect(implausible(9.5, planned, 'cm')!.what).toContain('did you mean inches?')
  })

  it.each([
    [241, 'millimetres', 24.1], [2.4, 'point', 24], [48, 'both layers', 24], [12, 'half', 24],
  ])('asks of %f whether %s were meant', (cm, what, instead) => {
    const found = implausible(cm, planned, 'cm')!
    expect(found.what).toContain(what)
    expect(found.instead!.cm).toBeCloseTo(instead, 6)
  })

  it('asks of what fits no slip, and of nothing that may well be', () => {
    expect(implausible(1000, planned, 'cm')).toBeDefined()
    expect(implausible(33, planned, 'cm')).toMatchObject({ what: expect.stringContaining('lay the tape on again') })
    expect(implausible(27, planned, 'cm')).toBeUndefined()
    expect(implausible(22, planned, 'cm')).toBeUndefined()
    expect(implausible(24.1 / 2.54, planned, 'in')).toMatchObject({ what: expect.not.stringContaining('mean inches') })
  })
})

import type { Design } from '../../core/bag/design/design'
import { type Draft, draft } from '../../core/bag/draft/draft'
import { countable } from '../../core/bag/draft/replan/countCorrection'
import type { DraftPart } from '../../core/bag/draft/fold/draftPart'
import { diagnose, type WayOn } from '../../core/making/make/diagnosis'
import { stateOf } from '../../core/making/make/fold'
import { type InHand, inHand } from '../../core/making/make/plan'
import type { MakeState } from '../../core/making/make/makeState'
import { work } from '../../core/things/round/workRound'
import { patternOf, roundLines } from '../../core/readers/words/pattern'
import { fansIn, firstMismatchAbove } from '../oracle/atWork'

/*
 * The laboratory of miscounts: a bag is miscounted at a round by so many, and every way on that is offered is carried through to the
 * last round. The laws stand in miscounts.test.ts.
 */

/** A miscount of a bag on the hook, and what is offered. */
export interface Miscount {
  readonly planned: Draft
  readonly part: DraftPart
  /** The kind of the part: the form of a base, the turn-up, the kind of a band. */
  readonly kind: string
  readonly round: number
  readonly by: number
  readonly ways: readonly WayOn[]
}

const MANNER = { terms: 'us', repeats: 'brackets' } as const

/** A bag whose every round is done, for asking about any of them. */
export function onTheHook(plan: Design): { readonly hand: InHand, readonly state: MakeState } {
  const state = stateOf([{ do: 'started', plan, id: 'a', turn: 1, at: 0 }])
  return { hand: inHand(state)!, state }
}

function kindOfPart({ from }: DraftPart): string {
  return from.base ? `base: ${from.base.form}` : from.wall?.kind ?? 'turn-up'
}

/** How many stitches one turn of a round's repeat makes, where it has one: what is lost where a whole repeat is. */
function repeatOf({ worked }: Draft['rounds'][number]): number | undefined {
  const turns = worked.round.steps.length <= 2 ? worked.round.steps.find(step => step.do === 'repeat' && step.times > 4) : undefined
  const each = turns?.do === 'repeat' ? Math.floor(countable(worked).number / turns.times) : 0
  return each > 2 ? each : undefined
}

/** Miscounts of every round of a bag, or of every so-and-so-manieth. */
export function* miscountsOf(design: Design, everyNth = 1): Generator<Miscount> {
  const { hand, state } = onTheHook(design)
  const { draft: planned } = hand
  for (let round = 1; round <= planned.rounds.length; round += everyNth) {
    const at = planned.rounds[round - 1]!
    const part = planned.parts.find(({ id }) => id === at.part)!
    const { number } = countable(at.worked)
    const lost = repeatOf(at)
    for (const by of [-2, -1, 1, 2, ...(lost ? [-lost] : [])]) {
      if (number + by < 1) continue
      const found = diagnose(hand, state, round, number + by, MANNER)
      if (found) yield { planned, part, kind: kindOfPart(part), round, by, ways: found.ways }
    }
  }
}

/** The bag as it goes on once a way is chosen. */
export function carriedThrough({ planned }: Miscount, { counted }: WayOn): Draft | undefined {
  if (!counted) return undefined
  const { round, found, to } = counted
  return draft(planned.from, { before: planned, found: [{ round, count: found, ...(to === undefined ? {} : { to }) }] })
}

/** The laws that a way on breaks. */
export function broken(miscount: Miscount, way: WayOn, real: Draft): string[] {
  return LAWS.flatMap(([law, holds]) => (holds(miscount, way, real) ? [] : [law]))
}

type Law = readonly [name: string, holds: (miscount: Miscount, way: WayOn, real: Draft) => boolean]

const stops = ({ findings }: Draft) => findings.filter(({ weight }) => weight === 'stop').length

/** The sides of a part's edge as shares of the way round, from the round's start. */
const sidesOf = ({ edge: { sides, count } }: DraftPart) => sides.map(side => side / count)

function apartAround(a: number, b: number, count: number): number {
  const apart = Math.abs(a - b) % 1
  return Math.min(apart, 1 - apart) * count
}

/** How a round's stitches are entered, and which kinds there are. */
function stitchesOf({ worked: { stitches, loops } }: Draft['rounds'][number]): string {
  return [...new Set(Array.from(stitches, (stitch, i) => `${stitch}/${loops[i]}`))].sort().join()
}

/** Whether the straight sides of an oval floor are left plain: nothing is added or taken away between their markers. */
function sidesStayPlain(part: DraftPart, from: number): boolean {
  if (part.from.base?.form !== 'oval') return true
  return part.rounds.every(({ edge }, i) => {
    const marks = part.markers?.[i]
    if (i < from || marks?.length !== 4) return true
    // A stitch either way: a side that has lost one begins a stitch sooner.
    const [a, b, c, d] = marks as [number, number, number, number]
    const straight = Math.abs((b - a) - (d - c)) <= 2 ? [[a, b], [c, d]] : [[b, c], [d, a + edge.count]]
    return straight.every(([first, last]) => {
      for (let made = first! + 3; made < last! - 2; made++)
        if (edge.from[made] === edge.from[made - 1] || edge.from[made] !== edge.to[made]) return false
      return true
    })
  })
}

const LAWS: readonly Law[] = [
  ['the bag still comes out to its last round', ({ planned }, _, real) => stops(real) <= stops(planned)],
  ['what is worked stays', ({ planned, round }, _, real) =>
    real.rounds.slice(0, round - 1).every(({ worked }, i) => worked.edge.count === planned.rounds[i]!.worked.edge.count)],
  ['every round above is worked on the edge below it', ({ round }, _, real) =>
    real.rounds.slice(round).every(({ worked: { on, edge, round: own } }) => {
      const again = work(own, on)
      return again.ok && again.worked.edge.count === edge.count
    })],
  ['put right, everything above stays as planned', ({ planned, round }, { way }, real) => way !== 'next-round'
    || (real.rounds.length === planned.rounds.length
      && real.rounds.slice(round).every(({ worked }, i) => worked.edge.count === planned.rounds[round + i]!.worked.edge.count))],
  ['the next round is worked as it was told', ({ round }, { nextRound }, real) => {
    const line = nextRound && roundLines(real, 'us')[round]
    return !line || nextRound === `${line.words}. ${line.count}`
  }],
  ['sides stay where they are', ({ planned, part: { id: counted } }, { way }, real) => real.parts.every((part) => {
    const before = planned.parts.find(({ id }) => id === part.id)!
    // Lived with, sides ride up by whole stitches and handles begin their round elsewhere: they are held where the count was made.
    const within = way === 'next-round' ? 0.01 : part.id === counted ? 1.5 : Infinity
    const [now, then] = [sidesOf(part), sidesOf(before)]
    return part.rounds.length === 0 || now.every((side, i) => apartAround(side, then[i]!, part.edge.count) <= within)
  })],
  ['the sides lie half the way round apart, as far as they were planned so', (miscount, _, real) => real.parts.every((part) => {
    const { planned, part: { id: counted } } = miscount
    if (part.id !== counted) return true
    const before = planned.parts.find(({ id }) => id === part.id)!
    const off = (of: DraftPart) => {
      const [a, b] = sidesOf(of) as [number, number]
      return apartAround(b - a, 0.5, of.edge.count)
    }
    return part.rounds.length === 0 || Boolean(part.edge.free) || off(part) <= Math.max(2.5, off(before) + 1) + 1e-9
  })],
  ['put right, handles stay where they are', ({ planned }, { way }, real) => way !== 'next-round'
    || JSON.stringify(real.parts.map(({ handles }) => handles)) === JSON.stringify(planned.parts.map(({ handles }) => handles))],
  ['turn-ups and textures keep their stitches', ({ planned, round }, _, real) => real.rounds.slice(round).every((one, i) => {
    const then = planned.rounds[round + i]
    const handled = planned.parts.some(({ id, handles }) => id === one.part && handles.length > 0)
    const [before, after] = [planned, real].map(({ parts }) => parts.find(({ id }) => id === one.part)?.rounds.length)
    const asLong = before === after
    return !then || then.part !== one.part || handled || !asLong || stitchesOf(one) === stitchesOf(then)
  })],
  // Where a floor's rounds turn, its markers alone do not tell sides from ends: it is held to what its plan keeps.
  ['an oval\'s sides stay plain', ({ planned, round }, _, real) =>
    !sidesStayPlain(planned.parts[0]!, round) || sidesStayPlain(real.parts[0]!, round)],
  ['where stitches lie are numbers', (_, __, real) => {
    const { layOut, rounds } = real.parts[0]!
    return !layOut || rounds.every(({ edge }, i) => [0, edge.count - 1, edge.count >> 1].every((station) => {
      const { x, y } = layOut(i, station)
      return Number.isFinite(x) && Number.isFinite(y)
    }))
  }],
  ['a stranger who works the words comes to the counts', ({ round }, _, real) =>
    firstMismatchAbove(real, round, 'us', fansIn(patternOf(real, 'us', 'brackets').special)) === undefined],
]

import type { Design, WallPart } from '../../design/design'
import type { Measure } from '../../design/measures'
import type { StretchTest } from '../../../parts/handle/drop'
import type { DraftPart } from '../fold/draftPart'

/*
 * Measurements of a bag while it was made. What lies below is worked and stays; what lies above is drafted by it.
 */

/**
 * A tape laid on the work, a seam looked at, a strip hung up, when the bag's last round done was `round`; for the record alone, if it
 * keeps the plan.
 */
export type Measurement
  = | { readonly round: number, readonly what: Measure, readonly cm: number, readonly keepsPlan?: true }
    | { readonly round: number, readonly leanPerTen: number }
    | { readonly round: number, readonly strip: StretchTest }

/** Which part the design says was measured, and how far it was: another one is not meant. */
interface MeasurementOf {
  readonly part: string
  readonly rounds: number
  readonly stitches: number
  /** It was done: one with further rounds is another one. */
  readonly done?: true
}

/** Measurements at one and the same round. */
export interface Stop {
  readonly round: number
  readonly taken: readonly Measurement[]
}

/** A stop whose round is found when the part is come to that it was measured of. */
export interface StopOf {
  readonly of: MeasurementOf
  readonly lengths: readonly { readonly what: Measure, readonly cm: number }[]
}

/** Where something was measured: at a round of the bag, or of a part. */
export type MeasurementPlace = Stop | StopOf

/** Stops that the design itself tells, part by part. */
export function ownStops({ measuredBase, measured = [], wall }: Design): StopOf[] {
  const own = measured.map(({ part, rounds, stitches, what, cm }) => ({ of: { part, rounds, stitches }, lengths: [{ what, cm }] }))
  const base = measuredBase && {
    of: { part: 'base', rounds: measuredBase.rounds, stitches: measuredBase.stitches, done: true as const },
    lengths: [
      { what: 'base-length' as const, cm: measuredBase.lengthCm },
      ...(measuredBase.widthCm === undefined ? [] : [{ what: 'base-width' as const, cm: measuredBase.widthCm }]),
    ],
  }
  const place = ({ of }: (typeof own)[number]) => wall.findIndex(({ id }) => id === of.part) * 10_000 + of.rounds
  return [...(base ? [base] : []), ...own.sort((a, b) => place(a) - place(b))]
}

/** Measurements at the hook, the rounds in order, those of one round together. */
function atTheHook(taken: readonly Measurement[]): Stop[] {
  const rounds = [...new Set(taken.map(({ round }) => round))].sort((a, b) => a - b)
  return rounds.map(round => ({ round, taken: taken.filter(one => one.round === round) }))
}

/** Everything that was measured of a bag, from the floor up: by its design, then at the hook. */
export function awaitedPlaces(design: Design, taken: readonly Measurement[]): readonly MeasurementPlace[] {
  return [...ownStops(design), ...atTheHook(taken)]
}

/** How many stitches a part's rounds leave when so many of them are worked. */
function leaves({ rounds, edge }: DraftPart, count: number): number | undefined {
  return count === rounds.length ? edge.count : rounds[count - 1]?.edge.count
}

/** Where on a bag as drafted something was measured; nothing if that part is not there, or is another one. */
export function stopAt(parts: readonly DraftPart[], one: MeasurementPlace): Stop | undefined {
  if (!('of' in one)) return parts.some(part => holds(part, one.round)) ? one : undefined
  const { of: { part: id, rounds, stitches, done }, lengths } = one
  const part = parts.find(each => each.id === id)
  if (!part || leaves(part, rounds) !== stitches || (done && part.rounds.length !== rounds)) return undefined
  const round = part.firstRound - 1 + rounds
  return { round, taken: lengths.map(length => ({ round, ...length })) }
}

/** Whether a round of the bag is one of a part's. */
export function holds({ firstRound, rounds }: DraftPart, round: number): boolean {
  return round >= firstRound && round < firstRound + rounds.length
}

/** A bag whose rounds lean so much, those that go in a way of their own too. */
function leaning({ rounds, wall, ...design }: Design, leanPerTen: number): Design {
  const own = (part: WallPart): WallPart =>
    'goes' in part && part.goes && part.goes.style !== 'turned' ? { ...part, goes: { ...part.goes, leanPerTen } } : part
  return { ...design, rounds: { ...rounds, leanPerTen }, wall: wall.some(part => own(part) !== part) ? wall.map(own) : wall }
}

/** A bag as it goes on from there, where what was found out is asked in its design. */
export function withMeasurements(design: Design, taken: readonly Measurement[]): Design {
  return taken.reduce<Design>((now, one) => {
    if ('leanPerTen' in one) return leaning(now, one.leanPerTen)
    return 'strip' in one ? { ...now, stretch: one.strip } : now
  }, design)
}

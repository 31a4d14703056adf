import type { Design } from '../../bag/design/design'
import type { Measure } from '../../bag/design/measures'
import type { StretchTest } from '../../parts/handle/drop'

/*
 * Events of a bag on the hook
 * ============================================
 *
 * A make is a set of events, and nothing else is kept of it. An event is written once, on the device where it happened, and never
 * changed; what has become of the bag is worked out from all of them (fold.ts).
 *
 * Order without a common clock: each event carries a `turn`, one more than the highest its device had seen by then (Lamport, "Time,
 * Clocks, and the Ordering of Events in a Distributed System", 1978, from memory). So what was done knowing of something else comes
 * after it; of two things done without knowing of each other the one with the smaller id comes first, on every device alike.
 */

/** Where the hook is: so many beats into a leg of the road, or at its end. */
export interface Spot {
  /** The leg's id on the road: `start`, `r12`, ... */
  readonly leg: string
  readonly beats: number | 'all'
}

/** The maker's choice about a count that is not the planned one. */
export const COUNT_CHOICES = ['as-planned', 'live-with-it', 'next-round'] as const
export type CountChoice = (typeof COUNT_CHOICES)[number]

/** Taken up: the design as it stood then is the plan. */
interface StartDeed {
  readonly do: 'started'
  readonly plan: Design
  /** The kept bag that it was taken from. */
  readonly bag?: string
}

/** The hook moved: within a leg, or to the end of it. */
interface MoveDeed {
  readonly do: 'moved'
  readonly to: Spot
  /** The moves that the hook had made before, as far as the device knew: usually one; none before the first. */
  readonly after?: readonly string[]
}

/** Rounds undone, down to the end of one; 0 is back to the very start. */
interface RipDeed {
  readonly do: 'ripped'
  readonly toRound: number
  readonly after?: readonly string[]
}

/** A round counted. */
export interface CountDeed {
  readonly do: 'counted'
  readonly round: number
  readonly planned: number
  readonly found: number
  readonly choice: CountChoice
  /** Of one put right in the next round: the count it is brought to. */
  readonly to?: number
}

/** The tape laid on the work when its last round done was `round`. */
export interface MeasureDeed {
  readonly do: 'measured'
  readonly round: number
  readonly what: Measure
  readonly cm: number
  /** Whether the rounds to come are drafted by it; otherwise it is written down for the record, and the plan stays as it is. */
  readonly redrafts?: true
}

/** How far the seam of joined rounds leaned, in stitches over ten rounds. */
export interface LeanDeed {
  readonly do: 'leaned'
  readonly round: number
  readonly perTen: number
}

/** A strip hung up with a weight on it: how much handles will lengthen. */
export interface StretchDeed {
  readonly do: 'stretched'
  readonly round: number
  readonly strip: StretchTest
}

/** Yarn weighed: what is left of it, or the work made of it, by its id in the plan. */
export interface WeighDeed {
  readonly do: 'weighed'
  readonly yarn: string
  readonly grams: number
  /** The load of the scales: what is left of the yarn, if left out. */
  readonly of?: 'left' | 'work'
  /** The last round done; of old events it is not known. */
  readonly round?: number
}

/** How the floor lies when it is done. */
export const LIES = ['flat', 'cups', 'ripples'] as const
export type Lies = (typeof LIES)[number]

/** The floor looked at: whether it lies flat. */
export interface LookDeed {
  readonly do: 'looked'
  readonly round: number
  readonly lies: Lies
}

/** Figures of a bag from a line of a logbook's table, besides its name, its days and the maker's notes. */
export interface KeptFigures {
  readonly sittings: number
  readonly minutes: number
  readonly rounds: number
  readonly stitches: number
  /** Rounds ripped back. */
  readonly ripped: number
  /** Counts that were not the planned ones. */
  readonly off: number
}

/** The maker's words about the bag in the logbook: a field left out stays as it was. */
export interface Wrote {
  readonly do: 'wrote'
  /** Of a bag that came in by a table: what the table says of it, for nothing of it was worked at this hook. */
  readonly kept?: KeptFigures
  readonly forWhom?: string
  readonly hookMm?: number
  readonly yarnUsed?: string
  readonly notes?: string
}

/** Something to remember; with a marker where it stands in the work. */
export interface NoteDeed {
  readonly do: 'noted'
  readonly text: string
  readonly where?: Spot
  readonly marker: boolean
}

/** The plan changed: what is still to be worked follows another design. */
interface ReplanDeed {
  readonly do: 'replanned'
  readonly plan: Design
  readonly why: string
}

interface PauseDeed {
  readonly do: 'paused'
}

interface GoneOn {
  readonly do: 'goneOn'
}

interface FinishDeed {
  readonly do: 'finished'
}

/** Another event taken back, an undoing too. */
interface Undone {
  readonly do: 'undone'
  readonly of: string
  /** As of a move, where a move is taken back. */
  readonly after?: readonly string[]
}

export type Deed
  = | StartDeed | MoveDeed | RipDeed | CountDeed | MeasureDeed | LeanDeed | StretchDeed | WeighDeed | LookDeed | NoteDeed | Wrote
    | ReplanDeed | PauseDeed | GoneOn | FinishDeed | Undone

/** When and where something happened. */
interface Stamp {
  /** Made on the device, and nobody else's. */
  readonly id: string
  readonly turn: number
  /** The device's own time, in milliseconds since 1970, for the record and the pace; nothing is ordered by it. */
  readonly at: number
}

export type MakeEvent = Stamp & Deed

/** Which of two events comes first: below 0 if `a` does. */
export function inOrder(a: Stamp, b: Stamp): number {
  return a.turn - b.turn || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)
}

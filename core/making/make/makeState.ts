import type { Design } from '../../bag/design/design'
import type { CountDeed, LeanDeed, LookDeed, MakeEvent, MeasureDeed, NoteDeed, Spot, StretchDeed, WeighDeed, LogbookDeed } from './event'

/** A leg worked to its end, and how long it took; the ones before it behind. */
export interface Trail {
  readonly leg: string
  readonly minutes: number
  readonly before: Trail | undefined
}

/** A deed with its event's id and time, so that it can be taken back. */
export type Recorded<D> = D & { readonly id: string, readonly at: number }

/** State of a bag on the hook. */
export interface MakeState {
  /** The design being made; none until it is known what was taken up. */
  readonly plan: Design | undefined
  /** The kept bag that it was taken from. */
  readonly bag: string | undefined
  readonly startedAt: number | undefined
  readonly spot: Spot
  /** The last thing that was done or told and still holds: what undo takes back; none at the very start. */
  readonly lastDeed: MakeEvent | undefined
  readonly trail: Trail | undefined
  /** Counts that hold: those of rounds ripped back since are gone, of two of one round the later stands. */
  readonly counts: readonly Recorded<CountDeed>[]
  /** Measures of rounds that still stand, by the tape, of the seam, of a strip: of each the last word of each round. */
  readonly measured: readonly (Recorded<MeasureDeed> | Recorded<LeanDeed> | Recorded<StretchDeed>)[]
  readonly looked: readonly Recorded<LookDeed>[]
  /** Weights of rounds that still stand, of each yarn the last of each round. */
  readonly weighed: readonly Recorded<WeighDeed>[]
  readonly notes: readonly Recorded<NoteDeed>[]
  /** The maker's words about it in the logbook, the last of each. */
  readonly wrote: Omit<LogbookDeed, 'do'>
  /** How often rounds were ripped back, how many in all, and in how many minutes they had been worked. */
  readonly ripped: { readonly times: number, readonly rounds: number, readonly minutes: number }
  readonly plansChanged: number
  readonly paused: boolean
  readonly finishedAt: number | undefined
  /** Minutes at the hook: the time between moves, less the pauses. */
  readonly minutes: number
  /** Minutes since the last leg was done. */
  readonly legMinutes: number
  /** When the hook last moved, in the device's time. */
  readonly movedAt: number | undefined
}

/** Before anything happened. */
export const NOTHING_YET: MakeState = {
  plan: undefined, bag: undefined, startedAt: undefined, spot: { leg: 'start', beats: 0 }, lastDeed: undefined, trail: undefined,
  counts: [], measured: [], looked: [], weighed: [], notes: [], wrote: {},
  ripped: { times: 0, rounds: 0, minutes: 0 }, plansChanged: 0, paused: false,
  finishedAt: undefined, minutes: 0, legMinutes: 0, movedAt: undefined,
}

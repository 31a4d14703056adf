import type { Design } from '../../bag/design/design'
import type { ValuesOf } from '../../parts/field/spec'
import type { DEED_FIELDS, PLAN_DEEDS, STAMP_FIELDS } from './deedFields'

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

type DeedFields = typeof DEED_FIELDS
type PlanDeed = (typeof PLAN_DEEDS)[number]

/** A deed of a sort: its own answers, and of those that set a plan the design. */
type DeedOf<D extends keyof DeedFields>
  = { readonly do: D } & ValuesOf<DeedFields[D]> & (D extends PlanDeed ? { readonly plan: Design } : unknown)

/** A deed done to a bag, or something learnt of it. */
export type Deed = { [D in keyof DeedFields]: DeedOf<D> }[keyof DeedFields]

/** Where the hook is: so many beats into a leg of the road, or at its end. */
export type Spot = DeedOf<'moved'>['to']
/** The maker's choice about a count that is not the planned one. */
export type CountChoice = CountDeed['choice']
/** How the floor lies when it is done. */
export type Lies = LookDeed['lies']
/** Figures of a bag from a line of a logbook's table. */
export type KeptFigures = NonNullable<LogbookDeed['kept']>

export type CountDeed = DeedOf<'counted'>
export type MeasureDeed = DeedOf<'measured'>
export type LeanDeed = DeedOf<'leaned'>
export type StretchDeed = DeedOf<'stretched'>
export type WeighDeed = DeedOf<'weighed'>
export type LookDeed = DeedOf<'looked'>
export type LogbookDeed = DeedOf<'wrote'>
export type NoteDeed = DeedOf<'noted'>

/** When and where something happened. */
type Stamp = ValuesOf<typeof STAMP_FIELDS>

export type MakeEvent = Stamp & Deed

/** Which of two events comes first: below 0 if `a` does. */
export function inOrder(a: Stamp, b: Stamp): number {
  return a.turn - b.turn || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)
}

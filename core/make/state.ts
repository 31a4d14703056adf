import type { Design } from '../design/design'
import type { Counted, MakeEvent, Measured, Noted, Spot, Weighed } from './event'

/** A leg worked to its end, and how long it took; the ones before it behind. */
export interface Trail {
  readonly leg: string
  readonly minutes: number
  readonly before: Trail | undefined
}

/** A deed with its event's id and time, so that it can be taken back. */
export type Told<D> = D & { readonly id: string, readonly at: number }

/** What has become of a bag on the hook. */
export interface MakeState {
  /** The design being made; none until it is known what was taken up. */
  readonly plan: Design | undefined
  /** The kept bag that it was taken from. */
  readonly bag: string | undefined
  readonly startedAt: number | undefined
  readonly spot: Spot
  /** The last thing that moved the hook, for taking back; none at the very start. */
  readonly lastMove: string | undefined
  readonly trail: Trail | undefined
  /** Counts that hold: those of rounds ripped back since are gone, of two of one round the later stands. */
  readonly counts: readonly Told<Counted>[]
  readonly measured: readonly Told<Measured>[]
  readonly weighed: readonly Told<Weighed>[]
  readonly notes: readonly Told<Noted>[]
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
  plan: undefined, bag: undefined, startedAt: undefined, spot: { leg: 'start', beats: 0 }, lastMove: undefined, trail: undefined,
  counts: [], measured: [], weighed: [], notes: [], ripped: { times: 0, rounds: 0, minutes: 0 }, plansChanged: 0, paused: false,
  finishedAt: undefined, minutes: 0, legMinutes: 0, movedAt: undefined,
}

/** A rest longer than this between two moves is no work: the telephone rang. */
const LONGEST_REST_MIN = 5

/** The round that a leg is; 0 for what comes before the first, none for what is no round of the bag. */
export function roundOf(leg: string): number | undefined {
  if (leg === 'start') return 0
  return /^r\d+$/.test(leg) ? Number(leg.slice(1)) : undefined
}

/** The leg of a round of the bag. */
export function legOf(round: number): string {
  return round === 0 ? 'start' : `r${round}`
}

/** Minutes of work between the last move and this one; clocks that run backwards count nothing. */
function minutesSince({ movedAt }: MakeState, at: number): number {
  if (movedAt === undefined) return 0
  const minutes = (at - movedAt) / 60_000
  return minutes > 0 && minutes <= LONGEST_REST_MIN ? minutes : 0
}

function moved(state: MakeState, event: MakeEvent, spot: Spot): MakeState {
  const spent = minutesSince(state, event.at)
  const done = spot.beats === 'all'
  const legMinutes = state.legMinutes + spent
  return {
    ...state, spot, lastMove: event.id, movedAt: event.at, minutes: state.minutes + spent, paused: false,
    legMinutes: done ? 0 : legMinutes, trail: done ? { leg: spot.leg, minutes: legMinutes, before: state.trail } : state.trail,
  }
}

function ripped(state: MakeState, event: MakeEvent, toRound: number): MakeState {
  let { trail } = state
  let [rounds, minutes] = [0, state.legMinutes]
  for (; trail && (roundOf(trail.leg) ?? Infinity) > toRound; trail = trail.before) {
    if (roundOf(trail.leg) !== undefined) rounds++
    minutes += trail.minutes
  }
  return {
    ...moved(state, event, { leg: legOf(toRound), beats: toRound === 0 ? 0 : 'all' }), trail, legMinutes: 0,
    counts: state.counts.filter(({ round }) => round <= toRound), finishedAt: undefined,
    ripped: { times: state.ripped.times + 1, rounds: state.ripped.rounds + rounds, minutes: state.ripped.minutes + minutes },
  }
}

/** What one more event makes of a make. */
export function next(state: MakeState, event: MakeEvent): MakeState {
  switch (event.do) {
    case 'started':
      // Two devices can only have taken up the same: what was first holds.
      return state.plan ? state : { ...state, plan: event.plan, bag: event.bag, startedAt: event.at, movedAt: event.at }
    case 'moved':
      return moved(state, event, event.to)
    case 'ripped':
      return ripped(state, event, event.toRound)
    case 'counted':
      return { ...state, counts: [...state.counts.filter(({ round }) => round !== event.round), event] }
    case 'measured':
      return { ...state, measured: [...state.measured, event] }
    case 'weighed':
      return { ...state, weighed: [...state.weighed, event] }
    case 'noted':
      return { ...state, notes: [...state.notes, event] }
    case 'replanned':
      return { ...state, plan: event.plan, plansChanged: state.plansChanged + 1 }
    case 'paused':
      return { ...state, paused: true }
    case 'goneOn':
      return { ...state, paused: false, movedAt: event.at }
    case 'finished':
      return { ...state, finishedAt: event.at }
    case 'undone':
      return state
  }
}

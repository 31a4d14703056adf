import type { CountDeed, MakeEvent, Spot, WeighDeed, LogbookDeed } from './event'
import type { MakeState, Recorded } from './makeState'

/** A rest longer than this between two moves is no work: the telephone rang. */
const LONGEST_REST_MIN = 15

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

/** A state that is being folded; nobody else holds it. */
export type Folding = { -readonly [Name in keyof MakeState]: MakeState[Name] }

function move(state: Folding, event: MakeEvent, spot: Spot): void {
  const spent = minutesSince(state, event.at)
  state.legMinutes += spent
  state.minutes += spent
  state.spot = spot
  state.movedAt = event.at
  state.paused = false
  if (spot.beats !== 'all') return
  state.trail = { leg: spot.leg, minutes: state.legMinutes, before: state.trail }
  state.legMinutes = 0
}

function rip(state: Folding, event: MakeEvent, toRound: number): void {
  let { trail } = state
  let [rounds, minutes] = [0, state.legMinutes]
  for (; trail && (roundOf(trail.leg) ?? Infinity) > toRound; trail = trail.before) {
    if (roundOf(trail.leg) !== undefined) rounds++
    minutes += trail.minutes
  }
  move(state, event, { leg: legOf(toRound), beats: toRound === 0 ? 0 : 'all' })
  state.trail = trail
  state.legMinutes = 0
  state.counts = state.counts.filter(({ round }) => round <= toRound)
  state.measured = state.measured.filter(({ round }) => round <= toRound)
  state.looked = state.looked.filter(({ round }) => round <= toRound)
  // Yarn that was worked is on the ball again; old events do not say at which round they were.
  state.weighed = state.weighed.filter(({ round }) => round === undefined || round <= toRound)
  state.finishedAt = undefined
  state.ripped = { times: state.ripped.times + 1, rounds: state.ripped.rounds + rounds, minutes: state.ripped.minutes + minutes }
}

function start(state: Folding, { plan, bag, at }: Extract<MakeEvent, { readonly do: 'started' }>): void {
  // Two devices can only have taken up the same: what was first holds.
  if (state.plan) return
  state.plan = plan
  state.bag = bag
  state.startedAt = at
  state.movedAt = at
}

/** A count takes the place of an earlier one of its round; found the same again, what was chosen then stays. */
function count(state: Folding, event: Recorded<CountDeed>): void {
  const before = state.counts.find(({ round }) => round === event.round)
  if (before && before.choice !== 'as-planned' && event.choice === 'as-planned' && event.found === before.found) return
  state.counts = [...state.counts.filter(one => one !== before), event]
}

/** The last words of each. */
function wroteOver(before: MakeState['wrote'], { forWhom, hookMm, yarnUsed, notes, kept }: LogbookDeed): MakeState['wrote'] {
  const now = { forWhom, hookMm, yarnUsed, notes, kept }
  return { ...before, ...Object.fromEntries(Object.entries(now).filter(([, value]) => value !== undefined)) }
}

/** Remarks on the work. */
const TELLINGS = ['measured', 'leaned', 'stretched', 'weighed', 'looked', 'noted', 'wrote'] as const
type Telling = Extract<MakeEvent, { readonly do: (typeof TELLINGS)[number] }>

function isTelling(event: MakeEvent): event is Telling {
  return (TELLINGS as readonly string[]).includes(event.do)
}

/** Whether a measure is of the same thing as another: the later one corrects it. */
function measuresTheSame(a: MakeState['measured'][number], b: MakeState['measured'][number]): boolean {
  return a.do === b.do && a.round === b.round && (a.do !== 'measured' || b.do !== 'measured' || a.what === b.what)
}

/** Whether a weight corrects another. Of old events it is not known at which round they were: each stands for itself. */
function weighsTheSame(a: WeighDeed, b: WeighDeed): boolean {
  return a.round !== undefined && a.round === b.round && a.yarn === b.yarn && (a.of ?? 'left') === (b.of ?? 'left')
}

/** Writes down a remark on the work: it moves no hook. */
function tell(state: Folding, event: Telling): void {
  switch (event.do) {
    case 'weighed':
      state.weighed = [...state.weighed.filter(one => !weighsTheSame(one, event)), event]
      return
    case 'looked':
      state.looked = [...state.looked.filter(({ round }) => round !== event.round), event]
      return
    case 'noted':
      state.notes = [...state.notes, event]
      return
    case 'wrote':
      state.wrote = wroteOver(state.wrote, event)
      return
    default:
      state.measured = [...state.measured.filter(one => !measuresTheSame(one, event)), event]
  }
}

/** Events that undo passes over: they change nothing of the bag. */
const NO_DEEDS: ReadonlySet<MakeEvent['do']> = new Set(['started', 'paused', 'goneOn', 'undone'])

/** Folds one more event into a state. */
export function happen(state: Folding, event: MakeEvent): void {
  if (!NO_DEEDS.has(event.do)) state.lastDeed = event
  if (isTelling(event)) return tell(state, event)
  switch (event.do) {
    case 'started':
      return start(state, event)
    case 'moved':
      return move(state, event, event.to)
    case 'ripped':
      return rip(state, event, event.toRound)
    case 'counted':
      return count(state, event)
    case 'replanned':
      state.plan = event.plan
      state.plansChanged++
      return
    case 'paused':
      state.paused = true
      return
    case 'goneOn':
      state.paused = false
      state.movedAt = event.at
      return
    case 'finished':
      state.finishedAt = event.at
      return
    case 'undone':
      return
  }
}

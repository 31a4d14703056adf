import type { Draft } from '../../bag/draft/draft'
import type { InHand } from '../make/plan'
import type { StitchKind } from '../../things/stitch/dictionary'
import type { WorkedRound } from '../../things/round/workedRound'
import { type Skill, paceAt } from './skill'
import { keyOf, mostly } from './paceKey'

/** How long something takes, in minutes: about, and from what to what nine times of ten. */
interface TimeNeeded {
  readonly minutes: number
  readonly low: number
  readonly high: number
  /** So many bags stand behind it; none: the craft says so. */
  readonly bags: number
}

/** Minutes that telling steps of finishing take, each (from memory). */
const STEP_MIN = 4

/** Stitches by the key of their pace. */
class Work {
  readonly stitches = new Map<string, { kind: StitchKind, count: number }>()

  add(drafted: Draft, part: string, worked: WorkedRound): void {
    const { kind, stitches } = mostly(worked)
    const key = keyOf(drafted, part, kind)
    this.stitches.set(key, { kind, count: stitches + (this.stitches.get(key)?.count ?? 0) })
  }

  /** How long it takes: the paces err together, as one pair of hands does, and ripping back for itself. */
  time(hands: Skill, steps: number): TimeNeeded {
    let [minutes, high] = [0, 0]
    for (const [key, { kind, count }] of this.stitches) {
      const seconds = paceAt(hands, key, kind)
      minutes += (count * seconds.value) / 60
      high += (count * seconds.nextHigh) / 60
    }
    const { again } = hands
    const range = minutes > 0 ? Math.hypot(Math.log(high / minutes), Math.log(again.nextHigh / again.value)) : 0
    const all = minutes * again.value + steps * STEP_MIN
    return { minutes: all, low: all / Math.exp(range), high: all * Math.exp(range), bags: hands.speed.bags }
  }
}

/** How long a bag takes, from the first chain to the last end. */
export function timeOfBag(drafted: Draft, hands: Skill): TimeNeeded {
  const work = new Work()
  for (const { part, worked } of drafted.rounds) work.add(drafted, part, worked)
  for (const part of drafted.parts) {
    for (const piece of part.pieces)
      for (let i = 0; i < piece.times; i++) for (const row of piece.rows) work.add(drafted, part.id, row)
  }
  return work.time(hands, 3)
}

/** How long what is left of a bag in hand takes. */
export function timeLeft({ draft: drafted, road, at: { index, done, leg } }: InHand, hands: Skill): TimeNeeded {
  const work = new Work()
  const left = road.legs.slice(index)
  for (const { part, worked } of left) if (worked) work.add(drafted, part, worked)
  const all = work.time(hands, left.filter(({ sort }) => sort === 'steps').length)
  if (!leg?.worked || done === 0) return all
  // Of the round in hand what is done is done.
  const inHand = new Work()
  inHand.add(drafted, leg.part, leg.worked)
  const share = done / Math.max(1, leg.beats().length)
  const gone = inHand.time(hands, 0)
  return {
    ...all, minutes: all.minutes - share * gone.minutes, low: all.low - share * gone.low, high: Math.max(0, all.high - share * gone.high),
  }
}

function clock(minutes: number): string {
  const step = minutes < 10 ? 1 : minutes < 120 ? 5 : 10
  const whole = Math.max(1, step * Math.round(minutes / step))
  const [hours, rest] = [Math.floor(whole / 60), whole % 60]
  return hours === 0 ? `${rest} min` : rest === 0 ? `${hours} h` : `${hours} h ${rest}`
}

/** A time with its range: "about 2 h 10 to 2 h 50". */
export function timeWords({ low, high }: TimeNeeded): string {
  const [from, to] = [clock(low), clock(high)]
  return from === to ? `about ${from}` : `about ${from} to ${to}`
}

/** Minutes in hours and minutes. */
export function minutesWords(minutes: number): string {
  return clock(minutes)
}

/** On how many evenings, and how many days from today the last of them is. */
interface Evenings {
  readonly from: number
  readonly to: number
  readonly days: number
}

/** The evenings that a time takes as evenings have gone so far; the first is today. */
export function eveningsFor({ low, high, minutes }: TimeNeeded, { evenings }: Skill): Evenings {
  const of = (time: number) => Math.max(1, Math.ceil(time / Math.max(5, evenings.minutes)))
  return { from: of(low), to: of(high), days: Math.max(0, Math.round((of(minutes) - 1) * evenings.daysApart)) }
}

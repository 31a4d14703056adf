import type { InHand } from '../make/plan'
import type { MakeEvent } from '../make/event'
import { roundOf } from '../make/state'
import type { Leg } from '../../readers/beats/leg'
import type { StitchKind } from '../../things/stitch/dictionary'
import { mostly } from './paceKey'

/** A round or row worked to its end, and how long it took. */
export interface WorkedLeg {
  readonly leg: string
  readonly part: string
  /** The round of the bag; none of a piece's row. */
  readonly round: number | undefined
  /** When it was done, in milliseconds since 1970. */
  readonly at: number
  readonly minutes: number
  /** The sitting's minutes when it was begun. */
  readonly into: number
  /** A rest lay in it that was no work: its minutes say nothing of the pace. */
  readonly broken: boolean
  readonly stitches: number
  /** The stitch that most of it is, and the share of it. */
  readonly kind: StitchKind
}

/** A sitting: from when to when, and the minutes at work in it. */
export interface Sitting {
  readonly from: number
  readonly to: number
  readonly minutes: number
}

/** A rest longer than this between two moves is no work: the telephone rang. */
const LONGEST_REST_MIN = 15
/** After a rest longer than this one sits down anew. */
const SITTING_APART_MIN = 120

const NO_TIME = 60_000

/** Goes through the moves of a make, one by one: when, where to, and how long since the last. */
class Clock {
  readonly legs: WorkedLeg[] = []
  readonly sittings: { from: number, to: number, minutes: number }[] = []
  private movedAt: number | undefined
  private minutes = 0
  private broken = false
  private into = 0

  constructor(private readonly known: ReadonlyMap<string, Leg>) {}

  begin(at: number): void {
    this.sit(at)
    this.movedAt = at
  }

  /** A pause told: what comes before the next move is no work. */
  pause(): void {
    this.broken = true
  }

  /** Taken up again after a pause. */
  goOn(at: number): void {
    this.movedAt = at
    this.sit(at)
  }

  move(at: number, leg: string, whole: boolean): void {
    this.pass(at)
    if (!whole) return
    this.done(leg, at)
    this.leave()
  }

  rip(at: number): void {
    this.pass(at)
    this.leave()
  }

  private leave(): void {
    this.minutes = 0
    this.broken = false
    this.into = this.sittings.at(-1)?.minutes ?? 0
  }

  private sit(at: number): void {
    const last = this.sittings.at(-1)
    if (last && at - last.to <= SITTING_APART_MIN * NO_TIME) return
    this.sittings.push({ from: at, to: at, minutes: 0 })
    this.into = 0
  }

  private pass(at: number): void {
    const minutes = this.movedAt === undefined ? 0 : (at - this.movedAt) / NO_TIME
    this.sit(at)
    const sitting = this.sittings.at(-1)!
    if (minutes > LONGEST_REST_MIN || minutes < 0) this.broken = true
    else {
      this.minutes += minutes
      sitting.minutes += minutes
    }
    sitting.to = Math.max(sitting.to, at)
    this.movedAt = at
  }

  private done(id: string, at: number): void {
    const worked = this.known.get(id)?.worked
    if (!worked) return
    const { kind, stitches } = mostly(worked)
    this.legs.push({
      leg: id, part: this.known.get(id)!.part, round: roundOf(id), at, minutes: this.minutes, into: this.into, broken: this.broken,
      stitches, kind,
    })
  }
}

/** The legs of a make that were worked, ripped ones too, and its sittings. */
export function workedRoundsOf(events: readonly MakeEvent[], { road }: Pick<InHand, 'road'>): {
  readonly legs: readonly WorkedLeg[]
  readonly sittings: readonly Sitting[]
} {
  const clock = new Clock(new Map(road.legs.map(leg => [leg.id, leg])))
  for (const event of events) {
    if (event.do === 'started') clock.begin(event.at)
    else if (event.do === 'moved') clock.move(event.at, event.to.leg, event.to.beats === 'all')
    else if (event.do === 'ripped') clock.rip(event.at)
    else if (event.do === 'paused') clock.pause()
    else if (event.do === 'goneOn') clock.goOn(event.at)
  }
  return { legs: clock.legs, sittings: clock.sittings.filter(({ minutes }) => minutes > 0) }
}

import type { Leg, Route } from '../../core/readers/beats/leg'
import { routeOf } from '../../core/readers/beats/route'
import type { Design } from '../../core/bag/design/design'
import type { Measure } from '../../core/bag/design/measures'
import { draft, type Draft } from '../../core/bag/draft/draft'
import type { CountCorrection } from '../../core/bag/draft/replan/countCorrection'
import type { Measurement } from '../../core/bag/draft/replan/measurements'
import { expected } from '../../core/making/make/expectedLength'
import type { Deed, MakeEvent } from '../../core/making/make/event'
import { STITCH_KINDS, type StitchKind } from '../../core/things/stitch/dictionary'
import { yarnNeeds } from '../../core/bag/yarn/yarn'
import type { Dice, TrueHands } from './maker'

/*
 * The simulated maker at any bag of the demo world: follows the plan's road leg by leg, with a clock, a tape and scales. What the tape
 * says is the plan's length made larger or smaller by these hands; the plan's own doubt plays no part in it.
 */

/** What a stitch takes beside a single crochet of the same hands (from memory). */
const EFFORT: Readonly<Record<StitchKind, number>> = { ch: 0.45, slst: 0.7, sc: 1, hdc: 1.15, dc: 1.4, tr: 1.8 }

const DAY_MS = 86_400_000

/** How a bag is to be made: from when on, how far, for whom. */
export interface Telling {
  readonly name: string
  readonly from: number
  /** Evenings begin at this hour, in Greenwich's time. */
  readonly hour: number
  readonly forWhom?: string
  readonly notes?: string
  /** The hook is left here: the bag is still in hand. */
  readonly until?: { readonly leg: string, readonly beats: number | 'all' }
  /** The floor's measure redrafts what lies above. */
  readonly redrafts?: boolean
  /** A count that is off, and lived with. */
  readonly oddRound?: number
  /** Which rounds are ripped back from, and by how many. */
  readonly rips?: Readonly<Record<number, number>>
}

/** One bag on these hands' hook, event by event. */
class AtTheHook {
  readonly events: MakeEvent[] = []
  private taken: Measurement[] = []
  private found: CountCorrection[] = []
  private drafted: Draft
  private road: Route
  private at: number
  private sitting = 0
  private last: string | undefined
  private readonly pace: number
  private readonly day: { readonly wide: number, readonly tall: number }

  constructor(
    private readonly plan: Design,
    private readonly hands: TrueHands,
    private readonly dice: Dice,
    private readonly telling: Telling,
  ) {
    this.drafted = draft(plan)
    this.road = routeOf(this.drafted)
    this.at = telling.from
    this.pace = hands.seconds * Math.exp(dice.normal(0.05))
    const own = dice.normal(hands.daySpread)
    this.day = { wide: own - hands.swatchBias, tall: own - hands.swatchBias + dice.normal(0.008) }
  }

  write(deed: Deed, moves = false): void {
    const id = `${this.telling.name}.${this.events.length}`
    const after = moves && this.last ? { after: [this.last] } : {}
    this.events.push({ id, turn: this.events.length + 1, at: Math.round(this.at / 1000) * 1000, ...deed, ...after } as MakeEvent)
    if (moves) this.last = id
  }

  /** Works for a while; an evening has its end, and the next one comes in a day or three. */
  pass(seconds: number): void {
    const evening = (55 + 45 * this.dice.share()) * 60
    if (this.sitting + seconds > evening) {
      const next = Math.floor(this.at / DAY_MS) + this.dice.whole(1, 3)
      this.at = next * DAY_MS + (this.telling.hour + this.dice.normal(0.4)) * 3_600_000
      this.sitting = 0
      this.write({ do: 'goneOn' })
    }
    this.at += 1000 * seconds
    this.sitting += seconds
  }

  private seconds({ worked, sort }: Leg): number {
    const tired = this.sitting > 45 * 60 ? 1 + this.hands.tired : 1
    if (!worked) return sort === 'steps' ? 150 * Math.exp(this.dice.normal(0.4)) : 120
    let effort = 0
    worked.stitches.forEach((code, i) => {
      const kind = STITCH_KINDS[code]!
      effort += EFFORT[kind] * (kind === 'ch' ? Math.max(1, worked.edge.chains[i]!) : 1)
    })
    return (5 + effort * this.pace * tired) * Math.exp(this.dice.normal(0.08))
  }

  work(leg: Leg): void {
    const rang = this.dice.share() < 0.03 ? 60 * this.dice.whole(3, 12) : 0
    this.pass(this.seconds(leg) + rang)
    this.write({ do: 'moved', to: { leg: leg.id, beats: 'all' } }, true)
  }

  /** What the tape says, where the plan says another length. */
  private tape(round: number, what: Measure, redrafts: boolean): void {
    const here = expected(this.drafted, round, what)
    const planned = draft(this.plan, { found: this.found })
    const part = planned.parts.find(({ id }) => id === here?.part.id)
    if (!here || !part) return
    // As many rounds of it as are worked, at the height that the plan gave them.
    const inPart = Math.min(here.rounds, part.rounds.length)
    const said = expected(planned, part.firstRound - 1 + inPart, what)
    if (!said) return
    const told = said.length.cm * (what === 'part-height' ? here.rounds / inPart : 1)
    const along = round / this.drafted.rounds.length - 0.5
    const ratio = (what === 'flat-width' ? this.day.wide : this.day.tall) + this.hands.drift * along
    const cm = Math.max(0.5, Math.round(10 * (told * Math.exp(ratio) + this.dice.normal(this.hands.tapeCm))) / 10)
    this.pass(35)
    this.write({ do: 'measured', round, what, cm, ...(redrafts ? { redrafts: true as const } : {}) })
    if (!redrafts) return
    this.taken = [...this.taken, { round, what, cm }]
    this.redraft()
  }

  private redraft(): void {
    this.drafted = draft(this.plan, { before: this.drafted, found: this.found, taken: this.taken })
    this.road = routeOf(this.drafted)
  }

  private measure(round: number): void {
    const part = this.drafted.parts.find(one => round >= one.firstRound && round < one.firstRound + one.rounds.length)!
    const inPart = round - part.firstRound + 1
    const last = inPart === part.rounds.length
    if (part.id === 'base') {
      if (!last) return
      this.tape(round, 'base-width', this.telling.redrafts === true)
      if (part.size.floor?.shape !== 'disc') this.tape(round, 'base-length', this.telling.redrafts === true)
      else this.write({ do: 'looked', round, lies: 'flat' })
      return
    }
    if (part.size.height.cm < 4 || part.handles.length > 0) return
    if (inPart === 10 && !last) this.tape(round, 'part-height', false)
    if (!last) return
    this.tape(round, 'part-height', false)
    this.tape(round, 'flat-width', false)
  }

  private count(round: number): void {
    const { worked } = this.drafted.rounds[round - 1]!
    const planned = worked.edge.count
    if (round === this.telling.oddRound) {
      const found = [{ round, count: planned - 1 }]
      if (draft(this.plan, { found }).findings.some(({ weight }) => weight === 'stop')) return
      this.found = found
      this.write({ do: 'counted', round, planned, found: planned - 1, choice: 'live-with-it' })
      this.redraft()
    }
    else if (round % 7 === 0) this.write({ do: 'counted', round, planned, found: planned, choice: 'as-planned' })
  }

  private rip(round: number, by: number): void {
    this.pass(90)
    this.write({ do: 'ripped', toRound: round - by }, true)
    for (let again = round - by + 1; again <= round; again++) this.work(this.road.legs[this.road.at.get(`r${again}`)!]!)
  }

  private scales(grams: number, round: number): void {
    const [yarn] = this.plan.yarns
    this.write({ do: 'weighed', yarn: yarn!.id, grams, of: 'left', round })
  }

  make(): readonly MakeEvent[] {
    const { telling, hands } = this
    this.write({ do: 'started', plan: this.plan })
    const { forWhom, notes } = telling
    if (forWhom ?? notes) this.write({ do: 'wrote', ...(forWhom ? { forWhom } : {}), ...(notes ? { notes } : {}) })
    this.write({ do: 'noted', text: 'Made by the simulated maker of the demo world.', marker: false })
    this.scales(250, 0)
    for (let i = 0; i < this.road.legs.length; i++) {
      const leg = this.road.legs[i]!
      if (leg.id === telling.until?.leg && telling.until.beats !== 'all') {
        this.pass(30)
        this.write({ do: 'moved', to: telling.until }, true)
        return this.events
      }
      this.work(leg)
      if (leg.sort === 'round') {
        this.count(leg.number)
        const by = telling.rips?.[leg.number]
        if (by) this.rip(leg.number, by)
        this.measure(leg.number)
      }
      if (leg.id === telling.until?.leg) return this.events
    }
    this.pass(60)
    this.write({ do: 'finished' })
    const metres = yarnNeeds(this.drafted)[0]!.metres * Math.exp(this.day.wide)
    this.scales(Math.round(250 - 100 * metres * hands.gramsPerCm), this.drafted.rounds.length)
    return this.events
  }
}

/** Makes a bag of the demo world. */
export function makeAny(plan: Design, hands: TrueHands, dice: Dice, telling: Telling): readonly MakeEvent[] {
  return new AtTheHook(plan, hands, dice, telling).make()
}

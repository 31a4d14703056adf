import type { Design, DesignGauge } from '../../core/bag/design/design'
import { draft } from '../../core/bag/draft/draft'
import type { Deed, MakeEvent } from '../../core/making/make/event'
import { Chance } from '../siege/seededDraws'

/*
 * A simulated maker: hands whose tension, drift, pace and slips are known, because they are made up here. They work a plan as a person
 * would, and write the events that the hook's screen would. Nothing of what the program estimates is used: sizes come from the stitches
 * alone, counted from the plan's rounds.
 */

/** Numbers by chance, from one to another too. */
export class Dice extends Chance {
  whole(from: number, to: number): number {
    return from + this.below(to - from + 1)
  }
}

/** Hands with everything about them known. */
export interface TrueHands {
  /** A single crochet of theirs, in centimetres, before the bag's own day. */
  readonly wideCm: number
  readonly tallCm: number
  /** How much larger their swatches come out than their bags, as a logarithm. */
  readonly swatchBias: number
  /** How much tighter they are at a bag's end than at its beginning, as a logarithm. */
  readonly drift: number
  /** How far their bags differ. */
  readonly daySpread: number
  /** Seconds of a single crochet. */
  readonly seconds: number
  /** What a taller stitch takes beside it. */
  readonly tallFactor: number
  readonly tired: number
  /** How often a round is ripped back. */
  readonly slips: number
  readonly tapeCm: number
  /** Grams of yarn in a centimetre. */
  readonly gramsPerCm: number
}

/** A maker drawn by lot. */
export function someHands(dice: Dice): TrueHands {
  return {
    wideCm: 0.5 * Math.exp(dice.normal(0.1)), tallCm: 0.46 * Math.exp(dice.normal(0.1)), swatchBias: dice.normal(0.04),
    drift: -Math.abs(dice.normal(0.02)), daySpread: 0.01 + 0.015 * dice.share(), seconds: 3.5 * Math.exp(dice.normal(0.3)),
    tallFactor: 1.1 + 0.2 * dice.share(), tired: 0.05 + 0.1 * dice.share(), slips: 0.03 * dice.share(), tapeCm: 0.1 + 0.15 * dice.share(),
    gramsPerCm: 0.004 * Math.exp(dice.normal(0.2)),
  }
}

/** A swatch as those hands make it, counted to the half stitch over ten centimetres. */
export function swatchOf(hands: TrueHands, dice: Dice): DesignGauge {
  const of = (cm: number) => Math.round((2 * 10) / (cm * Math.exp(hands.swatchBias + dice.normal(0.015)))) / 2
  return { hookMm: 4, strands: 1, measured: { sc: { stitches: of(hands.wideCm), rounds: of(hands.tallCm), overCm: 10 } } }
}

/** Heights of stitches beside a single crochet's, as these hands make them (from memory). */
const TALL: Readonly<Record<number, number>> = { 2: 1, 3: 1.4, 4: 2, 5: 2.8 }

/** A bag as it really came out. */
export interface Made {
  readonly events: readonly MakeEvent[]
  /** What its floor is across, its wall is tall, and it is wide lying flat, in truth. */
  readonly acrossCm: number
  readonly wallCm: number
  readonly flatCm: number
  readonly minutes: number
  /** Seconds that a stitch took, what was ripped back left out. */
  readonly secondsEach: number
  readonly grams: number
}

/** Writes events one after the other, with the clock of the maker's day. */
class Hook {
  readonly events: MakeEvent[] = []
  private last: string | undefined

  constructor(private readonly name: string, public at: number) {}

  write(deed: Deed, moves = false): void {
    const id = `${this.name}.${this.events.length}`
    const after = moves && this.last ? { after: [this.last] } : {}
    this.events.push({ id, turn: this.events.length + 1, at: Math.round(this.at), ...deed, ...after } as MakeEvent)
    if (moves) this.last = id
  }

  pass(seconds: number): void {
    this.at += 1000 * seconds
  }
}

const SITTING_S = 70 * 60
const DAY_MS = 86_400_000

/** What a maker does besides working: whether the tape is laid, the yarn weighed, the bag finished. */
export interface Manner {
  readonly measures: boolean
  readonly name: string
  readonly from: number
  /** Stops after so many rounds: the bag is still in hand. */
  readonly upTo?: number
  readonly weighs?: boolean
}

/** Works a bag of single crochet on a round floor, round by round. */
export function makeBag(plan: Design, hands: TrueHands, dice: Dice, manner: Manner): Made {
  const { rounds, parts } = draft(plan)
  const floor = parts[0]!.rounds.length
  const day = Math.exp(dice.normal(hands.daySpread))
  const size = (round: number) => day * Math.exp(hands.drift * ((round / rounds.length) - 0.5))
  const wide = (round: number) => hands.wideCm * size(round)
  const tall = (round: number) => hands.tallCm * size(round) * (TALL[rounds[round - 1]!.worked.stitches[0]!] ?? 1)
  const risen = (from: number, to: number) => {
    let cm = 0
    for (let round = from; round <= to; round++) cm += tall(round)
    return cm
  }
  // A disc reaches as far as its rounds; where its edge is too short for that it stands as a dish, and the edge is its rim.
  const across = Math.min(2 * risen(1, floor), (rounds[floor - 1]!.worked.edge.count * wide(floor)) / Math.PI)
  const tape = (cm: number) => Math.round(10 * (cm + dice.normal(hands.tapeCm))) / 10
  const hook = new Hook(manner.name, manner.from)
  let sitting = 0
  let [seconds, first, stitches] = [0, 0, 0]
  const pace = hands.seconds * Math.exp(dice.normal(0.05))

  function work(round: number, again = false): void {
    const { worked } = rounds[round - 1]!
    const each = pace * (worked.stitches[0] === 2 ? 1 : hands.tallFactor) * (sitting > 45 * 60 ? 1 + hands.tired : 1)
    const took = (4 + worked.stitches.length * each) * Math.exp(dice.normal(0.07))
    if (sitting + took > SITTING_S * (0.6 + 0.8 * dice.share())) {
      hook.at += DAY_MS * dice.whole(1, 2) - 1000 * sitting
      sitting = 0
    }
    const rang = dice.share() < 0.03 ? 60 * dice.whole(3, 12) : 0
    hook.pass(took + rang)
    sitting += took + rang
    seconds += took
    first += again ? 0 : took
    stitches += again ? 0 : worked.stitches.length
    hook.write({ do: 'moved', to: { leg: `r${round}`, beats: 'all' } }, true)
  }

  hook.write({ do: 'started', plan })
  if (manner.weighs) hook.write({ do: 'weighed', yarn: plan.yarns[0]!.id, grams: 200, of: 'left', round: 0 })
  hook.pass(60)
  hook.write({ do: 'moved', to: { leg: 'start', beats: 'all' } }, true)
  const last = manner.upTo ?? rounds.length
  for (let round = 1; round <= last; round++) {
    work(round)
    if (dice.share() < hands.slips && round > floor + 3) {
      const back = round - dice.whole(1, 3)
      hook.pass(60)
      hook.write({ do: 'ripped', toRound: back }, true)
      for (let redone = back + 1; redone <= round; redone++) work(redone, true)
    }
    if (!manner.measures) continue
    if ([floor, floor + 10, rounds.length].includes(round)) hook.pass(40)
    if (round === floor) hook.write({ do: 'measured', round, what: 'base-width', cm: tape(across) })
    if (round === floor) hook.write({ do: 'looked', round, lies: 'flat' })
    if (round === floor + 10 || round === rounds.length)
      hook.write({ do: 'measured', round, what: 'height', cm: tape(risen(floor + 1, round)) })
    if (round === rounds.length) {
      const flat = (rounds[round - 1]!.worked.edge.count * wide(round)) / 2
      hook.write({ do: 'measured', round, what: 'flat-width', cm: tape(flat) })
    }
  }
  const eaten = rounds.slice(0, last).reduce((cm, { number, worked }) => cm + 7.3 * wide(number) * worked.stitches.length, 30)
  const grams = eaten * hands.gramsPerCm
  if (last === rounds.length) {
    const ends = 600 * Math.exp(dice.normal(0.3))
    hook.pass(ends)
    seconds += ends
    hook.write({ do: 'finished' })
  }
  if (manner.weighs) hook.write({ do: 'weighed', yarn: plan.yarns[0]!.id, grams: Math.round(200 - grams), of: 'left', round: last })
  return {
    events: hook.events, acrossCm: across, wallCm: risen(floor + 1, last),
    flatCm: (rounds[last - 1]!.worked.edge.count * wide(last)) / 2, minutes: seconds / 60, secondsEach: first / stitches, grams,
  }
}

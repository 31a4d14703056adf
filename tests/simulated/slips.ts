import type { Design } from '../../core/bag/design/design'
import type { Measure } from '../../core/bag/design/measures'
import { diagnose } from '../../core/making/make/diagnosis'
import type { Deed, MakeEvent } from '../../core/making/make/event'
import { afterAll, eventOf, MakeLog } from '../../core/making/make/fold'
import { measuring } from '../../core/making/make/measuring'
import { type InHand, inHand } from '../../core/making/make/plan'
import { undoing } from '../../core/making/make/undo'
import { countable } from '../../core/bag/draft/replan/countCorrection'
import type { Dice, TrueHands } from './maker'

/*
 * A simulated maker who slips: miscounts the stitches worked, reads the tape wrong, types what was not meant, and corrects what the program
 * questions or the eye sees. What is really worked is drawn from one pair of dice and what slips in telling it from another, so that the
 * same bag can be told with slips and without.
 */

/** How often a figure that is told is slipped first, and how often a slip that nothing questions is seen by the maker. */
export interface Slipping {
  readonly figures: number
  readonly seen: number
}

/** A bag that was worked and told so. */
export interface Told {
  readonly events: readonly MakeEvent[]
  /** The bag in hand at the end, as the program draws it. */
  readonly hand: InHand
  readonly acrossCm: number
  readonly wallCm: number
  readonly flatCm: number
  /** Figures told wrong first; how many of them were questioned, and how many stood to the end. */
  readonly slips: number
  readonly questioned: number
  readonly left: number
}

/** A slip of the tape: what is read of what is there. */
const SLIPS_OF_TAPE: readonly ((cm: number) => number)[] = [cm => cm / 2.54, cm => cm / 2, cm => cm * 10, cm => cm + 1]

/** A slip in typing a count: a figure twice, one left out, two exchanged, the next one. */
const SLIPS_OF_COUNT: readonly ((count: number) => number)[] = [
  count => Number(`${count}${count % 10}`), count => Number(`${count}`.slice(0, -1)), count => count + 9, count => count + 1,
]

const hundredths = (cm: number) => Math.round(100 * cm) / 100

/** Works a bag of single crochet on a round floor, telling what a maker tells; questions are answered as the tape then says. */
export class SlippingMaker {
  private readonly log = new MakeLog()
  private n = 0
  private slips = 0
  private questioned = 0
  private left = 0

  constructor(
    private readonly plan: Design,
    private readonly hands: TrueHands,
    private readonly work: Dice,
    private readonly telling: Dice,
    private readonly slipping: Slipping,
  ) {}

  private get hand(): InHand {
    return inHand(this.log.state)!
  }

  private happen(deed: Deed): void {
    this.n++
    this.log.add([eventOf(this.log, deed, { id: `s.${String(this.n).padStart(4, '0')}`, at: 60_000 * this.n })])
  }

  private move(leg: string): void {
    this.happen({ do: 'moved', to: { leg, beats: 'all' }, ...afterAll(this.log) })
  }

  private slipped<T>(right: T, slips: readonly ((right: T) => T)[]): T {
    const isSlip = this.telling.share() < this.slipping.figures
    const how = slips[this.telling.below(slips.length)]!
    return isSlip ? how(right) : right
  }

  /** A length, told until it is not questioned; a slip that nobody questions is seen by the maker, or stands. */
  private tape(round: number, what: Measure, trueCm: number): void {
    const right = hundredths(Math.round(10 * (trueCm + this.work.normal(this.hands.tapeCm))) / 10)
    const typed = hundredths(this.slipped(right, SLIPS_OF_TAPE))
    const deed = (cm: number): Deed => ({ do: 'measured', round, what, cm, redrafts: true })
    if (typed === right) return this.happen(deed(right))
    this.slips++
    if (measuring(this.hand, { round, what, cm: typed }).doubt) {
      this.questioned++
      return this.happen(deed(right))
    }
    this.happen(deed(typed))
    this.see(() => this.happen(deed(right)), deed(right))
  }

  /** Corrects a wrong figure by telling it anew, or by undo first; or leaves it unseen. */
  private see(again: () => void, right: Deed): void {
    if (this.telling.share() >= this.slipping.seen) {
      this.left++
      return
    }
    if (this.telling.share() < 0.5) return again()
    this.happen(undoing(this.log)!)
    this.happen(right)
  }

  /** A round that is counted: what was worked may be one off; what is typed may be another number. */
  private count(round: number): void {
    const planned = countable(this.hand.draft.rounds[round - 1]!.worked).number
    const off = this.work.share() < 0.25 ? (this.work.share() < 0.5 ? -1 : 1) : 0
    const which = this.work.share()
    const found = planned + off
    const typed = this.slipped(found, SLIPS_OF_COUNT)
    if (typed !== found) {
      this.slips++
      // What is far off is asked about before anything is written down; what is near is written down, and seen at the recount.
      if (Math.abs(typed - planned) > 3) this.questioned++
      else this.happen(this.counted(round, typed, which))
    }
    this.happen(this.counted(round, found, which))
  }

  private counted(round: number, found: number, which: number): Deed {
    const meant = diagnose(this.hand, this.log.state, round, found, { terms: 'us', repeats: 'brackets' })
    const ways = meant?.ways.flatMap(({ counted }) => (counted ? [counted] : [])) ?? []
    const way = ways[Math.floor(which * ways.length)]
    if (way) return { ...way }
    const planned = meant?.planned ?? found
    return { do: 'counted', round, planned, found, choice: found === planned ? 'as-planned' : 'live-with-it' }
  }

  /** Works the bag to its end. */
  make(): Told {
    this.happen({ do: 'started', plan: this.plan })
    this.move('start')
    const { hands } = this
    const day = Math.exp(this.work.normal(hands.daySpread))
    const wide = hands.wideCm * day
    const tall = hands.tallCm * day
    const floor = this.hand.draft.parts[0]!.rounds.length
    const edge = (round: number) => this.hand.draft.rounds[round - 1]!.worked.edge.count
    const across = () => Math.min(2 * floor * tall, (edge(floor) * wide) / Math.PI)
    for (let round = 1; round <= this.hand.draft.rounds.length; round++) {
      this.move(`r${round}`)
      if ([floor - 2, floor, floor + 4, floor + 11].includes(round)) this.count(round)
      if (round === floor) this.tape(round, 'base-width', across())
      if (round === floor + 12) this.tape(round, 'height', 12 * tall)
      if (round === floor + 13) this.tape(round, 'flat-width', (edge(round) * wide) / 2)
    }
    const { rounds } = this.hand.draft
    this.happen({ do: 'finished' })
    return {
      events: this.log.events, hand: this.hand, acrossCm: across(), wallCm: (rounds.length - floor) * tall,
      flatCm: (rounds.at(-1)!.worked.edge.count * wide) / 2, slips: this.slips, questioned: this.questioned, left: this.left,
    }
  }
}

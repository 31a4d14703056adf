import { byName } from '../measure/byName'
import { STITCH_CODE } from '../stitch/dictionary'
import { type Edge, PLACE_CODE } from './edge'
import type { Reading } from './readingOrder'
import type { Closing } from './round'
import {
  type Aim, AIMS, type ChainStep, type GroupStep, type Loop, LOOPS, type SkipStep, type Step, type StitchStep, type TogetherStep,
} from './step'
import type { Things } from './things'
import { skippedBetween } from './workedRound'
import type { WorkError } from './workError'

const SPACE = PLACE_CODE.space
const STITCH = PLACE_CODE.stitch
const RING = PLACE_CODE.ring
const AIM_CODE = byName(AIMS, (_, code) => code)
const LOOP_CODE = byName(LOOPS, (_, code) => code)

function isPost(loop: Loop | undefined): boolean {
  return loop === 'frontPost' || loop === 'backPost'
}

/** The hook on its way round: the finger on the edge below, and how much is made. */
export class Hook {
  /** The next unworked place, in reading order. */
  private reading = 0
  /** Chains of that place already worked into one at a time. */
  private chainsUsed = 0
  /** The place used last, -1 before the first. */
  private used = -1
  private passesTops = false
  /** The reading that the step in hand began at. */
  private begun = 0
  error: WorkError | undefined

  /** The first thing made on or after each of the two sides of the edge below, -1 while there is none. */
  private readonly beyond = [-1, -1]
  /** The readings of those sides, and the nearest that nothing was made beyond so far. */
  private readonly sides: readonly number[]
  private nextSide: number

  constructor(private readonly on: Edge, private readonly order: Reading, private readonly things: Things) {
    this.sides = [order.ofSide(on.sides[0]), order.ofSide(on.sides[1])]
    this.nextSide = Math.min(this.sides[0]!, this.sides[1]!)
  }

  /** How much is made. */
  private get made(): number {
    return this.things.count
  }

  private isRing(place: number): boolean {
    return this.on.kinds[place] === RING
  }

  private fail(error: WorkError): false {
    this.error ??= error
    return false
  }

  private make(stitch: number, loop: number, aim: number, first: number, last: number): void {
    if (this.begun >= this.nextSide) this.passSides(this.begun, 1)
    this.things.stitch(stitch, loop, aim, first, last)
  }

  /** Notes the sides that the next things, from a reading on and one to a place, are the first to stand on or beyond. */
  private passSides(from: number, things: number): void {
    this.nextSide = Infinity
    for (const [i, side] of this.sides.entries()) {
      if (this.beyond[i]! >= 0) continue
      if (side < from + things) this.beyond[i] = this.things.count + Math.max(side - from, 0)
      else this.nextSide = Math.min(this.nextSide, side)
    }
  }

  private makeSpace(chains: number, aim: number, first: number, last: number, closedBy?: number): void {
    if (this.begun >= this.nextSide) this.passSides(this.begun, 1)
    this.things.space(chains, aim, first, last, closedBy)
  }

  /** Chains spring from the place used last and go to the next one. */
  private makeChains(run: number, closedBy?: number): true {
    this.begun = this.reading
    const before = Math.max(this.used, 0)
    const after = Math.max(this.order.placeAt(Math.min(this.reading, this.on.count - 1)), 0)
    this.makeSpace(run, 0, before, after, closedBy)
    return true
  }

  /** Puts the finger on what an aim means and says which place that is; -1 and an error if there is none. */
  private take(aim: Aim): number {
    if (aim === 'same') {
      if (this.used < 0) this.fail({ code: 'nothing-before', made: this.made })
      return this.used
    }
    if (aim === 'start') {
      this.begun = this.reading
      return this.order.placeAt(0)
    }
    if (aim === 'space') this.passTops()
    if (this.reading >= this.on.count) {
      this.fail(aim === 'space'
        ? { code: 'no-space', made: this.made }
        : { code: 'ran-out', made: this.made, places: this.on.count })
      return -1
    }
    const place = this.order.placeAt(this.reading)
    this.used = place
    this.begun = this.reading
    if (aim === 'chains') this.useChain(place)
    else if (!this.isRing(place)) this.reading++
    return place
  }

  private passTops(): void {
    this.passesTops = true
    while (this.reading < this.on.count && this.on.kinds[this.order.placeAt(this.reading)] !== SPACE) this.reading++
  }

  private useChain(place: number): void {
    if (++this.chainsUsed < Math.max(this.on.chains[place]!, 1)) return
    this.chainsUsed = 0
    this.reading++
  }

  private stitch(step: StitchStep): boolean {
    const code = STITCH_CODE[step.kind]
    const loop = step.loop ? LOOP_CODE[step.loop] : 0
    const aim = step.aim ?? 'next'
    if (isPost(step.loop) && !this.hasPosts(step.times)) return this.fail({ code: 'no-post', made: this.made })
    if (aim === 'next' && this.straightOn(step.times)) return this.inRow(code, loop, step.times)
    for (let i = 0; i < step.times; i++) if (!this.one(code, loop, aim)) return false
    return true
  }

  /** Whether the next places have stems that the hook can go around; a chain of a space can be gone around too. */
  private hasPosts(places: number): boolean {
    const end = Math.min(this.reading + places, this.on.count)
    for (let reading = this.reading; reading < end; reading++) {
      const kind = this.on.kinds[this.order.placeAt(reading)]
      if (kind !== STITCH && kind !== SPACE) return false
    }
    return true
  }

  /** Whether so many next places lie one after the other as they were made. */
  private straightOn(places: number): boolean {
    return this.order.straight && this.reading + places <= this.on.count && this.on.kinds[this.reading] !== RING
  }

  /** A stitch in each of the next places, straight on. */
  private inRow(code: number, loop: number, times: number): true {
    if (this.reading + times > this.nextSide) this.passSides(this.reading, times)
    this.things.row(code, loop, this.reading, times)
    this.reading += times
    this.used = this.reading - 1
    return true
  }

  private one(code: number, loop: number, aim: Aim): boolean {
    if (aim === 'gap' || aim === 'gapBelow') return this.intoGap(code, loop, aim)
    const place = this.take(aim)
    if (place < 0) return false
    this.make(code, loop, AIM_CODE[aim], place, place)
    return aim !== 'below' || this.on.from[place]! >= 0 || this.fail({ code: 'nothing-skipped', made: this.made - 1 })
  }

  private intoGap(code: number, loop: number, aim: Aim): boolean {
    const before = this.order.neighbourAt(this.reading - 1)
    const after = this.order.neighbourAt(this.reading)
    this.begun = this.reading
    this.make(code, loop, AIM_CODE[aim], before < 0 ? after : before, after < 0 ? before : after)
    return aim === 'gap' || skippedBetween(this.on, before, after) >= 0 || this.fail({ code: 'nothing-skipped', made: this.made - 1 })
  }

  private group(step: GroupStep): boolean {
    const aim = step.aim ?? 'next'
    if (aim === 'gap') this.begun = this.reading
    const place = aim === 'gap' ? this.order.neighbourAt(this.reading - 1) : this.take(aim)
    if (place < 0) return this.fail({ code: 'ran-out', made: this.made, places: this.on.count })
    const last = aim === 'gap' ? this.order.neighbourAt(this.reading) : place
    const loop = step.loop ? LOOP_CODE[step.loop] : 0
    for (const part of step.steps) this.groupPart(part, loop, AIM_CODE[aim], place, last)
    return true
  }

  private groupPart(part: StitchStep | ChainStep, loop: number, aim: number, place: number, last: number): void {
    if (part.do === 'chain') {
      this.makeSpace(part.chains, aim, place, last)
      return
    }
    for (let i = 0; i < part.times; i++) this.make(STITCH_CODE[part.kind], loop, aim, place, last)
  }

  private drawTogether({ kind, over, loop, chain }: TogetherStep): boolean {
    const first = this.take(chain === 'last' || chain === 'both' ? 'chains' : 'next')
    const { begun } = this
    let last = first
    for (let i = 1; i < over && last >= 0; i++)
      last = this.take(i === over - 1 && (chain === 'first' || chain === 'both') ? 'chains' : 'next')
    if (last < 0) return false
    this.begun = begun
    this.make(STITCH_CODE[kind], loop ? LOOP_CODE[loop] : 0, 0, first, last)
    return true
  }

  private pass({ places, aim }: SkipStep): boolean {
    for (let i = 0; aim && i < places; i++) {
      this.passTops()
      this.reading++
    }
    if (!aim) this.reading += places
    return this.reading <= this.on.count || this.fail({ code: 'ran-out', made: this.made, places: this.on.count })
  }

  /** Closes the last loop into the round's first stitch: one more loop, whose top the hook stands at. */
  close({ kind, loop }: Closing): void {
    this.makeChains(loop, STITCH_CODE[kind])
  }

  run(steps: readonly Step[]): boolean {
    for (const step of steps) if (!this.carryOut(step)) return false
    return true
  }

  private carryOut(step: Step): boolean {
    switch (step.do) {
      case 'stitch': return this.stitch(step)
      case 'group': return this.group(step)
      case 'together': return this.drawTogether(step)
      case 'skip': return this.pass(step)
      case 'chain': return this.makeChains(step.chains)
      case 'repeat':
        for (let i = 0; i < step.times; i++) if (!this.run(step.steps)) return false
        return true
    }
  }

  /** Whether the edge below is used up. */
  finish(): boolean {
    if (this.made === 0) return this.fail({ code: 'empty' })
    let left = 0
    for (let reading = this.reading; reading < this.on.count; reading++) {
      const place = this.on.kinds[this.order.placeAt(reading)]
      if (place !== RING && (!this.passesTops || place === SPACE)) left++
    }
    return left === 0 || this.fail({ code: 'left-over', left, places: this.on.count })
  }

  /** Where a side of the edge below has moved to: before the first thing made on or after it. */
  carried(side: 0 | 1): number {
    const first = this.beyond[side]!
    return first >= 0 ? first : this.on.closed ? 0 : this.made
  }
}

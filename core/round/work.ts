import { STITCH_CODE, type StitchKind } from '../stitch/dictionary'
import { type Edge, type FreeRun, PLACE_CODE } from './edge'
import { runAt, runsFrom } from './freeRuns'
import type { Closing, Round } from './round'
import { skippedBetween, type Worked } from './worked'
import type { WorkError } from './workError'
import { type Aim, AIMS, type ChainStep, type GroupStep, type Loop, LOOPS, type Step, type StitchStep } from './step'

/*
 * How a round is worked
 * =====================
 *
 * `work` is the only thing in the program that counts stitches. It does what the maker's hands do: it walks along the
 * edge below with one finger on the next unworked place, and carries out the steps one after the other.
 *
 *     edge below   0  1  2  3  4  5           places, in the order they were made
 *                     ^ the finger
 *     made so far  0  1  2                    each thing made is a place of the new edge
 *
 * Reading order. Unturned rounds read the edge below as it was made: 0, 1, 2, ... In turned work the round runs back:
 * the join has left the hook at place 0, so the round starts there and then meets the others from the last one down:
 * 0, n-1, n-2, ..., 1. A turned row starts at its very end: n-1, ..., 0. A round of loops is closed half way along its
 * last loop, and the next one starts there: n-1, 0, 1, ... Inside this file a position in reading order
 * is a *reading*, and `placeAt` turns it into a place; everything that leaves the file speaks of places.
 *
 * What a step leaves. A stitch, and a stitch drawn together, leaves one place: its top. A run of chains leaves one
 * place too, a space, which remembers its number of chains: the next round may work into the space as a whole, or
 * (aim `chains`) into its chains one at a time, in which case the finger stays on the space until its chains are used
 * up. So thing made number i and place number i of the new edge are the same thing, and for each we write down the
 * first and the last place of the edge below that it stands on: the same place twice for a plain stitch, two different
 * ones for a decrease, the two neighbours for a stitch into a gap. A run of chains stands on nothing of its own; it is
 * given the places that it springs from and goes to.
 *
 * A ring never fills up: it is one place, and the first round is one group in it.
 *
 * The last loop of a mesh round is a place like the others, made of a few chains and a taller stitch: the edge remembers
 * it as a loop of the full length, and `stitches` which stitch closes it.
 *
 * The end. A round must use up the edge below, or skip what it leaves. Rounds that aim at spaces pass over the stitch
 * tops between them, so for those rounds only spaces left over are an error. A round that does not come out is the
 * maker's (or a part's) mistake, and is returned, not thrown.
 *
 * The sides of the bag ride up with the stitches: a boundary moves to the first thing made on or after it. So do handles worked
 * in the round: what stands on a handle alone belongs to it, what is drawn together over its foot belongs to the bag.
 *
 * For speed the things made are kept in flat arrays of numbers, gathered in buffers that are reused from round to
 * round and copied out at the end.
 */

export type WorkResult = { readonly ok: true, readonly worked: Worked } | { readonly ok: false, readonly error: WorkError }

const SPACE = PLACE_CODE.space
const STITCH = PLACE_CODE.stitch
const RING = PLACE_CODE.ring
const CHAIN_STITCH = STITCH_CODE.ch
const AIM_CODE = Object.fromEntries(AIMS.map((aim, code) => [aim, code])) as Record<Aim, number>
const LOOP_CODE = Object.fromEntries(LOOPS.map((loop, code) => [loop, code])) as Record<Loop, number>

let capacity = 1024
let stitches = new Uint8Array(capacity)
let loops = new Uint8Array(capacity)
let aims = new Uint8Array(capacity)
let kinds = new Uint8Array(capacity)
let chains = new Uint16Array(capacity)
let from = new Int32Array(capacity)
let to = new Int32Array(capacity)
/** Where the finger was when each was made: grows along the round, whatever the stitches stand on. */
let met = new Int32Array(capacity)

function grown<A extends Uint8Array | Uint16Array | Int32Array>(old: A, bigger: A): A {
  bigger.set(old)
  return bigger
}

function grow(): void {
  capacity *= 2
  stitches = grown(stitches, new Uint8Array(capacity))
  loops = grown(loops, new Uint8Array(capacity))
  aims = grown(aims, new Uint8Array(capacity))
  kinds = grown(kinds, new Uint8Array(capacity))
  chains = grown(chains, new Uint16Array(capacity))
  from = grown(from, new Int32Array(capacity))
  to = grown(to, new Int32Array(capacity))
  met = grown(met, new Int32Array(capacity))
}

/** The hook on its way round: the finger on the edge below, and how much is made. */
class Hook {
  /** The next unworked place, in reading order. */
  private reading = 0
  /** Chains of that place already worked into one at a time. */
  private chainsUsed = 0
  /** The place used last, -1 before the first. */
  private used = -1
  private passesTops = false
  /** The reading that the step in hand began at. */
  private begun = 0
  made = 0
  error: WorkError | undefined
  /** The place of reading 0: where the hook stood, or got to by slip stitches along the edge. */
  private readonly start: number

  constructor(private readonly on: Edge, private readonly turn: boolean, along: number) {
    this.start = (((on.start + (turn ? -along : along)) % on.count) + on.count) % on.count
  }

  /** The place at a reading from 0 up to but not with the edge's count. */
  private placeAt(reading: number): number {
    const { start } = this
    const { count, closed } = this.on
    if (!closed) return this.turn ? count - 1 - reading : reading
    const place = this.turn ? start - reading : start + reading
    return place < 0 ? place + count : place < count ? place : place - count
  }

  /** The place at any reading: round the corner in a round, -1 beyond the ends of a row. */
  private neighbourAt(reading: number): number {
    const { count, closed } = this.on
    if (closed) return this.placeAt((reading + count) % count)
    return reading < 0 || reading >= count ? -1 : this.placeAt(reading)
  }

  private isRing(place: number): boolean {
    return this.on.kinds[place] === RING
  }

  private fail(error: WorkError): false {
    this.error ??= error
    return false
  }

  private make(stitch: number, loop: number, aim: number, first: number, last: number): void {
    if (this.made === capacity) grow()
    const at = this.made++
    stitches[at] = stitch
    loops[at] = loop
    aims[at] = aim
    met[at] = this.begun
    kinds[at] = STITCH
    chains[at] = 0
    from[at] = first
    to[at] = last
  }

  private makeChains(run: number): true {
    const before = Math.max(this.used, 0)
    this.begun = this.reading
    this.make(CHAIN_STITCH, 0, 0, before, Math.max(this.placeAt(Math.min(this.reading, this.on.count - 1)), 0))
    kinds[this.made - 1] = SPACE
    chains[this.made - 1] = run
    return true
  }

  /** Puts the finger on what an aim means and says which place that is; -1 and an error if there is none. */
  private take(aim: Aim): number {
    if (aim === 'same') {
      if (this.used < 0) this.fail({ code: 'nothing-before', made: this.made })
      return this.used
    }
    if (aim === 'space') this.passTops()
    if (this.reading >= this.on.count) {
      this.fail(aim === 'space'
        ? { code: 'no-space', made: this.made }
        : { code: 'ran-out', made: this.made, places: this.on.count })
      return -1
    }
    const place = this.placeAt(this.reading)
    this.used = place
    this.begun = this.reading
    if (aim === 'chains') this.useChain(place)
    else if (!this.isRing(place)) this.reading++
    return place
  }

  private passTops(): void {
    this.passesTops = true
    while (this.reading < this.on.count && this.on.kinds[this.placeAt(this.reading)] !== SPACE) this.reading++
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
    if (aim === 'next' && this.straightOn(step.times)) return this.inRow(code, loop, step.times)
    for (let i = 0; i < step.times; i++) if (!this.one(code, loop, aim)) return false
    return true
  }

  /** Whether so many next places lie one after the other as they were made: the common case, and the fast one. */
  private straightOn(places: number): boolean {
    return !this.turn && this.start === 0 && this.reading + places <= this.on.count && this.on.kinds[this.reading] !== RING
  }

  /** A stitch in each of the next places, straight on. */
  private inRow(code: number, loop: number, times: number): true {
    while (this.made + times > capacity) grow()
    const [first, end] = [this.made, this.made + times]
    stitches.fill(code, first, end)
    loops.fill(loop, first, end)
    aims.fill(0, first, end)
    kinds.fill(STITCH, first, end)
    chains.fill(0, first, end)
    for (let at = first, place = this.reading; at < end; at++, place++) from[at] = to[at] = met[at] = place
    this.made = end
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
    const before = this.neighbourAt(this.reading - 1)
    const after = this.neighbourAt(this.reading)
    this.begun = this.reading
    this.make(code, loop, AIM_CODE[aim], before < 0 ? after : before, after < 0 ? before : after)
    return aim === 'gap' || skippedBetween(this.on, before, after) >= 0 || this.fail({ code: 'nothing-skipped', made: this.made - 1 })
  }

  private group(step: GroupStep): boolean {
    const aim = step.aim ?? 'next'
    if (aim === 'gap') this.begun = this.reading
    const place = aim === 'gap' ? this.neighbourAt(this.reading - 1) : this.take(aim)
    if (place < 0) return this.fail({ code: 'ran-out', made: this.made, places: this.on.count })
    const last = aim === 'gap' ? this.neighbourAt(this.reading) : place
    const loop = step.loop ? LOOP_CODE[step.loop] : 0
    for (const part of step.steps) this.groupPart(part, loop, AIM_CODE[aim], place, last)
    return true
  }

  private groupPart(part: StitchStep | ChainStep, loop: number, aim: number, place: number, last: number): void {
    if (part.do === 'chain') {
      this.make(CHAIN_STITCH, 0, aim, place, last)
      kinds[this.made - 1] = SPACE
      chains[this.made - 1] = part.chains
      return
    }
    for (let i = 0; i < part.times; i++) this.make(STITCH_CODE[part.kind], loop, aim, place, last)
  }

  private drawTogether(kind: StitchKind, over: number, loop: Loop | undefined): boolean {
    const first = this.take('next')
    const { begun } = this
    let last = first
    for (let i = 1; i < over && last >= 0; i++) last = this.take('next')
    if (last < 0) return false
    this.begun = begun
    this.make(STITCH_CODE[kind], loop ? LOOP_CODE[loop] : 0, 0, first, last)
    return true
  }

  private pass(places: number): boolean {
    this.reading += places
    return this.reading <= this.on.count || this.fail({ code: 'ran-out', made: this.made, places: this.on.count })
  }

  /** Closes the last loop into the round's first stitch: one more loop, whose top the hook stands at. */
  close({ kind, loop }: Closing): void {
    this.makeChains(loop)
    stitches[this.made - 1] = STITCH_CODE[kind]
  }

  run(steps: readonly Step[]): boolean {
    for (const step of steps) if (!this.carryOut(step)) return false
    return true
  }

  private carryOut(step: Step): boolean {
    switch (step.do) {
      case 'stitch': return this.stitch(step)
      case 'group': return this.group(step)
      case 'together': return this.drawTogether(step.kind, step.over, step.loop)
      case 'skip': return this.pass(step.places)
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
      const kind = this.on.kinds[this.placeAt(reading)]
      if (kind !== RING && (!this.passesTops || kind === SPACE)) left++
    }
    return left === 0 || this.fail({ code: 'left-over', left, places: this.on.count })
  }

  /** Where a boundary of the edge below has moved to: before the first thing made on or after it. */
  carry(side: number): number {
    const { start } = this
    const { count, closed } = this.on
    // Unturned, the boundary before place `side`; turned, the one after it, on the way back.
    const reading = (place: number) => (place + 2 * count) % count
    const wanted = !closed ? (this.turn ? count - side : side) : this.turn ? reading(start - side) + 1 : reading(side - start)
    let low = 0
    let high = this.made
    while (low < high) {
      const middle = (low + high) >> 1
      if (met[middle]! < wanted) low = middle + 1
      else high = middle
    }
    return low === this.made && closed ? 0 : low
  }
}

/** Two sides that whole stitches have brought together are set half a round apart again. */
function apart(a: number, b: number, count: number): readonly [number, number] {
  return a !== b || count < 2 ? [a, b] : [a, (a + (count >> 1)) % count]
}

/** What became of the handles of the edge below: a thing made belongs to one if all that it stands on does. */
function carryFree(on: Edge, count: number): FreeRun[] {
  const below = runAt(on)
  const at = new Uint8Array(count)
  for (let i = 0; i < count; i++) at[i] = below[from[i]!] === below[to[i]!] ? below[from[i]!]! : 0
  return runsFrom(at, on.free!.map(({ bridges }) => bridges))
}

/** Executes a round on an edge: what it makes and the edge it leaves, or why it does not come out. */
export function work(round: Round, on: Edge): WorkResult {
  const hook = new Hook(on, round.begin.turn, round.begin.along ?? 0)
  if (!hook.run(round.steps)) return { ok: false, error: hook.error! }
  if (round.closing) hook.close(round.closing)
  if (!hook.finish()) return { ok: false, error: hook.error! }
  const count = hook.made
  const edge: Edge = {
    count,
    kinds: kinds.slice(0, count),
    chains: chains.slice(0, count),
    from: from.slice(0, count),
    to: to.slice(0, count),
    sides: apart(hook.carry(on.sides[0]), hook.carry(on.sides[1]), count),
    closed: round.join !== 'open',
    start: round.closing ? count - 1 : 0,
    over: on.count,
    ...(on.free ? { free: carryFree(on, count) } : {}),
  }
  return {
    ok: true,
    worked: { round, on, edge, stitches: stitches.slice(0, count), loops: loops.slice(0, count), aims: aims.slice(0, count) },
  }
}

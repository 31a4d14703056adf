import { STITCH_CODE } from '../stitch/dictionary'
import { type Edge, PLACE_CODE } from './edge'
import type { Step } from './step'
import type { WorkedRound } from './workedRound'

/** Room for so many at most to begin with; a round that makes more gets more. */
const MOST_AT_FIRST = 1 << 16

/** How many things steps make: the places of the edge that they leave. */
export function thingsOf(steps: readonly Step[]): number {
  return steps.reduce((sum, step) => sum + madeBy(step), 0)
}

function madeBy(step: Step): number {
  switch (step.do) {
    case 'stitch':
      return step.times
    case 'group':
      return thingsOf(step.steps)
    case 'repeat':
      return step.times * thingsOf(step.steps)
    case 'skip':
      return 0
    default:
      return 1
  }
}

/** How many times the hook moves for steps: as many as they make things, and once for what is passed over. */
export function movesOf(steps: readonly Step[]): number {
  return steps.reduce((sum, step) => sum + (step.do === 'repeat' ? step.times * movesOf(step.steps) : Math.max(1, madeBy(step))), 0)
}

/** Bytes of one thing: two numbers of four, one of two, and four of one. */
const THING_BYTES = 2 * 4 + 2 + 4

/**
 * The things that a round makes, in the order they are made, in flat arrays of numbers of its own. They begin as noughts, which
 * stand for what is usual: the top of a stitch, both its loops, the next place, no chains. All lie in one stretch of memory,
 * since asking for memory costs more than filling it.
 */
export class Things {
  count = 0
  private room: number
  private from!: Int32Array<ArrayBuffer>
  private to!: Int32Array<ArrayBuffer>
  private chains!: Uint16Array<ArrayBuffer>
  private stitches!: Uint8Array<ArrayBuffer>
  private loops!: Uint8Array<ArrayBuffer>
  private aims!: Uint8Array<ArrayBuffer>
  private kinds!: Uint8Array<ArrayBuffer>

  /** @param expected how many there will be: what steps ask for may be more than there is room to work them on */
  constructor(expected: number) {
    this.room = Math.max(1, Math.min(expected, MOST_AT_FIRST))
    this.lieIn(new ArrayBuffer(this.room * THING_BYTES))
  }

  private lieIn(memory: ArrayBuffer): void {
    const { room } = this
    this.from = new Int32Array(memory, 0, room)
    this.to = new Int32Array(memory, 4 * room, room)
    this.chains = new Uint16Array(memory, 8 * room, room)
    this.stitches = new Uint8Array(memory, 10 * room, room)
    this.loops = new Uint8Array(memory, 11 * room, room)
    this.aims = new Uint8Array(memory, 12 * room, room)
    this.kinds = new Uint8Array(memory, 13 * room, room)
  }

  private makeRoom(count: number): void {
    if (count <= this.room) return
    while (this.room < count) this.room *= 2
    const { from, to, chains, stitches, loops, aims, kinds } = this
    this.lieIn(new ArrayBuffer(this.room * THING_BYTES))
    this.from.set(from)
    this.to.set(to)
    this.chains.set(chains)
    this.stitches.set(stitches)
    this.loops.set(loops)
    this.aims.set(aims)
    this.kinds.set(kinds)
  }

  /** A stitch by its code and how it was worked, on the first and the last of its places. It leaves its top. */
  stitch(stitch: number, loop: number, aim: number, first: number, last: number): void {
    const at = this.count
    if (at === this.room) this.makeRoom(at + 1)
    this.count = at + 1
    this.stitches[at] = stitch
    this.loops[at] = loop
    this.aims[at] = aim
    this.from[at] = first
    this.to[at] = last
  }

  /** A run of so many chains, which leaves a space; of a loop that a taller stitch closes, that stitch by its code. */
  space(chains: number, aim: number, first: number, last: number, closedBy = STITCH_CODE.ch): void {
    this.stitch(closedBy, 0, aim, first, last)
    this.kinds[this.count - 1] = PLACE_CODE.space
    this.chains[this.count - 1] = chains
  }

  /** A stitch in each of so many places, one after the other as they were made: the common case, and the fast one. */
  row(stitch: number, loop: number, firstPlace: number, times: number): void {
    const first = this.count
    const end = first + times
    this.makeRoom(end)
    const { from, to } = this
    this.stitches.fill(stitch, first, end)
    if (loop !== 0) this.loops.fill(loop, first, end)
    for (let at = first, place = firstPlace; at < end; at++, place++) {
      from[at] = place
      to[at] = place
    }
    this.count = end
  }

  /** Things that a round makes: the places of the edge it leaves, and how each was worked. */
  made(): Pick<Edge, 'count' | 'kinds' | 'chains' | 'from' | 'to'> & Pick<WorkedRound, 'stitches' | 'loops' | 'aims'> {
    const { count } = this
    return {
      count, kinds: first(this.kinds, count), chains: first(this.chains, count), from: first(this.from, count), to: first(this.to, count),
      stitches: first(this.stitches, count), loops: first(this.loops, count), aims: first(this.aims, count),
    }
  }
}

/** The first so many of an array. */
function first<A extends Uint8Array | Uint16Array | Int32Array>(array: A, count: number): A {
  return array.length === count ? array : (array.subarray(0, count) as A)
}

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newDesign } from '../../bag/design/starter'
import type { Deed, MakeEvent } from './event'
import { afterAll, eventOf, MakeLog, stateOf } from './fold'
import { undoing } from './undo'

const PLAN = newDesign('Test bag')

/** One device that writes events, each knowing of what its own log holds. */
class Device {
  readonly log = new MakeLog()
  private n = 0
  constructor(private readonly name: string) {}

  do(deed: Deed, minute = 0): MakeEvent {
    const at = Date.UTC(2026, 0, 5, 18, minute)
    const event = eventOf(this.log, deed, { id: `${this.name}${String(this.n++).padStart(4, '0')}`, at })
    this.log.add([event])
    return event
  }

  move(leg: string, beats: number | 'all', minute = 0): MakeEvent {
    return this.do({ do: 'moved', to: { leg, beats }, ...afterAll(this.log) }, minute)
  }

  back(): MakeEvent | undefined {
    const undo = undoing(this.log)
    return undo && this.do(undo)
  }
}

/** The next act of a device in a random make. */
const doing = fc.oneof(
  { weight: 6, arbitrary: fc.record({ a: fc.constant('move' as const), round: fc.integer({ min: 1, max: 9 }), beats: fc.nat(30) }) },
  { weight: 2, arbitrary: fc.record({ a: fc.constant('done' as const), round: fc.integer({ min: 1, max: 9 }) }) },
  { weight: 2, arbitrary: fc.constant({ a: 'back' as const }) },
  { weight: 1, arbitrary: fc.record({ a: fc.constant('rip' as const), round: fc.nat(8) }) },
  { weight: 1, arbitrary: fc.record({ a: fc.constant('count' as const), round: fc.integer({ min: 1, max: 9 }), found: fc.nat(200) }) },
  { weight: 1, arbitrary: fc.record({ a: fc.constant('undo-any' as const), which: fc.nat(1000) }) },
  { weight: 1, arbitrary: fc.constant({ a: 'meet' as const }) },
)

type Doing = typeof doing extends fc.Arbitrary<infer D> ? D : never

function act(device: Device, other: Device, what: Doing, minute: number): void {
  if (what.a === 'move') device.move(`r${what.round}`, what.beats, minute)
  else if (what.a === 'done') device.move(`r${what.round}`, 'all', minute)
  else if (what.a === 'back') device.back()
  else if (what.a === 'rip') device.do({ do: 'ripped', toRound: what.round, ...afterAll(device.log) }, minute)
  else if (what.a === 'count')
    device.do({ do: 'counted', round: what.round, planned: 100, found: what.found, choice: 'live-with-it' }, minute)
  else if (what.a === 'undo-any') {
    const { events } = device.log
    if (events.length > 0) device.do({ do: 'undone', of: events[what.which % events.length]!.id })
  }
  else {
    device.log.add(other.log.events)
    other.log.add(device.log.events)
  }
}

/** The events of two devices that met now and then. */
const happened = fc.array(fc.tuple(fc.boolean(), doing), { minLength: 1, maxLength: 60 }).map((doings) => {
  const [one, two] = [new Device('a'), new Device('b')]
  one.do({ do: 'started', plan: PLAN })
  two.log.add(one.log.events)
  doings.forEach(([first, what], i) => (first ? act(one, two, what, i) : act(two, one, what, i)))
  const all = new MakeLog(one.log.events)
  all.add(two.log.events)
  return all.events
})

describe('a make as a fold over a set of events (law 10)', () => {
  it('is the same in whatever order, and in whatever pieces, events arrive', () => {
    fc.assert(
      fc.property(happened.chain(events => fc.tuple(fc.constant(events), fc.shuffledSubarray([...events], { minLength: events.length }),
        fc.integer({ min: 1, max: 7 }))), ([events, shuffled, piece]) => {
        const whole = new MakeLog(events)
        const bitByBit = new MakeLog()
        for (let i = 0; i < shuffled.length; i += piece) bitByBit.add(shuffled.slice(i, i + piece))
        bitByBit.add(shuffled)
        expect(bitByBit.state).toEqual(whole.state)
        expect(bitByBit.events).toEqual(whole.events)
        expect(bitByBit.lastMoves.map(({ id }) => id)).toEqual(whole.lastMoves.map(({ id }) => id))
      }),
      { numRuns: 300, seed: 13 },
    )
  })

  it('resumes as it was: what is replayed is what went on', () => {
    fc.assert(
      fc.property(happened, fc.nat(60), (events, cut) => {
        const kept = new MakeLog(JSON.parse(JSON.stringify(events.slice(0, cut))) as MakeEvent[])
        events.slice(cut).forEach(event => kept.add([event]))
        expect(kept.state).toEqual(stateOf(events))
      }),
      { numRuns: 200, seed: 14 },
    )
  })

  it('takes back what was done, and takes back the taking back', () => {
    fc.assert(
      fc.property(happened, doing, (events, what) => {
        const device = new Device('c')
        device.log.add(events)
        const before = device.log.state
        const known = device.log.events.length
        if (what.a === 'back' || what.a === 'undo-any' || what.a === 'meet') return
        act(device, new Device('d'), what, 61)
        expect(device.log.events.length).toBe(known + 1)
        const done = device.log.state
        const event = device.log.events.at(-1)!
        const undoing = device.do({ do: 'undone', of: event.id })
        expect(device.log.state).toEqual(before)
        device.do({ do: 'undone', of: undoing.id })
        expect(device.log.state).toEqual(done)
      }),
      { numRuns: 200, seed: 15 },
    )
  })
})

describe('where the hook is', () => {
  it('goes back one move at a time, to the very start', () => {
    const device = new Device('a')
    device.do({ do: 'started', plan: PLAN })
    device.move('start', 'all')
    device.move('r1', 3)
    device.move('r1', 'all')
    expect(device.log.state.spot).toEqual({ leg: 'r1', beats: 'all' })
    device.back()
    expect(device.log.state.spot).toEqual({ leg: 'r1', beats: 3 })
    device.back()
    expect(device.log.state.spot).toEqual({ leg: 'start', beats: 'all' })
    device.back()
    expect(device.log.state.spot).toEqual({ leg: 'start', beats: 0 })
    expect(device.back()).toBeUndefined()
  })

  it('says that both moved, until the next move settles it', () => {
    const [one, two] = [new Device('a'), new Device('b')]
    one.do({ do: 'started', plan: PLAN })
    one.move('r1', 'all')
    two.log.add(one.log.events)
    one.move('r2', 4)
    one.move('r2', 5)
    two.do({ do: 'noted', text: 'ate an apple', marker: false })
    one.log.add(two.log.events)
    expect(one.log.lastMoves).toHaveLength(1)
    two.move('r2', 9)
    one.log.add(two.log.events)
    two.log.add(one.log.events)
    expect(one.log.lastMoves.map(event => event.do === 'moved' && event.to.beats)).toEqual([5, 9])
    expect(two.log.lastMoves).toEqual(one.log.lastMoves)
    expect(two.log.spots).toEqual([{ leg: 'r2', beats: 5 }, { leg: 'r2', beats: 9 }])
    one.back()
    expect(one.log.spots).toEqual([{ leg: 'r2', beats: 5 }])
    two.log.add(one.log.events)
    two.move('r2', 9)
    one.log.add(two.log.events)
    expect(one.log.lastMoves).toHaveLength(1)
    expect(one.log.state.spot).toEqual({ leg: 'r2', beats: 9 })
  })
})

describe('what rounds took, and what ripping them back loses', () => {
  it('adds up the minutes between moves, less the rests', () => {
    const device = new Device('a')
    device.do({ do: 'started', plan: PLAN }, 0)
    device.move('start', 'all', 1)
    device.move('r1', 'all', 4)
    device.move('r2', 'all', 34)
    device.move('r3', 5, 36)
    device.move('r3', 'all', 38)
    expect(device.log.state.minutes).toBe(8)
    expect(device.log.state.trail).toMatchObject({
      leg: 'r3', minutes: 4, before: { leg: 'r2', minutes: 0, before: { leg: 'r1', minutes: 3 } },
    })
    device.do({ do: 'counted', round: 2, planned: 12, found: 13, choice: 'live-with-it' })
    device.do({ do: 'ripped', toRound: 1, ...afterAll(device.log) }, 39)
    const { spot, ripped, counts, trail } = device.log.state
    expect(spot).toEqual({ leg: 'r1', beats: 'all' })
    expect(ripped).toEqual({ times: 1, rounds: 2, minutes: 4 })
    expect(counts).toEqual([])
    expect(trail?.leg).toBe('r1')
    device.back()
    expect(device.log.state.counts).toHaveLength(1)
  })

  it('takes a count for corrected that is found as planned later, and not where the same is found again', () => {
    const device = new Device('d')
    device.do({ do: 'started', plan: PLAN }, 0)
    const counted = (found: number, choice: 'live-with-it' | 'as-planned') =>
      device.do({ do: 'counted', round: 2, planned: 12, found, choice })
    const counts = () => device.log.state.counts.map(({ found, choice }) => [found, choice])
    counted(13, 'live-with-it')
    counted(13, 'as-planned')
    expect(counts()).toEqual([[13, 'live-with-it']])
    counted(12, 'as-planned')
    expect(counts()).toEqual([[12, 'as-planned']])
  })
})

describe('a long log', () => {
  it('takes in one more, takes it back and comes to what a fold of everything comes to', () => {
    const device = new Device('a')
    device.do({ do: 'started', plan: PLAN })
    for (let i = 0; i < 10_000; i++) device.move(`r${1 + Math.floor(i / 100)}`, i % 100 === 99 ? 'all' : i % 100)
    for (let i = 0; i < 150; i++) device.back()
    device.move('r99', 60)
    const { log } = device
    expect(log.state).toEqual(stateOf(log.events))
    expect(log.state.spot).toEqual({ leg: 'r99', beats: 60 })
    device.back()
    expect(log.state.spot).toEqual({ leg: 'r99', beats: 49 })
    expect(log.state).toEqual(stateOf(log.events))
  })
})

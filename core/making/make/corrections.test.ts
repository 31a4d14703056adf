import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newDesign } from '../../bag/design/starter'
import type { Deed, MakeEvent } from './event'
import { afterAll, eventOf, MakeLog } from './fold'
import type { MakeState } from './makeState'
import { deedWords, undoing } from './undo'

/*
 * Law 12: the latest word of the maker counts. Whatever was counted, measured and weighed, undone and said anew, in any order and on two
 * devices: the state is that of the last words alone.
 */

/** The subject of an event: a later event about the same replaces it. */
function about(deed: Deed): string | undefined {
  switch (deed.do) {
    case 'counted': return `count ${deed.round}`
    case 'measured': return `${deed.what} ${deed.round}`
    case 'leaned': case 'looked': return `${deed.do} ${deed.round}`
    case 'weighed': return `${deed.yarn} ${deed.of ?? 'left'} ${deed.round}`
    default: return undefined
  }
}

const round = fc.integer({ min: 1, max: 4 })
const word: fc.Arbitrary<Deed> = fc.oneof(
  fc.record({
    do: fc.constant('counted' as const), round, planned: fc.constant(30), found: fc.integer({ min: 20, max: 40 }),
    choice: fc.constantFrom('live-with-it' as const, 'next-round' as const), to: fc.constant(30),
  }),
  fc.record({
    do: fc.constant('measured' as const), round, what: fc.constantFrom('height' as const, 'flat-width' as const),
    cm: fc.integer({ min: 1, max: 90 }), redrafts: fc.constant(true as const),
  }),
  fc.record({
    do: fc.constant('weighed' as const), yarn: fc.constantFrom('main', 'moss'), grams: fc.integer({ min: 1, max: 200 }),
    of: fc.constantFrom('left' as const, 'work' as const), round,
  }),
  fc.record({ do: fc.constant('leaned' as const), round, perTen: fc.integer({ min: -9, max: 9 }) }),
  fc.record({ do: fc.constant('looked' as const), round, lies: fc.constantFrom('flat' as const, 'cups' as const) }),
)

/** A slip and what is done about it: said anew, taken back, taken back and said anew; here or on the other device, or both meet. */
const doing = fc.oneof(
  { weight: 6, arbitrary: word }, { weight: 2, arbitrary: fc.constant('undo' as const) },
  { weight: 1, arbitrary: fc.nat(200).map(which => ({ undoes: which })) }, { weight: 1, arbitrary: fc.constant('meet' as const) },
)

function made(doings: readonly (readonly [number, typeof doing extends fc.Arbitrary<infer D> ? D : never])[]): MakeLog {
  const logs = [new MakeLog(), new MakeLog()]
  let n = 0
  const write = (log: MakeLog, deed: Deed, device: number) =>
    log.add([eventOf(log, deed, { id: `${'ab'[device]}${String(n++).padStart(4, '0')}`, at: n })])
  write(logs[0]!, { do: 'started', plan: newDesign('Bag') }, 0)
  write(logs[0]!, { do: 'moved', to: { leg: 'r4', beats: 'all' } }, 0)
  logs[1]!.add(logs[0]!.events)
  for (const [device, what] of doings) {
    const log = logs[device]!
    if (what === 'meet') {
      log.add(logs[1 - device]!.events)
      logs[1 - device]!.add(log.events)
    }
    else if (what === 'undo') {
      const undo = undoing(log)
      if (undo && log.state.lastDeed!.do !== 'moved') write(log, undo, device)
    }
    else if ('undoes' in what) {
      const words = log.events.filter(event => about(event))
      if (words.length > 0) write(log, { do: 'undone', of: words[what.undoes % words.length]!.id }, device)
    }
    else write(log, what, device)
  }
  const all = new MakeLog(logs[0]!.events)
  all.add(logs[1]!.events)
  return all
}

const said = ({ counts, measured, weighed, looked }: MakeState) => ({ counts, measured, weighed, looked })

describe('law 12: the latest word counts', () => {
  it('whatever was said before, taken back and said anew, on two devices', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(1), doing), { maxLength: 40 }), (doings) => {
        const log = made(doings)
        const last = new Map<string, MakeEvent>()
        for (const event of log.holding) {
          const of = about(event)
          if (of) last.set(of, event)
        }
        const words = new Set([...last.values()].map(({ id }) => id))
        const alone = new MakeLog(log.holding.filter(event => !about(event) || words.has(event.id)))
        expect(said(log.state)).toEqual(said(alone.state))
        for (const event of last.values())
          expect([...log.state.counts, ...log.state.measured, ...log.state.weighed, ...log.state.looked].map(({ id }) => id))
            .toContain(event.id)
      }),
      { numRuns: 400, seed: 12 },
    )
  })

  it('keeps two weights of a yarn apart where it is not known at which round they were', () => {
    const log = new MakeLog()
    const deeds: Deed[] = [
      { do: 'started', plan: newDesign('Bag') }, { do: 'weighed', yarn: 'main', grams: 90 }, { do: 'weighed', yarn: 'main', grams: 60 },
    ]
    for (const [i, deed] of deeds.entries()) log.add([eventOf(log, deed, { id: `a${i}`, at: i })])
    expect(log.state.weighed.map(({ grams }) => grams)).toEqual([90, 60])
  })
})

describe('undo', () => {
  it('takes back whatever was done last, step by step, and says what', () => {
    const log = new MakeLog()
    let n = 0
    const happen = (deed: Deed) => log.add([eventOf(log, deed, { id: `a${String(n++).padStart(3, '0')}`, at: n })])
    const plan = newDesign('Bag')
    happen({ do: 'started', plan })
    happen({ do: 'moved', to: { leg: 'r1', beats: 'all' }, ...afterAll(log) })
    happen({ do: 'counted', round: 1, planned: 6, found: 7, choice: 'live-with-it' })
    happen({ do: 'measured', round: 1, what: 'base-width', cm: 2.5, redrafts: true })
    happen({ do: 'weighed', yarn: 'main', grams: 140, of: 'left', round: 1 })
    happen({ do: 'noted', text: 'soft', marker: false })
    happen({ do: 'replanned', plan: newDesign('Bag, taller'), why: 'taller' })
    happen({ do: 'finished' })
    const told: string[] = []
    for (let undo = undoing(log); undo; undo = undoing(log)) {
      told.push(deedWords(log.state.lastDeed!, 'cm'))
      happen(undo)
    }
    expect(told).toEqual([
      'that the bag is finished', 'the change of plan: taller', 'the note', 'the weight: 140 g', 'the floor across after round 1: 2.5 cm',
      'the count of round 1: 7', 'the end of round 1',
    ])
    expect(log.state).toMatchObject({ plan, finishedAt: undefined, counts: [], measured: [], weighed: [], notes: [] })
    expect(log.state.spot).toEqual({ leg: 'start', beats: 0 })
  })
})

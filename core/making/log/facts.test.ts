import { readFileSync } from 'node:fs'
import { parse } from 'csv-parse/sync'
import { describe, expect, it } from 'vitest'
import type { Design } from '../../bag/design/design'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { makeDocument, type MakeDocument } from '../make/document'
import type { Deed, MakeEvent } from '../make/event'
import { afterAll, eventOf, MakeLog, stateOf } from '../make/fold'
import { inHand } from '../make/plan'
import { designAsMade } from './designAsMade'
import { calibrationOf } from './calibration'
import { bagCsv, bagsCsv } from './csv'
import { differences } from './differences'
import { readLogbook } from './document'
import { bagFacts } from './facts'
import type { BagFacts } from './bagFacts'
import { skillFromBags } from './skillFromBags'
import { gaugeOffers } from './gaugeOffers'
import { logbookEntryOf } from './logbookEntry'
import { overTime } from './overTime'
import { eveningsFor, timeLeft, timeOfBag, timeWords } from './time'

const PLAN: Design = {
  ...newDesign('Pouch'), turnUp: 'plain', gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } },
  base: { ...newDesign('Pouch').base, increases: 6, size: { pin: { rounds: 10 } } },
}
const MINUTE = 60_000
const BEGUN = Date.UTC(2026, 9, 5, 18)

/** A make with one event a minute, unless told otherwise. */
class Evening {
  readonly log = new MakeLog()
  at = BEGUN
  private n = 0

  do(deed: Deed, minutes = 1): this {
    this.at += minutes * MINUTE
    this.log.add([eventOf(this.log, deed, { id: `e.${String(this.n++).padStart(4, '0')}`, at: this.at })])
    return this
  }

  rounds(from: number, to: number, minutes = 1): this {
    for (let i = from; i <= to; i++) this.do({ do: 'moved', to: { leg: `r${i}`, beats: 'all' }, ...afterAll(this.log) }, minutes)
    return this
  }

  get events(): readonly MakeEvent[] {
    return this.log.events
  }
}

const begun = () => new Evening().do({ do: 'started', plan: PLAN }, 0).do({ do: 'moved', to: { leg: 'start', beats: 'all' } })
const demo = (file: string) =>
  (JSON.parse(readFileSync(new URL(`../../../demo/${file}.json`, import.meta.url), 'utf8')) as MakeDocument).events
const DEMO = ['twine-tub', 'apple-tote', 'nutting-basket', 'harvest-stripe', 'seed-head-pouch'].map(name => `make-${name}-done`)

describe('what a make tells', () => {
  it('counts sittings and minutes, and leaves rests out of the pace', () => {
    const evening = begun().rounds(1, 10, 2)
    evening.at += 24 * 60 * MINUTE
    // A round that was begun on one evening and done on the next says nothing of the pace, nor one that the telephone rang in.
    evening.rounds(11, 11, 1).rounds(12, 20, 4).rounds(21, 21, 14).rounds(22, 22, 4)
    const facts = bagFacts(evening.events)!
    expect(facts.sittings.map(({ minutes }) => Math.round(minutes))).toEqual([21, 54])
    expect(facts.minutes).toBeCloseTo(75, 6)
    const [pace] = facts.pace
    expect(pace!.key).toBe('sc')
    // By hand: rounds 12 to 20 and 22 are 60 stitches in 4 minutes each; those of the floor differ too much from the middle one to
    // count where they are small.
    expect((60 * pace!.minutes) / pace!.stitches).toBeCloseTo(4, 0)
    expect(facts.rounds).toEqual({ done: 22, planned: draft(PLAN).rounds.length, begun: draft(PLAN).rounds.length })
  })

  it('tells sizes as they were said at first, stitches as they came out, and yarn', () => {
    const evening = begun().do({ do: 'weighed', yarn: 'main', grams: 100, of: 'left', round: 0 }).rounds(1, 10)
      .do({ do: 'measured', round: 10, what: 'base-width', cm: 10.5, redrafts: true })
      .do({ do: 'looked', round: 10, lies: 'flat' }).rounds(11, 20)
      .do({ do: 'measured', round: 20, what: 'flat-width', cm: 16.2 })
      .do({ do: 'weighed', yarn: 'main', grams: 82, of: 'left', round: 20 })
      .do({ do: 'wrote', forWhom: 'Wren', hookMm: 4.5, notes: 'a little wide' })
    const facts = bagFacts(evening.events)!
    // The swatch said 20 rounds of half a centimetre each: 10 cm across.
    expect(facts.sizes[0]).toMatchObject({ what: 'base-width', cm: 10.5, rounds: 10 })
    expect(facts.sizes[0]!.saidCm).toBeCloseTo(9.55, 1)
    expect(facts.tension.map(({ side }) => side)).toContain('width')
    expect(facts.yarn).toMatchObject([{ grams: 18, whole: false }])
    expect(facts).toMatchObject({ forWhom: 'Wren', hookMm: 4.5, notes: 'a little wide', gaugeFrom: 'swatch' })
    expect(facts.floor).toMatchObject({ lies: 'flat', increases: 6 })
    expect(logbookEntryOf(facts)).toMatchObject({ rounds: 20, hookMm: 4.5, forWhom: 'Wren' })
  })

  it('tells yarn by the last weighing: of the work by itself, of what is left by the first and the last', () => {
    const grams = (...weighed: readonly [grams: number, round: number, of: 'work' | 'left'][]) => {
      const evening = begun().rounds(1, 20)
      for (const [weight, round, of] of weighed) evening.do({ do: 'weighed', yarn: 'main', grams: weight, of, round })
      return bagFacts(evening.events)!.yarn.map(one => one.grams)
    }
    expect(grams([100, 0, 'left'], [90, 10, 'left'], [81, 20, 'left'])).toEqual([19])
    expect(grams([9, 10, 'work'], [18, 20, 'work'])).toEqual([18])
    // What the work weighs says more than what is left.
    expect(grams([100, 0, 'left'], [18, 20, 'work'], [60, 20, 'left'])).toEqual([18])
    expect(grams([100, 0, 'left'])).toEqual([])
  })

  it('tells nothing of what was never taken up', () => {
    expect(bagFacts([])).toBeUndefined()
  })

  it('tells the same in whatever order the events came in', () => {
    const events = demo('make-apple-tote-done')
    expect(bagFacts([...events].reverse())).toEqual(bagFacts(events))
  })
})

describe('the demo\'s five finished bags', () => {
  const bags = DEMO.map(file => bagFacts(demo(file))!)
  const hands = skillFromBags(bags)

  it('give every chart something to show', () => {
    for (const bag of bags) {
      expect(bag.finished, bag.name).toBeDefined()
      expect(bag.pace.length, bag.name).toBeGreaterThan(0)
      expect(bag.sizes.length, bag.name).toBeGreaterThan(2)
      expect(bag.yarn.length, bag.name).toBeGreaterThan(0)
      expect(bag.changed.map(({ what }) => what).join(), bag.name).toContain('simulated maker')
    }
    expect(bags.some(({ ripped }) => ripped.rounds > 0)).toBe(true)
    expect(bags.some(({ off }) => off.length > 0)).toBe(true)
    const over = overTime(bags)
    expect(over.pace[0]!.points).toHaveLength(5)
    expect(over.along.length).toBeGreaterThan(10)
    expect(calibrationOf(bags)[0]!.said).toBe(over.sizes.length)
  })

  // scripts/simulate.ts made these hands: 3.1 s a stitch and 9 % more when tired, bags 2.5 % smaller than their swatches.
  it('teach what the simulated hands are', () => {
    const sc = hands.pace.find(({ key }) => key === 'sc')!.seconds
    expect(sc.low).toBeLessThan(3.3)
    expect(sc.high).toBeGreaterThan(3.1)
    expect(hands.swatch.width.low).toBeLessThan(0.976)
    expect(hands.swatch.width.high).toBeGreaterThan(0.965)
    expect(hands.yarn.every(({ gramsPerMetre }) => gramsPerMetre.low < 0.42 && gramsPerMetre.high > 0.41)).toBe(true)
  })

  it('offer a gauge for each yarn and hook, with a band', () => {
    const offers = gaugeOffers(hands)
    expect(offers.length).toBeGreaterThanOrEqual(3)
    for (const { gauge } of offers) expect(draft({ ...PLAN, gauge }).findings.map(({ code }) => code)).toContain('gauge-learnt')
  })

  it('lets floors be flat that lay flat', () => {
    const [offer] = gaugeOffers(hands)
    const wide = { ...offer!.gauge, learnt: { ...offer!.gauge.learnt!, flatFrom: 0.95, flatTo: 1.4 } }
    const design: Design = { ...PLAN, gauge: wide, base: { ...PLAN.base, increases: 8 } as Design['base'] }
    expect(draft(design).findings.map(({ code }) => code)).toContain('base-flat')
    const { learnt: _, ...bySwatch } = wide
    expect(draft({ ...design, gauge: bySwatch }).findings.map(({ code }) => code)).not.toContain('base-flat')
  })

  it('tell how long a bag takes, and what is left of one', () => {
    const whole = timeOfBag(draft(PLAN), hands)
    expect(whole.bags).toBe(5)
    expect(whole.low).toBeLessThan(whole.minutes)
    expect(timeWords(whole)).toMatch(/^about .+ to .+/)
    const half = inHand(stateOf(begun().rounds(1, 20).events))!
    const left = timeLeft(half, hands)
    expect(left.minutes).toBeLessThan(whole.minutes)
    const evenings = eveningsFor(left, hands)
    expect(evenings.from).toBeLessThanOrEqual(evenings.to)
    // Without a bag the craft says so, and is less sure.
    const craft = timeOfBag(draft(PLAN), skillFromBags([]))
    expect(craft.bags).toBe(0)
    expect(craft.high / craft.low).toBeGreaterThan(whole.high / whole.low)
  })

  it('stand side by side', () => {
    const rows = differences(bags[0]!, bags[1]!, 'cm')
    expect(rows.find(({ what }) => what === 'Hook')).toMatchObject({ a: '6.5 mm, 2 strands', b: '4.5 mm', differs: true })
    expect(differences(bags[0]!, bags[0]!, 'cm').every(({ differs }) => !differs)).toBe(true)
  })

  it('are written as tables that another program reads', () => {
    const lines = parse(bagsCsv([{ ...bags[0]!, notes: 'says "wide",\nand =1+1', forWhom: '=cmd' }, bags[1]!]), { columns: true })
    expect(lines).toHaveLength(2)
    expect(lines[0]).toMatchObject({ 'bag': 'Twine tub', 'notes': 'says "wide",\nand =1+1', 'for whom': '\'=cmd' })
    const things = parse(bagCsv(bags[2]!), { columns: true })
    expect((things as { what: string }[]).map(({ what }) => what)).toContain('pace: moss in sc')
  })

  it('are a new design, as they came out', () => {
    const state = stateOf(demo('make-apple-tote-done'))
    const hand = inHand(state)!
    const design = designAsMade(hand, state)
    const again = draft(design)
    expect(again.rounds.map(({ worked }) => worked.edge.count)).toEqual(hand.draft.rounds.map(({ worked }) => worked.edge.count))
    expect(design.gauge.learnt).toMatchObject({ bags: 1 })
    expect(again.gauge.sc.height.cm).toBeCloseTo(hand.draft.gauge.sc.height.cm, 2)
  })
})

describe('a bag whose floor was taped and whose counts were kept', () => {
  const make = () => {
    const evening = begun().rounds(1, 10)
    // 60 stitches by the plan; 61 counted and kept, and the floor taped at 11.6 for a planned 10 cm.
    evening.do({ do: 'counted', round: 10, planned: 60, found: 61, choice: 'live-with-it' })
    evening.do({ do: 'measured', round: 10, what: 'base-width', cm: 9, redrafts: true })
    evening.do({ do: 'measured', round: 10, what: 'base-width', cm: 11.6, redrafts: true })
    const all = inHand(stateOf(evening.events))!
    const done = evening.rounds(11, all.draft.rounds.length).do({ do: 'finished' })
    return { events: done.events, state: stateOf(done.events), hand: inHand(stateOf(done.events))! }
  }

  it('has the floor that the tape said, not one between tape and swatch', () => {
    const { floor } = make().hand.draft.parts[0]!.size
    expect(floor!.width.cm).toBe(11.6)
    expect(floor!.length.cm).toBe(11.6)
    expect(floor!.width.plusMinusCm).toBeLessThanOrEqual(0.3)
  })

  it('comes out as a design that has both: the taped floor, and the kept count from there on', () => {
    const { hand, state } = make()
    const again = draft(designAsMade(hand, state))
    expect(again.sizes.floor.width.cm).toBeCloseTo(11.6, 6)
    expect(again.rounds.at(-1)!.worked.edge.count).toBe(61)
    expect(again.rounds).toHaveLength(hand.draft.rounds.length)
  })

  it('tells the logbook how many rounds there were to do, and what changed the plan, corrected words left out', () => {
    const { events, hand } = make()
    const facts = bagFacts(events)!
    expect(facts.rounds).toMatchObject({ done: hand.draft.rounds.length, planned: hand.draft.rounds.length })
    expect(facts.changed.map(({ what }) => what)).toEqual([
      'round 10 has 61, not 60: lived with', 'measured 11.6 cm (across) after round 10: the rest was planned by it',
    ])
    expect(facts.sizes.map(({ cm }) => cm)).toEqual([11.6])
  })
})

describe('the open document of a logbook', () => {
  const make = makeDocument('Pouch', begun().rounds(1, 3).events)

  it('comes back as it was written; a single make is one too', () => {
    const document = { fairHollow: 'logbook', version: 1, name: 'Logbook', makes: [make] }
    expect(readLogbook(JSON.parse(JSON.stringify(document)))).toEqual({ ok: true, document })
    expect(readLogbook(JSON.parse(JSON.stringify(make)))).toMatchObject({ ok: true, document: { makes: [{ name: 'Pouch' }] } })
  })

  it.each([
    ['another document', { fairHollow: 'design' }, 'fairHollow'],
    ['a later version', { fairHollow: 'logbook', version: 9, makes: [] }, 'version'],
    ['no list', { fairHollow: 'logbook', version: 1, makes: 3 }, 'makes'],
    ['a broken make', { fairHollow: 'logbook', version: 1, makes: [make, { ...make, events: [] }] }, 'makes.1.events'],
    ['a photo that is none', { fairHollow: 'logbook', version: 1, makes: [{ ...make, photo: 'data:text/html,x' }] }, 'makes.0.photo'],
  ])('refuses %s, naming the field', (_, input, field) => {
    const reading = readLogbook(input)
    expect(reading.ok).toBe(false)
    if (!reading.ok) expect(reading.problems.map(problem => problem.field)).toContain(field)
  })
})

describe('evenings', () => {
  const taught = (...days: number[]) => {
    const sittings = days.map(day => ({ from: BEGUN + day * 24 * 60 * MINUTE, to: BEGUN, minutes: 40 }))
    return skillFromBags([{ ...bagFacts(begun().rounds(1, 4).events)!, sittings } as BagFacts]).evenings
  }

  it('are as far apart as they mostly are; a rest of three weeks or more is none of them', () => {
    expect(taught(0, 2, 4, 6)).toMatchObject({ minutes: 40, daysApart: 2, sittings: 4 })
    // Gaps of 2, 30, 40 and 2 days: a holiday and a winter say nothing of an ordinary week.
    expect(taught(0, 2, 32, 72, 74).daysApart).toBe(2)
    expect(taught(0, 20, 40).daysApart).toBe(20)
    expect(taught(0, 30, 60).daysApart).toBe(1)
  })
})

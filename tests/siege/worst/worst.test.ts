import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import harvestFair from '../../../demo/order-harvest-fair.json'
import { portraitOf } from '../../../core/readers/chart/portrait'
import { readDesign } from '../../../core/bag/design/read'
import { newDesign } from '../../../core/bag/design/starter'
import { draft } from '../../../core/bag/draft/draft'
import { exportDraft, EXPORTS } from '../../../core/readers/export/exportDraft'
import { readMake } from '../../../core/making/make/read'
import { planOrders } from '../../../core/household/plan/orderPlan'
import { readOrder } from '../../../core/household/plan/readOrder'
import { climb, costOf, type Sort } from './climb'
import { BAG, MAKE, ORDER, PARCEL, YARN } from './sorts'

/*
 * The worst that is allowed, and what it costs: found by a search that climbs (climb.ts), kept with its bounds. `npm run torture` climbs
 * on.
 */

const STEPS = Number(process.env.CLIMB ?? 10)
const SEED = Number(process.env.CLIMB_SEED ?? 7)
/** What a draft may cost, in the processor's milliseconds; half as much again, for slower machines than this was set on. */
const DRAFT_MS = 1_500
/** The most that a request may cost in a worker. */
const REQUEST_MS = 5_000

const FOLDER = 'tests/siege/worst'
const kept = readdirSync(FOLDER).filter(file => file.endsWith('.json')).map((file) => {
  const reading = readDesign(JSON.parse(readFileSync(join(FOLDER, file), 'utf8')))
  if (!reading.ok) throw new Error(`${file} is no longer a legal bag`)
  return [file, reading.document] as const
})

describe('the worst legal document', () => {
  it.each(kept)('%s costs no more than a draft and a request may', (_, design) => {
    draft(newDesign('warm'))
    expect(costOf(() => draft(design))).toBeLessThan(DRAFT_MS)
    const drafted = draft(design)
    for (const as of EXPORTS) expect(costOf(() => exportDraft(drafted, as, 'us')), as).toBeLessThan(REQUEST_MS)
    expect(costOf(() => portraitOf(drafted))).toBeLessThan(REQUEST_MS)
  }, 120_000)

  it.each([
    ['bag', BAG, STEPS, DRAFT_MS], ['order', ORDER, STEPS, REQUEST_MS], ['make', MAKE, STEPS, REQUEST_MS],
    ['yarn', YARN, STEPS, REQUEST_MS], ['parcel', PARCEL, STEPS / 2, REQUEST_MS],
  ] as const)('that a search finds costs no more either: a %s', (name, sort, steps, most) => {
    const found = climb(sort as Sort<unknown>, SEED, steps)
    // What is refused costs nothing: there must be some to climb from.
    expect(found.length).toBeGreaterThan(3)
    const [worst] = found
    if (process.env.CLIMB) {
      const file = join('test-results', `worst-${name}.json`)
      writeFileSync(file, JSON.stringify(worst!.document))
      console.log(`the worst ${name} of ${steps}: ${worst!.ms.toFixed(0)} ms, in ${file}`)
    }
    expect(worst!.ms).toBeLessThan(most)
  }, 3_600_000)

  it('of an order is forty lines of five hundred bags that take a minute each, and of twenty such orders', () => {
    const bags = Array.from({ length: 40 }, (_, i) => ({ bag: `b${i}`, name: `Bag ${i}`, count: 500 }))
    const reading = readOrder({ ...harvestFair, bags, from: '2026-12-01', by: '2029-06-01', taken: '2026-12-01' })
    if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
    const work = { minutes: 1, paceSpread: 0.1, bagSpread: 0.06, known: 2, yarns: [] }
    for (const many of [1, 20]) {
      const orders = Array.from({ length: many }, (_, i) => ({ id: `o${i}`, order: reading.document }))
      const ms = costOf(() => planOrders({ orders, makes: [], workOf: () => work, today: '2026-12-01' }, 600))
      expect(ms, `${many} orders`).toBeLessThan(many === 1 ? REQUEST_MS : 6 * REQUEST_MS)
    }
  }, 300_000)

  it('of a make is the longest that is taken: read, and worked out', () => {
    const events = [{ do: 'started', plan: newDesign('Long'), id: 'a.0', turn: 1, at: 0 },
      ...Array.from({ length: 49_999 }, (_, n) => ({ do: 'paused', id: `a.${n + 1}`, turn: n + 2, at: n * 1000 }))]
    expect(costOf(() => readMake({ fairHollow: 'make', version: 1, name: 'Long', events }))).toBeLessThan(REQUEST_MS)
  }, 120_000)
})

import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { Design } from '../core/bag/design/design'
import { readDesign } from '../core/bag/design/read'
import { makeDocument } from '../core/making/make/document'
import { Dice, type TrueHands } from '../tests/simulated/maker'
import { makeAny, type Telling } from '../tests/simulated/anyBag'

/**
 * `npm run simulate`: has the simulated maker make the bags of the demo's logbook anew. They are the same every time.
 */

const demo = (file: string) => fileURLToPath(new URL(`../demo/${file}.json`, import.meta.url))

/** The hands of the maker at Fair Hollow, as nobody but this file knows them. */
const HANDS: TrueHands = {
  wideCm: 0.5, tallCm: 0.46, swatchBias: 0.025, drift: -0.03, daySpread: 0.012, seconds: 3.1, tallFactor: 1.2, tired: 0.09, slips: 0,
  tapeCm: 0.12, gramsPerCm: 0.0042,
}

const AUTUMN = Date.UTC(2026, 8, 14, 18, 30)
const DAY_MS = 86_400_000

interface Simulated extends Omit<Telling, 'name' | 'from' | 'hour'> {
  readonly file: string
  readonly design: string
  readonly day: number
  readonly seed: number
}

const BAGS: readonly Simulated[] = [
  { file: 'make-twine-tub-done', design: 'twine-tub', day: 0, seed: 11, forWhom: 'the string shelf in the shed' },
  { file: 'make-apple-tote-done', design: 'apple-tote', day: 6, seed: 12, forWhom: 'Wren, for windfalls', redrafts: true, rips: { 31: 2 } },
  {
    file: 'make-nutting-basket-done', design: 'nutting-basket', day: 25, seed: 13, forWhom: 'the hazel walk', oddRound: 34,
    notes: 'Moss stitch takes its time, and is worth it.',
  },
  { file: 'make-harvest-stripe-done', design: 'harvest-stripe', day: 37, seed: 14, forWhom: 'the harvest table', rips: { 22: 1, 41: 3 } },
  { file: 'make-seed-head-pouch-done', design: 'seed-head-pouch', day: 52, seed: 15, forWhom: 'Old Tam\'s poppy seed' },
  { file: 'make-onion-net', design: 'onion-net', day: 63, seed: 16, until: { leg: 'r16', beats: 12 } },
  { file: 'make-seed-head-pouch', design: 'seed-head-pouch', day: 65, seed: 17, until: { leg: 'r18', beats: 'all' } },
]

function designOf(name: string): Design {
  const reading = readDesign(JSON.parse(readFileSync(demo(name), 'utf8')))
  if (!reading.ok) throw new Error(`${name} is no sound design`)
  return reading.document
}

for (const { file, design, day, seed, ...telling } of BAGS) {
  const plan = designOf(design)
  const events = makeAny(plan, HANDS, new Dice(seed), { ...telling, name: `${design}-${seed}`, from: AUTUMN + day * DAY_MS, hour: 18.5 })
  writeFileSync(demo(file), `${JSON.stringify(makeDocument(plan.name, events), null, 1)}\n`)
}

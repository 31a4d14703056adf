import { randomUUID } from 'node:crypto'
import type Database from 'better-sqlite3'
import type { Design, SwatchDocument } from '../../core/bag/design/design'
import { progressIn } from '../../core/making/make/plan'
import type { MakeDocument } from '../../core/making/make/document'
import { readMake } from '../../core/making/make/read'
import { readDesign, readSwatch, type Reading } from '../../core/bag/design/read'
import { problemLines } from '../../core/bag/design/problem'
import appleTidy from '../../demo/apple-tidy.json'
import appleTote from '../../demo/apple-tote.json'
import bulbSling from '../../demo/bulb-sling.json'
import coneCotton from '../../demo/swatch-cone-cotton.json'
import gooseberryNet from '../../demo/gooseberry-net.json'
import graftingBag from '../../demo/grafting-bag.json'
import harvestStripe from '../../demo/harvest-stripe.json'
import loafBag from '../../demo/loaf-bag.json'
import doubleStrand from '../../demo/swatch-double-strand.json'
import sprigs from '../../demo/swatch-sprigs.json'
import lunchWrap from '../../demo/lunch-wrap.json'
import pearBasket from '../../demo/pear-basket.json'
import onionNet from '../../demo/onion-net.json'
import seedHeadPouch from '../../demo/seed-head-pouch.json'
import ciderStallBag from '../../demo/cider-stall-bag.json'
import nuttingBasket from '../../demo/nutting-basket.json'
import rootSack from '../../demo/root-sack.json'
import catalogueSatchel from '../../demo/seed-catalogue-satchel.json'
import madeAppleTote from '../../demo/make-apple-tote-done.json'
import madeHarvestStripe from '../../demo/make-harvest-stripe-done.json'
import madeNuttingBasket from '../../demo/make-nutting-basket-done.json'
import madeSeedHeadPouch from '../../demo/make-seed-head-pouch-done.json'
import madeTwineTub from '../../demo/make-twine-tub-done.json'
import onionNetMake from '../../demo/make-onion-net.json'
import seedHeadPouchMake from '../../demo/make-seed-head-pouch.json'
import twineTub from '../../demo/twine-tub.json'
import undyedCone from '../../demo/yarn-undyed-cone.json'
import leafWorsted from '../../demo/yarn-leaf-worsted.json'
import strawWorsted from '../../demo/yarn-straw-worsted.json'
import pearWorsted from '../../demo/yarn-pear-worsted.json'
import harvestFair from '../../demo/order-harvest-fair.json'
import bulbSwap from '../../demo/order-bulb-swap.json'
import { type Day, dayAfter, daysBetween, mondayOf } from '../../core/household/plan/days'
import type { Order } from '../../core/household/plan/order'
import { readOrder } from '../../core/household/plan/readOrder'
import { readShelfYarn } from '../../core/household/shelf/read'
import type { ShelfYarn } from '../../core/household/shelf/yarn'
import { repository } from './documents'
import { makesIn } from './makes'

function sound<D>(reading: Reading<D>): D {
  if (!reading.ok) throw new Error(`a demo document is broken: ${problemLines(reading.problems).join('; ')}`)
  return reading.document
}

/** The bags and swatches of the demo world, the one to look at first last, since lists show the newest first. */
export const DEMO_DESIGNS: readonly Design[] = [
  graftingBag, gooseberryNet, pearBasket, lunchWrap, nuttingBasket, catalogueSatchel, rootSack, ciderStallBag, twineTub, appleTidy,
  bulbSling, loafBag, harvestStripe, onionNet, appleTote, seedHeadPouch,
].map(document => sound(readDesign(document)))
export const DEMO_SWATCHES: readonly SwatchDocument[] = [doubleStrand, sprigs, coneCotton].map(document => sound(readSwatch(document)))

/** Yarns of its shelf. */
export const DEMO_YARNS: readonly ShelfYarn[] = [
  pearWorsted, strawWorsted, leafWorsted, undyedCone,
].map(document => sound(readShelfYarn(document)))

/** Its promised orders, as of the week that these were written in. */
export const DEMO_ORDERS: readonly Order[] = [bulbSwap, harvestFair].map(document => sound(readOrder(document)))

/** An order as if it had been taken this week: its days keep their days of the week. */
function thisWeeks(order: Order, today: Day): Order {
  const later = (day: Day) => dayAfter(day, daysBetween(mondayOf(DEMO_ORDERS.at(-1)!.taken), mondayOf(today)))
  return {
    ...order, taken: later(order.taken), from: later(order.from), by: later(order.by),
    otherEvenings: order.otherEvenings.map(({ day, minutes }) => ({ day: later(day), minutes })),
  }
}

/** The bags of the demo world that are on the hook. */
export const DEMO_MAKES: readonly MakeDocument[] = [onionNetMake, seedHeadPouchMake].map(document => sound(readMake(document)))

/** Those that are finished: what the logbook has to show. The simulated maker made them (scripts/simulate.ts). */
export const DEMO_LOGBOOK: readonly MakeDocument[] = [
  madeTwineTub, madeAppleTote, madeNuttingBasket, madeHarvestStripe, madeSeedHeadPouch,
].map(document => sound(readMake(document)))

/** Lays out the demo world in a database that never had it. Thrown away, it stays away. */
export function layOutDemoWorld(db: Database.Database): void {
  db.transaction(() => {
    if (firstTime(db, 'demo-world')) {
      for (const design of DEMO_DESIGNS) repository(db, 'designs', readDesign).add(design)
      for (const swatch of DEMO_SWATCHES) repository(db, 'swatches', readSwatch).add(swatch)
    }
    if (firstTime(db, 'demo-yarns')) for (const yarn of DEMO_YARNS) repository(db, 'yarns', readShelfYarn).add(yarn)
    if (firstTime(db, 'demo-orders')) {
      const today = new Intl.DateTimeFormat('sv-SE').format()
      for (const order of DEMO_ORDERS) repository(db, 'orders', readOrder).add(thisWeeks(order, today))
    }
    if (firstTime(db, 'demo-logbook'))
      for (const { events } of DEMO_LOGBOOK) makesIn(db).keep(randomUUID(), events, progressIn(events))
    if (firstTime(db, 'demo-makes'))
      for (const { events } of DEMO_MAKES) makesIn(db).keep(randomUUID(), events, progressIn(events))
  })()
}

/** Whether the program does something for the first time; it remembers that it did. */
function firstTime(db: Database.Database, key: string): boolean {
  return db.prepare('INSERT OR IGNORE INTO house (key, value) VALUES (?, ?)').run(key, new Date().toISOString()).changes === 1
}

import type Database from 'better-sqlite3'
import type { Design, SwatchDocument } from '../../core/design/design'
import { problemLines, readDesign, readSwatch, type Reading } from '../../core/design/read'
import appleTidy from '../../demo/apple-tidy.json'
import appleTote from '../../demo/apple-tote.json'
import bulbSling from '../../demo/bulb-sling.json'
import coneCotton from '../../demo/swatch-cone-cotton.json'
import harvestStripe from '../../demo/harvest-stripe.json'
import loafBag from '../../demo/loaf-bag.json'
import doubleStrand from '../../demo/swatch-double-strand.json'
import onionNet from '../../demo/onion-net.json'
import seedHeadPouch from '../../demo/seed-head-pouch.json'
import ciderStallBag from '../../demo/cider-stall-bag.json'
import nuttingBasket from '../../demo/nutting-basket.json'
import rootSack from '../../demo/root-sack.json'
import catalogueSatchel from '../../demo/seed-catalogue-satchel.json'
import twineTub from '../../demo/twine-tub.json'
import { shelf } from './documents'

function sound<D>(reading: Reading<D>): D {
  if (!reading.ok) throw new Error(`a demo document is broken: ${problemLines(reading.problems).join('; ')}`)
  return reading.document
}

/** The bags and swatches of the demo world, the one to look at first last, since lists show the newest first. */
export const DEMO_DESIGNS: readonly Design[] = [
  nuttingBasket, catalogueSatchel, rootSack, ciderStallBag, twineTub, appleTidy, bulbSling, loafBag, harvestStripe, onionNet, appleTote,
  seedHeadPouch,
].map(document => sound(readDesign(document)))
export const DEMO_SWATCHES: readonly SwatchDocument[] = [doubleStrand, coneCotton].map(document => sound(readSwatch(document)))

/** Lays out the demo world in a database that never had it. Thrown away, it stays away. */
export function layOutDemoWorld(db: Database.Database): void {
  db.transaction(() => {
    const { changes } = db.prepare('INSERT OR IGNORE INTO house (key, value) VALUES (\'demo-world\', ?)').run(new Date().toISOString())
    if (changes === 0) return
    for (const design of DEMO_DESIGNS) shelf(db, 'designs', readDesign).add(design)
    for (const swatch of DEMO_SWATCHES) shelf(db, 'swatches', readSwatch).add(swatch)
  })()
}

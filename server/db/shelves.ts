import type { Design, SwatchDocument } from '../../core/design/design'
import { readDesign, readSwatch } from '../../core/design/read'
import { database } from './connection'
import { type Shelf, shelf } from './documents'
import { type Makes, makesIn } from './makes'

let designShelf: Shelf<Design> | undefined
let swatchShelf: Shelf<SwatchDocument> | undefined
let makeShelf: Makes | undefined

/** The designs kept in the house. */
export function designs(): Shelf<Design> {
  return designShelf ??= shelf(database(), 'designs', readDesign)
}

/** The swatches kept in the house. */
export function swatches(): Shelf<SwatchDocument> {
  return swatchShelf ??= shelf(database(), 'swatches', readSwatch)
}

/** The bags on the hook. */
export function makes(): Makes {
  return makeShelf ??= makesIn(database())
}

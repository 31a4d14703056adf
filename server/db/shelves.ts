import type { Design, SwatchDocument } from '../../core/design/design'
import { database } from './connection'
import { type Shelf, shelf } from './documents'

let designShelf: Shelf<Design> | undefined
let swatchShelf: Shelf<SwatchDocument> | undefined

/** The designs kept in the house. */
export function designs(): Shelf<Design> {
  return designShelf ??= shelf<Design>(database(), 'designs')
}

/** The swatches kept in the house. */
export function swatches(): Shelf<SwatchDocument> {
  return swatchShelf ??= shelf<SwatchDocument>(database(), 'swatches')
}

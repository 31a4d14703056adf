import type { Design } from '../../design/design'
import type { Gauge } from '../../../things/gauge/gauge'
import type { Finding } from '../../../parts/part/finding'
import type { DraftPart } from '../fold/draftPart'
import type { BagSizes } from '../sizes'

/** A bag as it is judged: its design, its parts as drafted, its sizes. */
export interface Bag {
  readonly design: Design
  readonly parts: readonly DraftPart[]
  readonly sizes: BagSizes
  readonly gauge: Gauge
}

/** Says what should be watched in a bag that no part can see alone. */
export type Judge = (bag: Bag) => Finding[]

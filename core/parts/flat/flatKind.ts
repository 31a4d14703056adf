import type { Fields } from '../field/field'
import type { Keeps } from '../kind/kind'
import type { Asks } from '../part/asks'
import type { PartResult, Setting } from '../part/part'
import type { Repeat } from '../../things/repeat/repeat'
import type { Edge } from '../../things/round/edge'
import type { Bandlike } from '../texture/bandlike'
import type { OwnShare, TextureSwatch } from '../texture/ownSize'

/** A band of rows, as a document holds it: what it is, how tall, in which yarn, and what its kind asks besides. */
export interface FlatBand extends Bandlike {
  readonly kind: string
  /** Of a texture: what was counted on a swatch of it. */
  readonly swatch?: TextureSwatch
}

/** A kind of band worked to and fro. */
export interface FlatKind {
  readonly kind: string
  readonly name: string
  readonly does: string
  readonly fields: Fields
  /** Demand on the stitches of the row below; nothing of one that cannot be worked. */
  readonly asks: (band: FlatBand, repeats: readonly Repeat[]) => Asks | undefined
  readonly begins: (keeps: Keeps) => object
  readonly work: (band: FlatBand, on: Edge, setting: Setting) => PartResult | undefined
  /** Whether it is in a pattern that nobody measured. */
  readonly estimated?: (band: FlatBand, repeats: readonly Repeat[]) => boolean
  /** Of a texture of which a swatch was made: its own size. */
  readonly ownSize?: (band: FlatBand, setting: Pick<Setting, 'gauge' | 'repeats'>) => OwnShare | undefined
}

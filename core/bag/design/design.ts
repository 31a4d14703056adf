import type { ValuesOf } from '../../parts/field/spec'
import type { designFields } from './documentFields'
import type { swatchFields } from './swatchFields'

/*
 * The maker's documents, as types: what stands in them is said once, by their fields.
 */

/** The maker's document: what they want and what they pinned. Nothing in it can be derived. */
export type Design = ValuesOf<ReturnType<typeof designFields>>

/** A part of the wall in its place in a bag. */
export type { WallPart } from './documentFields'
/** Which hand holds the hook. */
export type Handedness = Design['hands']
/** A yarn of the bag, named in plain words. */
export type Yarn = Design['yarns'][number]
/** The gauge a design is drafted in: a swatch, and whether its rounds were turned. */
export type DesignGauge = Design['gauge']

/** A swatch on its own, kept to start further bags from. */
export type SwatchDocument = ValuesOf<ReturnType<typeof swatchFields>>

import type { BaseSpec } from '../../parts/base/base'
import type { MeasuredBase } from '../../parts/base/measuredBase'
import type { Contents } from '../../parts/contents/contents'
import type { Swatch } from '../../things/gauge/gauge'
import type { StretchTest } from '../../parts/handle/drop'
import type { Units } from '../../things/measure/format'
import type { Rounds } from '../../things/round/style'
import type { Repeat } from '../../things/repeat/repeat'
import type { KeptTexture } from '../../parts/texture/ownSize'
import type { MeasuredPart } from './measures'
import type { TurnUp } from '../../parts/wall/turnUp'
import type { WallSpec } from '../../parts/wall/wall'

/** Version of the open design document that this program writes. */
export const DESIGN_VERSION = 4
/** Version of the swatch document that this program writes. */
export const SWATCH_VERSION = 2

export const HANDS = ['right', 'left'] as const
export type Handedness = (typeof HANDS)[number]

/** A yarn of the bag, named in plain words. */
export interface Yarn {
  /** How parts refer to it: `main`, `moss`. */
  readonly id: string
  readonly name: string
  /** `#rrggbb`, for drawing. */
  readonly colour: string
  /** The yarn of the shelf that it is, by its id there; one that stands alone if left out. */
  readonly shelf?: string
}

/** The gauge a design is drafted in: a swatch, and whether its rounds were turned. */
export interface DesignGauge extends Swatch {
  /** Turned and unturned rounds differ a little in height, so a swatch says which it was. */
  readonly worked?: 'turned' | 'unturned'
}

/** A part of the wall in its place in a bag: known by its id wherever it is moved. */
export type WallPart = WallSpec & { readonly id: string }

/** The maker's document: what they want and what they pinned. Nothing in it can be derived. */
export interface Design {
  readonly fairHollow: 'design'
  readonly version: typeof DESIGN_VERSION
  readonly name: string
  readonly note: string
  readonly hands: Handedness
  readonly units: Units
  readonly gauge: DesignGauge
  readonly yarns: readonly Yarn[]
  readonly rounds: Rounds
  /** The contents that the bag must hold. */
  readonly contents?: Contents
  readonly base: BaseSpec
  /** The finished base as measured, with its counts pinned. */
  readonly measuredBase?: MeasuredBase
  /** Measurements of other parts, done or half done. */
  readonly measured?: readonly MeasuredPart[]
  readonly turnUp: TurnUp
  /** The maker's name for the round that turns up; its kind's if left out. */
  readonly turnUpCalled?: string
  readonly wall: readonly WallPart[]
  /** Stitch patterns of the maker's own, for bands to be worked in. */
  readonly repeats: readonly Repeat[]
  /** A number that the count at the mouth must divide by, for what will be worked on it: 4 for a casing with two cords, say. */
  readonly mouth?: { readonly divides: number }
  /** Made for a child: cords, beads and small parts then want more care. */
  readonly forChild?: boolean
  /** A strip that the maker hung up with a weight on it: how much handles will lengthen. */
  readonly stretch?: StretchTest
  /** A lining, and what its pieces get all round for their seams. */
  readonly lining?: { readonly seamCm: number }
  /** Words to find and sort it by in the list, between commas. */
  readonly tags?: string
}

/** A swatch on its own, kept to start further bags from. */
export interface SwatchDocument {
  readonly fairHollow: 'swatch'
  readonly version: typeof SWATCH_VERSION
  readonly name: string
  readonly note: string
  readonly yarn: string
  /** The yarn of the shelf that it was made in, by its id there. */
  readonly shelf?: string
  readonly gauge: DesignGauge
  /** Of a texture: which it is, and what was counted on it. */
  readonly texture?: KeptTexture
}

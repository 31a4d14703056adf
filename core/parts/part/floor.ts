import { type Length, times } from '../../things/measure/length'

/** The outline a bag stands on. `none`: it has no floor and folds flat. */
export type FloorShape = 'disc' | 'stadium' | 'rectangle' | 'none'

/** A floor: how long and how wide. A disc is as wide as it is long; without a floor the width is nothing. */
export interface Floor {
  readonly shape: FloorShape
  readonly length: Length
  readonly width: Length
}

/** How far a bag reaches in each direction, in centimetres. */
export interface Footprint {
  readonly lengthCm: number
  readonly widthCm: number
}

/** Everything that the program knows of an outline that a bag stands on: readers ask for it, not for which outline it is. */
interface Outline {
  /** The bag stands on it; without a floor it lies flat. */
  readonly stands: boolean
  /** It has one measure, its diameter. */
  readonly isDisc?: true
  readonly hasCorners?: true
  /** The edge around it. */
  readonly perimeterCm: (size: Footprint) => number
  readonly areaCm2: (size: Footprint) => number
  /** The straight part of its longer side. */
  readonly straightCm: (size: Footprint) => number
  /** How a wall with so much edge stands over it, as wide as the floor is across. */
  readonly standing: (widthCm: number, aroundCm: number) => Footprint
  /** How far aside of the middle the front is after this share of it, seen from the long side. */
  readonly frontXCm: (size: Footprint, share: number) => number
  /** The share of the way round that is seen from the long side: of one with corners the long side alone. */
  readonly seenShare: (size: Footprint) => number
  /** The piece of a lining for it. */
  readonly cut: 'circle' | 'rounded' | 'rectangle'
}

const flatFront = ({ lengthCm }: Footprint, share: number) => (share - 0.5) * lengthCm

/** Along a quarter circle, a straight side and another quarter circle. */
function stadiumFront({ lengthCm, widthCm }: Footprint, share: number): number {
  const arc = (Math.PI * widthCm) / 4
  const straight = lengthCm - widthCm
  const along = share * (2 * arc + straight)
  if (along < arc) return -straight / 2 - (widthCm / 2) * Math.cos(along / (widthCm / 2))
  if (along < arc + straight) return along - arc - straight / 2
  return straight / 2 + (widthCm / 2) * Math.sin((along - arc - straight) / (widthCm / 2))
}

const half = () => 0.5

/** A stadium is a rectangle with a half disc at each end: two straight sides of length less width, and a whole circle (craft 5). */
const OUTLINES: Readonly<Record<FloorShape, Outline>> = {
  disc: {
    stands: true, isDisc: true, cut: 'circle', straightCm: () => 0,
    perimeterCm: ({ lengthCm }) => Math.PI * lengthCm, areaCm2: ({ lengthCm }) => (Math.PI / 4) * lengthCm * lengthCm,
    standing: (_, aroundCm) => ({ lengthCm: aroundCm / Math.PI, widthCm: aroundCm / Math.PI }),
    frontXCm: ({ lengthCm }, share) => (-lengthCm / 2) * Math.cos(Math.PI * share), seenShare: half,
  },
  stadium: {
    stands: true, cut: 'rounded', straightCm: ({ lengthCm, widthCm }) => lengthCm - widthCm,
    perimeterCm: ({ lengthCm, widthCm }) => 2 * (lengthCm - widthCm) + Math.PI * widthCm,
    areaCm2: ({ lengthCm, widthCm }) => (lengthCm - widthCm) * widthCm + (Math.PI / 4) * widthCm * widthCm,
    standing: (widthCm, aroundCm) => ({ lengthCm: (aroundCm - Math.PI * widthCm) / 2 + widthCm, widthCm }),
    frontXCm: stadiumFront, seenShare: half,
  },
  rectangle: {
    stands: true, hasCorners: true, cut: 'rectangle', straightCm: ({ lengthCm, widthCm }) => Math.max(lengthCm, widthCm),
    perimeterCm: ({ lengthCm, widthCm }) => 2 * (lengthCm + widthCm), areaCm2: ({ lengthCm, widthCm }) => lengthCm * widthCm,
    standing: (widthCm, aroundCm) => ({ lengthCm: Math.max(0, aroundCm / 2 - widthCm), widthCm }), frontXCm: flatFront,
    seenShare: ({ lengthCm, widthCm }) => lengthCm / (lengthCm + widthCm) / 2,
  },
  none: {
    stands: false, cut: 'rectangle', straightCm: () => 0, perimeterCm: ({ lengthCm }) => 2 * lengthCm, areaCm2: () => 0,
    standing: (_, aroundCm) => ({ lengthCm: aroundCm / 2, widthCm: 0 }), frontXCm: flatFront, seenShare: half,
  },
}
/** The traits of a floor's outline, or of the outline of a course that stands on one. */
export function outlineOf({ shape }: Pick<Floor, 'shape'>): Outline {
  return OUTLINES[shape]
}

/** Whether there is a floor that the bag stands on. */
export function hasFloor<F extends Pick<Floor, 'shape'>>(
  floor: F | undefined,
): floor is F & { readonly shape: Exclude<FloorShape, 'none'> } {
  return floor !== undefined && outlineOf(floor).stands
}

/** Whether a floor has one measure, its diameter. */
export function isDisc(floor: Pick<Floor, 'shape'> | undefined): boolean {
  return floor !== undefined && outlineOf(floor).isDisc === true
}

/** Whether a bag stands round: on a floor without corners. */
export function isRounded(floor: Pick<Floor, 'shape'>): boolean {
  return hasFloor(floor) && !outlineOf(floor).hasCorners
}

/** How far a floor reaches. */
export function footprintOf({ length, width }: Floor): Footprint {
  return { lengthCm: length.cm, widthCm: width.cm }
}

/** The edge around a floor; a bag without one has its length twice. */
export function perimeterCm(floor: Floor): number {
  return outlineOf(floor).perimeterCm(footprintOf(floor))
}

/** How a wall with so much edge stands over a floor, seen from its long side. */
export function standing(floor: Floor, aroundCm: number): Footprint {
  return outlineOf(floor).standing(Math.min(floor.width.cm, floor.length.cm, aroundCm / Math.PI), aroundCm)
}

/** A floor that is none: the bag lies flat, this wide. */
export function noFloor(length: Length): Floor {
  return { shape: 'none', length, width: times(length, 0) }
}

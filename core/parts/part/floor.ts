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

/**
 * The edge around a floor. A stadium (a rectangle with a half disc at each end) has two straight sides of length less
 * width, and a whole circle (craft 5); a bag without a floor has its length twice.
 */
export function perimeterCm({ shape, length, width }: Floor): number {
  switch (shape) {
    case 'disc': return Math.PI * length.cm
    case 'stadium': return 2 * (length.cm - width.cm) + Math.PI * width.cm
    case 'rectangle': return 2 * (length.cm + width.cm)
    case 'none': return 2 * length.cm
  }
}

/** The surface of an outline of this shape. */
export function areaCm2(shape: FloorShape, { lengthCm, widthCm }: Footprint): number {
  switch (shape) {
    case 'disc': return (Math.PI / 4) * lengthCm * lengthCm
    case 'stadium': return (lengthCm - widthCm) * widthCm + (Math.PI / 4) * widthCm * widthCm
    case 'rectangle': return lengthCm * widthCm
    case 'none': return 0
  }
}

/**
 * How a wall with so much edge stands over a floor, seen from its long side: a disc as a circle, the others as wide as the floor
 * is across and as long as the edge then allows; without a floor it lies flat.
 */
export function standing(floor: Floor, aroundCm: number): Footprint {
  const widthCm = Math.min(floor.width.cm, floor.length.cm, aroundCm / Math.PI)
  switch (floor.shape) {
    case 'disc': return { lengthCm: aroundCm / Math.PI, widthCm: aroundCm / Math.PI }
    case 'stadium': return { lengthCm: (aroundCm - Math.PI * widthCm) / 2 + widthCm, widthCm }
    case 'rectangle': return { lengthCm: Math.max(0, aroundCm / 2 - widthCm), widthCm }
    case 'none': return { lengthCm: aroundCm / 2, widthCm: 0 }
  }
}

/** A floor that is none: the bag lies flat, this wide. */
export function noFloor(length: Length): Floor {
  return { shape: 'none', length, width: times(length, 0) }
}

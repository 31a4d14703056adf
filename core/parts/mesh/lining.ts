import { type Floor, hasFloor, outlineOf } from '../part/floor'

/** A piece of cloth to cut for a lining. */
export interface Piece {
  readonly what: string
  readonly cut: 'circle' | 'rectangle' | 'rounded'
  readonly lengthCm: number
  readonly widthCm: number
  readonly times: number
}

/** Hem of a lining's upper edge, on top of its seam (from memory). */
const HEM_CM = 2

/** The pieces of a lining for two flat round motifs so far across: as round as they are, with seams. */
export function roundLining(acrossCm: number, seamCm: number): Piece[] {
  const cm = acrossCm + 2 * seamCm
  return [{ what: 'front and back, left open where the mouth is', cut: 'circle', lengthCm: cm, widthCm: cm, times: 2 }]
}

/**
 * The pieces of a lining for a bag of this floor, circumference and height, seam allowance all round and a hem at the top
 * included. It is cut to the bag as it hangs empty, so that the lining and not the mesh takes the strain.
 */
export function liningPieces(floor: Floor, aroundCm: number, heightCm: number, seamCm: number): Piece[] {
  const tall = heightCm + 2 * seamCm + HEM_CM
  if (!hasFloor(floor))
    return [{ what: 'front and back', cut: 'rectangle', lengthCm: aroundCm / 2 + 2 * seamCm, widthCm: tall, times: 2 }]
  const [lengthCm, widthCm] = [floor.length.cm + 2 * seamCm, floor.width.cm + 2 * seamCm]
  const { cut } = outlineOf(floor)
  return [
    { what: 'floor', cut, lengthCm, widthCm, times: 1 },
    { what: 'wall', cut: 'rectangle', lengthCm: aroundCm + 2 * seamCm, widthCm: tall, times: 1 },
  ]
}

import type { Edge } from './edge'

/** How far round the bag a boundary of an edge lies, from 0 to 1, seen from the right side: turned rounds lie the other way about. */
export function fractionRound({ count, closed, past }: Edge, boundary: number, facing: 'right' | 'wrong'): number {
  const slot = facing === 'wrong' ? count - boundary + (closed && !past ? 1 : 0) : boundary
  const way = slot / count
  return way - Math.floor(way)
}

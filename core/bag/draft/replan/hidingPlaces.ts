import type { PartResult } from '../../../parts/part/part'
import type { PutRightIn } from '../../../parts/part/correctedRound'

/** Whether a round has sides between its four markers, which stay plain. */
export function growsAtEnds({ markers }: PartResult, i: number): boolean {
  return markers?.[i]?.length === 4
}

export function whereOf(result: PartResult, i: number): PutRightIn['where'] {
  if (!result.rounds[i]!.edge.closed) return 'row'
  return growsAtEnds(result, i) ? 'ends' : 'seam'
}

/** Where round about a part a fudge shows least: beside the seam, then at the other side; of a floor in the middle of its ends. */
export function hidingPlaces(result: PartResult, i: number): number[] {
  const { edge: { count, closed } } = result.rounds[i]!
  if (!closed) return [1, 0.02]
  const marked = result.markers?.[i] ?? []
  if (growsAtEnds(result, i)) {
    const [a, b, c, d] = marked as [number, number, number, number]
    const middle = (from: number, to: number) => (((from + to + 1) / 2) % count) / count
    // They stand at the first and the last stitch of both sides, which are as long as each other; the ends lie between.
    const wraps = Math.abs((b - a) - (d - c)) > Math.abs((c - b) - (a + count - d))
    return wraps ? [middle(a, b), middle(c, d)] : [middle(d, a + count), middle(b, c)]
  }
  return [1, 0.5]
}

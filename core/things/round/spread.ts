/**
 * Spreads `changes` evenly over a closed round: the gaps of plain stitches that follow each change, in order.
 *
 * The gaps add up to `plain`, and no two differ by more than one. This is the digital straight line (Bresenham's
 * rule): gap `i` is the whole part of `(i + 1) * plain / changes` less that of `i * plain / changes`.
 *
 * With `mirrored`, the gaps are turned about until they read the same from both ends, or, where that cannot be, do so
 * after the first one. One of the two always exists: a digital straight line reversed is the same line started
 * elsewhere.
 *
 * @param changes how many increases or decreases, at least 1
 * @param plain how many plain stitches lie between them in all
 */
export function gaps(changes: number, plain: number, mirrored = false): number[] {
  const found = Array.from({ length: changes }, (_, i) =>
    Math.floor(((i + 1) * plain) / changes) - Math.floor((i * plain) / changes))
  return mirrored ? mirror(found) : found
}

/** Whether a list reads the same from both ends, from an index on. */
export function readsTheSame(list: readonly number[], from: number): boolean {
  for (let i = from, j = list.length - 1; i < j; i++, j--) if (list[i] !== list[j]) return false
  return true
}

function mirror(list: readonly number[]): number[] {
  const turns = list.map((_, by) => [...list.slice(by), ...list.slice(0, by)])
  return turns.find(turn => readsTheSame(turn, 0)) ?? turns.find(turn => readsTheSame(turn, 1))!
}

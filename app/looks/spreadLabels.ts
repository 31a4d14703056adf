/**
 * Heights for labels that each want to stand at a height of their own, in order from the top, at least `gap` apart and
 * between `top` and `bottom` as far as they fit: pushed down past one another, then back up from the bottom.
 */
export function spreadLabels(wanted: readonly number[], gap: number, top: number, bottom: number): number[] {
  const placed: number[] = []
  wanted.forEach((y, i) => placed.push(Math.max(y, i === 0 ? top : placed[i - 1]! + gap)))
  let limit = bottom
  for (let i = placed.length - 1; i >= 0 && placed[i]! > limit; i--) {
    placed[i] = limit
    limit -= gap
  }
  return placed
}

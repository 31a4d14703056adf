/*
 * The geometry of a net (craft 8). Each round of loops is a row of diamonds whose four sides are half a loop each: spread
 * `x` wide, a loop of length `l` rises `y = sqrt((l/2)² - (x/2)²)`, by Pythagoras. A diamond is two loops high, one below
 * and one above: `x` wide and `2y` tall.
 */

/** How much a row of loops rises when each is spread so wide; nothing once it is stretched flat. */
export function riseOfLoop(loopCm: number, spreadCm: number): number {
  return Math.sqrt(Math.max(0, (loopCm / 2) ** 2 - (spreadCm / 2) ** 2))
}

/** A square diamond: as wide as tall. Mesh that nothing pulls lies about so (from memory). */
export function squareSpread(loopCm: number): number {
  return loopCm / Math.SQRT2
}

/**
 * The largest ball that can be pushed through a diamond: thread gives way until it lies around the ball, so the ball's
 * circumference is the diamond's rim of four half loops, `2l` (craft 8).
 */
export function ballThrough(loopCm: number): number {
  return (2 * loopCm) / Math.PI
}

/**
 * The largest rod, or ball, that falls through a diamond as it hangs, touching nothing: the circle within a rhombus, twice
 * its area over its rim (elementary geometry: the radius of an inscribed circle is the area over half the rim).
 */
export function rodThrough(loopCm: number, spreadCm: number): number {
  return (2 * spreadCm * riseOfLoop(loopCm, spreadCm)) / loopCm
}

/** A strap with both its feet upon each other, as it stands on the front: where, how far up it reaches, how wide it is. */
export interface Upright {
  readonly x: number
  readonly dropCm: number
  readonly widthCm: number
}

function n(value: number): string {
  return String(Math.round(value * 1000) / 1000)
}

/** As it lies when nobody holds it: a loop, its two legs side by side. */
export function loopUp({ x, dropCm, widthCm }: Upright, y: number): string {
  const apart = Math.min(widthCm * 0.62, dropCm / 2)
  return `M${n(x - apart)} ${n(y)}V${n(y - dropCm + apart)}A${n(apart)} ${n(apart)} 0 0 1 ${n(x + apart)} ${n(y - dropCm + apart)}V${n(y)}`
}

/** Where a knot bag's straps cross when it hangs: over the middle, as far up as the short one reaches; it leans if it is too short. */
export function crossing(short: Upright, y: number): { readonly x: number, readonly y: number } {
  const reach = short.dropCm * 0.95
  const x = Math.abs(short.x) <= reach ? 0 : short.x - Math.sign(short.x) * reach
  return { x, y: y - Math.sqrt(Math.max(0, short.dropCm ** 2 - (short.x - x) ** 2)) }
}

/** A knot bag as it is carried: the short strap leans to the middle, the long one goes through it and up to the hand. */
export function knotted(short: Upright, long: Upright, y: number): { readonly short: string, readonly long: string } {
  const knot = crossing(short, y)
  const toKnot = Math.hypot(long.x - knot.x, y - knot.y)
  const top = knot.y - Math.max(long.widthCm, long.dropCm - toKnot)
  const [dx, dy] = [knot.x - short.x, knot.y - y]
  const past = (0.6 * long.widthCm) / Math.max(0.01, Math.hypot(dx, dy))
  const bend = Math.min(1, (2 * long.widthCm) / Math.max(0.01, toKnot))
  const [bx, by] = [knot.x + (long.x - knot.x) * bend, knot.y + (y - knot.y) * bend]
  return {
    short: `M${n(short.x)} ${n(y)}v${n(-0.4 * short.widthCm)}L${n(knot.x + dx * past)} ${n(knot.y + dy * past)}`,
    long: `M${n(long.x)} ${n(y)}v${n(-0.4 * long.widthCm)}L${n(bx)} ${n(by)}`
      + `Q${n(knot.x)} ${n(knot.y)} ${n(knot.x)} ${n((knot.y + top) / 2)}V${n(top)}`,
  }
}

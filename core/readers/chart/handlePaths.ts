function n(value: number): string {
  return String(Math.round(value * 1000) / 1000)
}

/** Two straight legs to where a hand holds it, rounded there. */
export function heldUp(leftX: number, rightX: number, y: number, drop: number, lengthCm: number, widthCm: number): string {
  const [middle, top] = [(leftX + rightX) / 2, y - drop]
  // The hand takes up a little of the strap: its bend begins so far down each leg; a wide one bends no sharper than it is wide.
  const leg = Math.max(0.1, Math.hypot(middle - leftX, drop))
  const bend = Math.min(0.8, Math.max(Math.min(0.3, 3 / Math.max(6, lengthCm / 2)), (1.2 * widthCm) / leg))
  const [lx, rx, by] = [middle + (leftX - middle) * bend, middle + (rightX - middle) * bend, top + drop * bend]
  return `M${n(leftX)} ${n(y)}L${n(lx)} ${n(by)}Q${n(middle)} ${n(top)} ${n(rx)} ${n(by)}L${n(rightX)} ${n(y)}`
}

/** Half the angle of a circle's arc whose chord is so short against it: `sin(a)/a = chord/arc`, by halving. */
function halfAngle(chordToArc: number): number {
  let [low, high] = [1e-6, Math.PI]
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2
    if (Math.sin(middle) / middle > chordToArc) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** As it falls when nobody holds it: an arc of a circle, as long as the strap. */
export function lyingFlat(leftX: number, rightX: number, y: number, lengthCm: number): string {
  const chord = Math.abs(rightX - leftX)
  if (lengthCm <= chord) return `M${n(leftX)} ${n(y)}L${n(rightX)} ${n(y)}`
  const half = halfAngle(chord / lengthCm)
  const radius = lengthCm / 2 / half
  return `M${n(leftX)} ${n(y)}A${n(radius)} ${n(radius)} 0 ${half > Math.PI / 2 ? 1 : 0} ${leftX < rightX ? 1 : 0} ${n(rightX)} ${n(y)}`
}

/** A handle worked in the round runs along the rim up to its foot, and bends up from there; `roomCm` of rim lie beside each foot. */
export function fromRim(path: string, leftX: number, rightX: number, y: number, widthCm: number, roomCm: number): string {
  const [along, bend] = [Math.min(roomCm, 1.4 * widthCm), Math.min(roomCm, 0.35 * widthCm)]
  return `M${n(leftX - along)} ${n(y)}Q${n(leftX - bend)} ${n(y)} ${path.slice(1)}Q${n(rightX + bend)} ${n(y)} ${n(rightX + along)} ${n(y)}`
}

/** A strap comes up from where it lies on the bag. */
export function fromBelow(path: string, leftX: number, rightX: number, y: number, onBagCm: number): string {
  return `M${n(leftX)} ${n(y + onBagCm)}L${path.slice(1)}L${n(rightX)} ${n(y + onBagCm)}`
}

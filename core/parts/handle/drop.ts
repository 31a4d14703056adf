/**
 * How far a strap rises, or hangs, between its feet: both halves straight, as with a hand or a shoulder in the middle, the strap of
 * length `l` and feet `g` apart are two right-angled triangles: `sqrt((l/2)² - (g/2)²)` (craft 10; Pythagoras).
 *
 * @returns 0 for a strap that is no longer than its gap
 */
export function dropCm(lengthCm: number, gapCm: number): number {
  return lengthCm > gapCm ? Math.sqrt(lengthCm * lengthCm - gapCm * gapCm) / 2 : 0
}

/** The length of strap that drops so far between feet so far apart: the same, turned round. */
export function lengthForDrop(drop: number, gapCm: number): number {
  return Math.sqrt(4 * drop * drop + gapCm * gapCm)
}

/**
 * The pull in each leg of a strap that carries so much, by its middle: half the load each, and the more the flatter the legs
 * lie (the force triangle at the hand).
 */
export function legPull(load: number, lengthCm: number, gapCm: number): number {
  const drop = dropCm(lengthCm, gapCm)
  return drop > 0 ? (load / 2) * (lengthCm / 2 / drop) : Infinity
}

/** A strip of the maker's own, hung up: how long it was, and how long with so much on it. */
export interface StretchTest {
  readonly beforeCm: number
  readonly afterCm: number
  readonly kg: number
  /** How wide the strip was. */
  readonly widthCm: number
}

/** Cotton strips lengthen by 5 to 15 % under load (craft 10; from memory): the middle of it, until the maker hangs a strip. */
export const ASSUMED_STRETCH = 0.1

/** Beyond this share nothing is foretold from a small weight: cotton stiffens, and mesh gives more (from memory). */
const MOST_STRETCH = 0.5

/**
 * The share by which a strap lengthens: by the maker's strip, in proportion to the pull on each centimetre of width; without one, the
 * usual share.
 *
 * @param pullKg in one leg of the strap
 */
export function stretchShare(test: StretchTest | undefined, pullKg: number, widthCm: number): number {
  if (!test) return ASSUMED_STRETCH
  const share = (test.afterCm - test.beforeCm) / test.beforeCm
  // A strip that did not give says so for any pull, even one without end.
  if (share <= 0) return 0
  return Math.min(MOST_STRETCH, (share * (pullKg / widthCm)) / (test.kg / test.widthCm))
}

/** Usual drops (craft 10; from memory): in the hand, and over the shoulder. */
export const HAND_DROP_CM = 12
export const SHOULDER_DROP_CM = 28

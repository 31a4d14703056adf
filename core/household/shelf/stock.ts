import type { ShelfYarn } from './yarn'

/** Stock of a yarn on the shelf. */
interface Stock {
  readonly grams: number
  readonly metres: number
  /** Balls that weigh what a whole one does, and those begun. */
  readonly whole: number
  readonly part: number
  /** Different dye lots among them. */
  readonly lots: readonly string[]
}

/** A ball within so much of a whole one's weight is whole: bands are printed, balls are wound (from memory). */
const WHOLE_FROM = 0.95

/** Metres in so many grams of a yarn. */
export function metresIn(grams: number, { metresPer100g }: Pick<ShelfYarn, 'metresPer100g'>): number {
  return (grams * metresPer100g) / 100
}

/** Grams of so many metres of a yarn. */
export function gramsOf(metres: number, { metresPer100g }: Pick<ShelfYarn, 'metresPer100g'>): number {
  return (metres * 100) / metresPer100g
}

/** Adds up what lies on the shelf of a yarn. */
export function stockOf(yarn: Pick<ShelfYarn, 'balls' | 'ballGrams' | 'metresPer100g'>): Stock {
  const there = yarn.balls.filter(({ grams }) => grams > 0)
  const grams = there.reduce((sum, ball) => sum + ball.grams, 0)
  const whole = there.filter(ball => ball.grams >= WHOLE_FROM * yarn.ballGrams).length
  return {
    grams, metres: metresIn(grams, yarn), whole, part: there.length - whole,
    lots: [...new Set(there.flatMap(({ lot }) => (lot ? [lot] : [])))].sort(),
  }
}

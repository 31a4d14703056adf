import type { Ball } from './yarn'

/** Of more balls than this not every order is tried. */
export const MOST_TRIED = 6

export function* orders<T>(list: readonly T[]): Generator<T[]> {
  if (list.length < 2) {
    yield [...list]
    return
  }
  for (let i = 0; i < list.length; i++) for (const rest of orders(list.toSpliced(i, 1))) yield [list[i]!, ...rest]
}

/** Orders of many balls: whole lots one before the other. */
export function* byLots(sorted: readonly Ball[]): Generator<Ball[]> {
  const lots = [...new Set(sorted.map(({ lot }) => lot))]
  for (const some of lots.length <= MOST_TRIED ? orders(lots) : [lots]) yield some.flatMap(lot => sorted.filter(ball => ball.lot === lot))
}

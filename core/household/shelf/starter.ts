import { YARN_WEIGHTS } from '../../things/stitch/yarnWeights'
import type { ShelfYarn, YarnClass } from './yarn'

/** A yarn as it begins on the shelf: a medium cotton in balls of fifty grams, none there yet. */
export function newYarn(id: string): ShelfYarn {
  return {
    fairHollow: 'yarn', version: 1, id, name: '', note: '', fibre: 'cotton', weightClass: 3, colour: '#d9c8a5',
    metresPer100g: metresOfClass(3), ballGrams: 50, place: '', balls: [],
  }
}

/** Metres that a hundred grams of a class usually hold (common practice, no source). */
export function metresOfClass(weightClass: YarnClass): number {
  return YARN_WEIGHTS.find(({ number }) => number === weightClass)!.metresPer100g
}

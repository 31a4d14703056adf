import type { Draft } from '../draft/draft'
import { YARN_WEIGHTS, type YarnWeight, yarnWeightFor } from '../../things/stitch/yarnWeights'

/** The classes of yarn that this is probably worked in: a firm bag reads a class or two finer than its label would (craft 15). */
export function likelyClasses({ gauge }: Pick<Draft, 'gauge'>): readonly [finer: YarnWeight, heavier: YarnWeight] {
  const { number } = yarnWeightFor(1 / gauge.sc.width.cm)
  const heaviest = YARN_WEIGHTS.length - 1
  return [YARN_WEIGHTS[Math.min(heaviest, number + 1)]!, YARN_WEIGHTS[Math.min(heaviest, number + 2)]!]
}

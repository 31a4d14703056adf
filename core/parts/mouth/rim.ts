import type { CardId } from '../../things/entry/cards'
import { choice } from '../field/questions'
import { each } from '../../things/round/step'
import type { StitchKind } from '../../things/stitch/dictionary'
import { edged, oneRound } from './edging'

/** A way to work a firm rim. */
interface Rim {
  readonly value: string
  readonly name: string
  readonly does: string
  readonly made: StitchKind
  readonly advice: string
  readonly backwards?: true
  readonly card?: CardId
}

/** Ways to work a firm rim: what it is made of, and what the steps do not say. A further one is a further row. */
const RIMS = [
  {
    value: 'slip', name: '{slst}', does: 'Flat and firm; work loosely.', made: 'slst',
    advice: 'Work these {slst} loosely, or with a larger hook: they must not draw the mouth in.',
  },
  {
    value: 'reverse', name: '{sc} backwards', does: 'Stands as a cord along the edge.', made: 'sc', backwards: true, card: 'backwards',
    advice: 'Work these {sc} backwards, against the way of the rounds (reverse, or crab, stitch): they stand as a cord along the edge.',
  },
] as const satisfies readonly Rim[]

/** A firm last round (craft 9). */
export const rim = edged({
  kind: 'rim', name: 'firm rim', title: () => 'rim',
  does: 'A last round of {slst} or of {sc} worked backwards: it keeps the mouth from stretching.',
  fields: {
    rim: choice('The rim is of', RIMS, { begins: 'slip' }),
  },
  edging: (spec) => {
    const { made, advice, backwards }: Rim = RIMS.find(({ value }) => value === spec.rim)!
    return oneRound(
      {
        asks: { multiple: 1, plus: 0 }, gives: 1, main: 'sc',
        straight: { setUp: [], cycle: [{ repeat: [{ ...each(made, 1), ...(backwards ? { backwards } : {}) }] }] },
      },
      advice,
    )
  },
})

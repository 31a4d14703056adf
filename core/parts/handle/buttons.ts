import { between, length } from '../field/questions'
import { tape } from '../../things/stitch/translate'
import type { Setting } from '../part/part'
import type { Edge } from '../../things/round/edge'
import { placed } from './placing'
import { faces, sts } from './rim'

/** How wide a button is. */
export const BUTTON_CM = length('The button, across', between(0.5, 10), { begins: 2.5, usually: between(0.5, 5) })

/** The middles of front and back, so many stitches wide each. */
export function middles(edge: Edge, setting: Setting, places: number): { readonly front: string, readonly back: string } {
  const { firsts } = placed(edge, places, 'faces')
  const inOrder = faces(edge, setting, firsts, places)[0].name === 'front' ? firsts : ([firsts[1], firsts[0]] as const)
  const [front, back] = inOrder.map(first => sts(first, places, edge.count)) as [string, string]
  return { front, back }
}

/** A button, among what is needed. */
export function buttonNotion(buttonCm: number): string {
  return `a button of ${tape(buttonCm)}`
}

const SEWN_ON
  = 'Sew the button on with the yarn or thread through a scrap of fabric behind it, several times, and round the stem. Buttons come '
    + 'off and can be swallowed: none on anything for a small child.'

/** How a button is sewn on, and the care it wants. */
export function buttonWords(buttonCm: number, where: string): string[] {
  return [`Sew a button of ${tape(buttonCm)} ${where}`, SEWN_ON]
}

import type { PartSpec } from '../kind/kind'
import { tape } from '../../things/stitch/translate'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../../things/round/edge'
import { STITCHES } from '../../things/stitch/dictionary'
import { BUTTON_CM, buttonNotion, buttonWords, middles } from './buttons'
import { fitted, strapsTooWide } from './onRim'
import { nothingWorked } from './unworked'

const fields = { buttonCm: BUTTON_CM } as const

/** A loop of chain at the middle of the back that goes over a button on the front (craft 10). */
type ButtonLoopSpec = PartSpec<'button-loop', typeof fields>

/** A loop has to slip over a button lying on its edge: twice as long as the button is wide, and a little (from memory). */
const LOOP_EASE_CM = 0.6

/** Two stitches at the middle of each face. */
const LEAST = 4

function workButtonLoop(spec: ButtonLoopSpec, edge: Edge, setting: Setting): PartResult {
  const chainCm = setting.gauge.ch.width.cm
  const chains = Math.max(3, Math.ceil((2 * spec.buttonCm + LOOP_EASE_CM) / chainCm))
  if (edge.count < LEAST)
    return nothingWorked(edge, setting, [
      strapsTooWide(`A loop at the back and a button at the front want a rim of at least ${LEAST} stitches; this one has ${edge.count}.`),
    ])
  const { front, back } = middles(edge, setting, 2)
  const lengthCm = chains * chainCm
  const reach = lengthCm / 2 - spec.buttonCm / 2
  const piece: Piece = {
    id: 'loop', name: 'Button loop', times: 1, start: { kind: 'chain', chains }, rows: [], lengthCm, widthCm: chainCm / 2, along: true,
    colour: spec.colour, cordYarnCm: lengthCm * (STITCHES.ch.yarnPerWidth + STITCHES.slst.yarnPerWidth),
    lead:
      `Join the yarn at the middle of the back (${back} of the last round), ch ${chains}, {slst} in the next stitch of the rim; `
      + 'turn, and {slst} in the back bump of each ch: the loop is firm. Try the button before you fasten off.',
    advice: [],
    finish: buttonWords(
      spec.buttonCm,
      `on the middle of the front (below ${front}), about ${tape(Math.max(0.5, reach))} below the rim, where the loop reaches it `
      + 'without pulling.',
    ),
  }
  return nothingWorked(
    edge,
    setting,
    [
      {
        code: 'closure-place', weight: 'note',
        what:
          `The loop stands at the middle of the back, ${back}; the button on the front, below ${front}. ${chains} chains go over a `
          + `button of ${tape(spec.buttonCm)}.`,
      },
    ],
    {
      pieces: [piece], closure: { by: 'loop', buttonCm: spec.buttonCm }, notions: [buttonNotion(spec.buttonCm)],
      advice: [`Markers, counted from the start of the last round: ${back} for the loop, ${front} for the button.`],
    },
  )
}

/** A button and its loop (craft 10). */
export const buttonLoop = fitted({
  kind: 'button-loop', group: 'Closures', name: 'button and loop',
  does: 'A chain loop at the middle of the back over a button on the front.', fields, refusedAs: 'This closure', begins: () => ({}),
  place: workButtonLoop,
  sample: {
    signs: [
      { path: 'M-0.9 -7V-5.2a0.9 0.9 0 0 0 1.8 0V-7', thick: 0.3 },
      { path: 'M-0.6 -5a0.6 0.6 0 1 0 1.2 0a0.6 0.6 0 1 0 -1.2 0', thick: 0.35 },
    ],
  },
})

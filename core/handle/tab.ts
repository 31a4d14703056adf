import { between, count, length } from '../field/ask'
import type { PartSpec } from '../kind/kind'
import { tape } from '../stitch/tell'
import type { Finding } from '../part/finding'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import { type Edge, foundation } from '../round/edge'
import { at, chain, each, skip, type Step } from '../round/step'
import { BUTTON_CM, buttonNotion, buttonWords, middles } from './buttons'
import { fitted, strapsTooWide } from './onRim'
import { STRAP_STITCH } from './strapLength'
import { rowsOf, type StripStitch } from './strip'
import { nothingWorked } from './unworked'

const fields = {
  buttonCm: BUTTON_CM, lengthCm: length('Length of the tab', between(1, 60), { begins: 8, beside: true, usually: between(1, 20) }),
  wide: count('Stitches across', between(1, 60), { begins: 9, beside: true, usually: between(1, 14) }), stitch: STRAP_STITCH,
} as const

/** A tab grown from the middle of the back, with a buttonhole of chains near its end (craft 10). */
export type TabSpec = PartSpec<'tab', typeof fields>

/** Stitches at each side of a buttonhole, at least (from memory). */
const EDGE = 2

/** A row with a buttonhole in its middle, and the row above it. */
function buttonholeRows(stitch: StripStitch, wide: number, hole: number): readonly [Step[], Step[]] {
  const before = Math.floor((wide - hole) / 2)
  const after = wide - hole - before
  return [
    [each(stitch, before), chain(hole), skip(hole), each(stitch, after)],
    [each(stitch, after), at('bridge', { ...each(stitch, hole), aim: 'chains' }), each(stitch, before)],
  ]
}

function workTab(spec: TabSpec, edge: Edge, setting: Setting): PartResult {
  const { width, height } = setting.gauge[spec.stitch]
  const hole = Math.max(1, Math.round(spec.buttonCm / width.cm))
  const wide = Math.max(spec.wide, hole + 2 * EDGE)
  if (2 * wide + 2 > edge.count)
    return nothingWorked(edge, setting, [
      strapsTooWide(`A tab of ${wide} stitches is too wide for a rim of ${edge.count}. Take a smaller button, or a narrower tab.`),
    ])
  const { front, back } = middles(edge, setting, wide)
  const beyond = Math.max(1, Math.round(0.8 / height.cm))
  const rows = Math.max(beyond + 3, Math.round(spec.lengthCm / height.cm))
  const plain = [each(spec.stitch, wide)]
  const steps = [
    ...Array.from({ length: rows - beyond - 2 }, () => plain), ...buttonholeRows(spec.stitch, wide, hole),
    ...Array.from({ length: beyond }, () => plain),
  ]
  const piece: Piece = {
    id: 'tab', name: 'Tab', times: 1, start: { kind: 'chain', chains: 0 },
    rows: rowsOf(foundation('stitch', wide, false), spec.stitch, spec.colour, steps), lengthCm: rows * height.cm,
    widthCm: wide * width.cm, along: false, free: true, colour: spec.colour,
    lead: `Right side facing, join the yarn in the first of the ${wide} stitches at the middle of the back (${back} of the last round).`,
    advice: [
      `The buttonhole is ${hole} ${hole === 1 ? 'chain' : 'chains'} over as many stitches skipped: try your button in it, it should go `
      + 'through with a push.',
    ],
    finish: buttonWords(spec.buttonCm, `on the front, below ${front}, where the hole comes to lie with the bag full.`),
  }
  const widened: Finding[]
    = wide > spec.wide
      ? [
          {
            code: 'tab-widened', weight: 'note',
            what:
              `The tab is ${wide} stitches wide: a button of ${tape(spec.buttonCm)} takes a hole of ${hole}, with ${EDGE} at each `
              + 'side of it.',
          },
        ]
      : []
  return nothingWorked(
    edge,
    setting,
    [
      {
        code: 'closure-place', weight: 'note',
        what: `The tab grows from the middle of the back, ${back}: ${rows} rows, ${tape(rows * height.cm)}.`,
      },
      ...widened,
    ],
    {
      pieces: [piece], closure: { by: 'strip', buttonCm: spec.buttonCm }, notions: [buttonNotion(spec.buttonCm)],
      advice: [`Markers, counted from the start of the last round: ${back} for the tab, below ${front} for the button.`],
    },
  )
}

/** A tab (craft 10). */
export const tab = fitted({
  band: 'tab', group: 'Closures', name: 'tab', does: 'A tab grown from the back, with a buttonhole of chains.', fields,
  refusedAs: 'This closure', begins: ({ stitch }) => ({ stitch }), place: workTab,
  sample: {
    signs: [
      { path: 'M0 -7V-3.4', thick: 2 },
      { path: 'M-0.5 -4.4H0.5', thick: 0.3 },
    ],
  },
})

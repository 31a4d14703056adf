import { between, choice, count, length, optional } from '../field/questions'
import type { PartSpec } from '../kind/kind'
import { many, tape } from '../../things/stitch/translate'
import type { Finding } from '../part/finding'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import { type Edge, foundation } from '../../things/round/edge'
import { at, chain, each, inOne, skip, type Step } from '../../things/round/step'
import { BUTTON_CM, buttonNotion, buttonWords, middles } from './buttons'
import { fitted, strapsTooWide, WIDE_CM } from './onRim'
import { STRAP_STITCH } from './strapLength'
import { chainStart, rowsOf, type StripStitch } from './strip'
import { nothingWorked } from './unworked'

const fields = {
  buttonCm: BUTTON_CM, lengthCm: length('Length of the tab', between(1, 60), { begins: 8, beside: true, usually: between(1, 20) }),
  wide: count('Stitches across', between(1, 60), { begins: 9, beside: true, usually: between(1, 14) }), wideCm: WIDE_CM,
  stitch: STRAP_STITCH,
  made: optional(
    choice(
      'It is worked',
      [
        { value: 'grown', name: 'on the rim' },
        { value: 'separate', name: 'on its own, and sewn on', does: 'From a chain; its plain end is sewn inside the back.' },
      ],
    ),
  ),
  onBagCm: optional(
    length('Lies on the bag', between(0.5, 20), {
      usually: between(1, 4), when: (spec: object) => (spec as { readonly made?: string }).made === 'separate',
      says: 'How much of a tab worked on its own lies on the back, where it is sewn; 2 cm if left out.',
    }),
  ),
  holeRow: optional(
    count('Row of the buttonhole', between(1, 400), {
      usually: between(2, 30), says: 'The row that leaves the hole, from the first; the last one too. Near the end if left out.',
    }),
  ),
  holeMore: optional(
    count('Chains more than it skips', between(0, 12), {
      usually: between(0, 2), says: 'Chains of the buttonhole beyond the stitches it skips; none if left out.',
    }),
  ),
} as const

/** A tab grown from the middle of the back, with a buttonhole of chains near its end (craft 10). */
type TabSpec = PartSpec<'tab', typeof fields>

/** Stitches at each side of a buttonhole, at least (from memory). */
const EDGE = 2

/** A row with a buttonhole in its middle, and the row above it. */
function buttonholeRows(stitch: StripStitch, wide: number, hole: number, more: number): readonly [Step[], Step[]] {
  const before = Math.floor((wide - hole) / 2)
  const after = wide - hole - before
  // A longer chain is worked around as a whole, so that the tab stays as wide.
  const over = more > 0 ? at('overBridge', inOne(stitch, hole)) : at('bridge', { ...each(stitch, hole), aim: 'chains' } as const)
  return [
    [each(stitch, before), chain(hole + more), skip(hole), each(stitch, after)], [each(stitch, after), over, each(stitch, before)],
  ]
}

/** Every row of a tab: plain ones, and where the button goes through, the hole and the row above it. */
function tabRows(spec: TabSpec, wide: number, hole: number, count: number, beyond: number): Step[][] {
  const at = Math.min(spec.holeRow ?? count - beyond - 1, count)
  const [leaving, closing] = buttonholeRows(spec.stitch, wide, hole, spec.holeMore ?? 0)
  return Array.from({ length: count }, (_, i) => (i === at - 1 ? leaving : i === at ? closing : [each(spec.stitch, wide)]))
}

/** The first row of a tab worked on its own goes into a chain. */
function fromChain([first, ...others]: readonly Step[][]): Step[][] {
  return [first!.map((step): Step => (step.do === 'stitch' ? at('chains', step) : step)), ...others]
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
  const separate = spec.made === 'separate'
  const onBagCm = separate ? (spec.onBagCm ?? 2) : 0
  const rows = Math.max(beyond + 3, Math.round((spec.lengthCm + onBagCm) / height.cm))
  const steps = tabRows(spec, wide, hole, rows, beyond)
  const piece: Piece = {
    id: 'tab', name: 'Tab', times: 1, lengthCm: rows * height.cm, widthCm: wide * width.cm, along: false, free: true, colour: spec.colour,
    ...(separate
      ? {
          start: chainStart(wide, spec.stitch), seam: 'backStitch',
          rows: rowsOf(foundation('chain', wide, false), spec.stitch, spec.colour, fromChain(steps)),
        }
      : {
          start: { kind: 'chain', chains: 0 }, rows: rowsOf(foundation('stitch', wide, false), spec.stitch, spec.colour, steps),
          lead: `Right side facing, join the yarn in the first of the ${wide} stitches at the middle of the back (${back} of the last `
            + 'round).',
        }),
    advice: [
      `The buttonhole is ${many(hole + (spec.holeMore ?? 0), 'chain', 'chains')} over ${spec.holeMore ? hole : 'as many'} stitches `
      + 'skipped: try your button in it, it should go through with a push.',
    ],
    finish: [
      ...(separate
        ? [`Lay ${tape(onBagCm)} of its plain end inside the back, below ${back} of the rim, and sew it on there and back.`]
        : []),
      ...buttonWords(spec.buttonCm, `on the front, below ${front}, where the hole comes to lie with the bag full.`),
    ],
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
        what: `The tab ${separate ? 'is sewn to' : 'grows from'} the middle of the back, ${back}: ${rows} rows, ${tape(rows * height.cm)}.`,
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
  kind: 'tab', group: 'Closures', name: 'tab', does: 'A tab on the back, grown or sewn on, with a buttonhole of chains.', fields,
  refusedAs: 'This closure', begins: ({ stitch }) => ({ stitch }), place: workTab,
  sample: {
    signs: [
      { path: 'M0 -7V-3.4', thick: 2 },
      { path: 'M-0.5 -4.4H0.5', thick: 0.3 },
    ],
  },
})

import { tape } from '../measure/format'
import type { Finding } from '../part/finding'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import { type Edge, foundation } from '../round/edge'
import { at, chain, each, skip, type Step } from '../round/step'
import { STITCHES } from '../stitch/dictionary'
import { placed } from './placing'
import { faces, sts } from './rim'
import { rowsOf, stripAlong, type StripStitch } from './strip'
import { nothingWorked, refusedOnHandles } from './unworked'

/** A loop of chain at the middle of the back that goes over a button on the front. */
export interface ButtonLoopSpec {
  readonly band: 'button-loop'
  readonly buttonCm: number
  readonly colour: string
}

/** A tab grown from the middle of the back, with a buttonhole of chains near its end. */
export interface TabSpec {
  readonly band: 'tab'
  readonly stitch: StripStitch
  readonly wide: number
  readonly lengthCm: number
  readonly buttonCm: number
  readonly colour: string
}

/** A zip on two strips that are sewn inside the rim. */
export interface ZipSpec {
  readonly band: 'zip'
  readonly stitch: StripStitch
  /** How wide each strip is. */
  readonly facingCm: number
  readonly colour: string
}

export const CLOSURE_KINDS = ['button-loop', 'tab', 'zip'] as const
export type ClosureSpec = ButtonLoopSpec | TabSpec | ZipSpec

/** A loop has to slip over a button lying on its edge: twice as long as the button is wide, and a little (from memory). */
const LOOP_EASE_CM = 0.6

/** The middles of front and back, so many stitches wide each. */
function middles(edge: Edge, setting: Setting, places: number): { readonly front: string, readonly back: string } {
  const { firsts } = placed(edge, places, 'faces')
  const inOrder = faces(edge, setting, firsts, places)[0].name === 'front' ? firsts : [firsts[1], firsts[0]] as const
  const [front, back] = inOrder.map(first => sts(first, places, edge.count)) as [string, string]
  return { front, back }
}

const BUTTON = 'Sew the button on with the yarn or thread through a scrap of fabric behind it, several times, and round the stem. Buttons come off and can be swallowed: none on anything for a small child.'

function buttonLoop(spec: ButtonLoopSpec, edge: Edge, setting: Setting): PartResult {
  const chainCm = setting.gauge.ch.width.cm
  const chains = Math.max(3, Math.ceil((2 * spec.buttonCm + LOOP_EASE_CM) / chainCm))
  const { front, back } = middles(edge, setting, 2)
  const lengthCm = chains * chainCm
  const reach = lengthCm / 2 - spec.buttonCm / 2
  const piece: Piece = {
    id: 'loop', name: 'Button loop', times: 1, start: { kind: 'chain', chains }, rows: [], lengthCm, widthCm: chainCm / 2, along: true, colour: spec.colour, cordYarnCm: lengthCm * (STITCHES.ch.yarnPerWidth + STITCHES.slst.yarnPerWidth),
    lead: `Join the yarn at the middle of the back (${back} of the last round), ch ${chains}, {slst} in the next stitch of the rim; turn, and {slst} in the back bump of each ch: the loop is firm. Try the button before you fasten off.`,
    advice: [], finish: [`Sew a button of ${tape(spec.buttonCm)} on the middle of the front (below ${front}), about ${tape(Math.max(0.5, reach))} below the rim, where the loop reaches it without pulling.`, BUTTON],
  }
  return nothingWorked(edge, setting, [{ code: 'closure-place', weight: 'note', what: `The loop stands at the middle of the back, ${back}; the button on the front, below ${front}. ${chains} chains go over a button of ${tape(spec.buttonCm)}.` }], { pieces: [piece], advice: [`Markers, counted from the start of the last round: ${back} for the loop, ${front} for the button.`] })
}

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

function tab(spec: TabSpec, edge: Edge, setting: Setting): PartResult {
  const { width, height } = setting.gauge[spec.stitch]
  const hole = Math.max(1, Math.round(spec.buttonCm / width.cm))
  const wide = Math.max(spec.wide, hole + 2 * EDGE)
  if (2 * wide + 2 > edge.count) return nothingWorked(edge, setting, [{ code: 'straps-too-wide', weight: 'stop', what: `A tab of ${wide} stitches is too wide for a rim of ${edge.count}. Take a smaller button, or a narrower tab.` }])
  const { front, back } = middles(edge, setting, wide)
  const beyond = Math.max(1, Math.round(0.8 / height.cm))
  const rows = Math.max(beyond + 3, Math.round(spec.lengthCm / height.cm))
  const plain = [each(spec.stitch, wide)]
  const steps = [...Array.from({ length: rows - beyond - 2 }, () => plain), ...buttonholeRows(spec.stitch, wide, hole), ...Array.from({ length: beyond }, () => plain)]
  const piece: Piece = {
    id: 'tab', name: 'Tab', times: 1, start: { kind: 'chain', chains: 0 }, rows: rowsOf(foundation('stitch', wide, false), spec.stitch, spec.colour, steps), lengthCm: rows * height.cm, widthCm: wide * width.cm, along: false, colour: spec.colour,
    lead: `Right side facing, join the yarn in the first of the ${wide} stitches at the middle of the back (${back} of the last round).`,
    advice: [`The buttonhole is ${hole} ${hole === 1 ? 'chain' : 'chains'} over as many stitches skipped: try your button in it, it should go through with a push.`],
    finish: [`Sew a button of ${tape(spec.buttonCm)} on the front, below ${front}, where the hole comes to lie with the bag full.`, BUTTON],
  }
  const widened: Finding[] = wide > spec.wide ? [{ code: 'tab-widened', weight: 'note', what: `The tab is ${wide} stitches wide: a button of ${tape(spec.buttonCm)} takes a hole of ${hole}, with ${EDGE} at each side of it.` }] : []
  return nothingWorked(edge, setting, [{ code: 'closure-place', weight: 'note', what: `The tab grows from the middle of the back, ${back}: ${rows} rows, ${tape(rows * height.cm)}.` }, ...widened], { pieces: [piece], advice: [`Markers, counted from the start of the last round: ${back} for the tab, below ${front} for the button.`] })
}

function zip(spec: ZipSpec, edge: Edge, setting: Setting): PartResult {
  const { width, height } = setting.gauge[spec.stitch]
  const halfCm = (setting.belowCm ?? edge.count * width.cm) / 2
  // The strips end short of the sides, where the zip turns down inside.
  const lengthCm = Math.max(3, halfCm - 2)
  const made = stripAlong(spec.stitch, Math.max(3, Math.round(lengthCm / width.cm)), Math.max(1, Math.round(spec.facingCm / height.cm)), false, spec.colour, setting.gauge)
  const piece: Piece = {
    id: 'facing', name: 'Zip facings', times: 2, ...made, along: true, colour: spec.colour, advice: [`Take a zip of about ${tape(Math.max(3, Math.round(made.lengthCm)))}, or a longer one cut off: closed ends that can be sewn over.`],
    finish: [
      `Pin each facing along one side of the zip, its edge ${tape(0.5)} from the teeth, and sew it with small back stitches: by hand, there and back at both ends.`,
      `Open the zip. Sew each facing inside the bag along its own face, ${tape(1)} below the rim, from ${tape(1)} off one side to ${tape(1)} off the other; tuck the ends of the zip down inside and catch them.`,
    ],
  }
  return nothingWorked(edge, setting, [{ code: 'closure-place', weight: 'note', what: `Two facings of ${tape(made.lengthCm)} by ${tape(made.widthCm)}; the mouth is ${tape(halfCm)} across lying flat.` }], { pieces: [piece], advice: ['Mark both sides of the bag at the rim: the facings run from side to side.'] })
}

/** Works a closure of any kind. */
export function closure(spec: ClosureSpec, edge: Edge, setting: Setting): PartResult {
  if (spec.band === 'zip') return zip(spec, edge, setting)
  if (edge.free) return refusedOnHandles(edge, setting, 'This closure')
  return spec.band === 'tab' ? tab(spec, edge, setting) : buttonLoop(spec, edge, setting)
}

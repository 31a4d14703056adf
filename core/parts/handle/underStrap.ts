import type { PartSpec } from '../kind/kind'
import { tape } from '../../things/stitch/translate'
import type { Handle } from '../part/handle'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../../things/round/edge'
import { between, fitted, middleWay, strapsTooWide, WHERE } from './onRim'
import { placed } from './placing'
import { gripBetween, offPlace, rimStitchCm, sts } from './rim'
import { STRAP_STITCH, strapLength, widened } from './strapLength'
import { acrossOf, strapFor, strapWidthCm, withEdging } from './strap'
import { runsAcross } from './strip'
import { LINES, SEWN_WITH, strandsOf, STRIP } from './strips'
import { nothingWorked } from './unworked'

const fields = {
  ...STRIP, wide: { ...STRIP.wide, begins: 8 }, stitch: STRAP_STITCH, length: strapLength('Its length'), lines: SEWN_WITH, ...WHERE,
} as const

/** A strap that runs under the whole bag and up both sides: the load hangs in it, not on the rim (craft 10). */
type UnderStrapSpec = PartSpec<'under-strap', typeof fields>

/** Lap of the two ends of a strap under the bag (from memory). */
const SEAM_CM = 3

/** Works a strap that carries the bag from below. */
function workUnderStrap(spec: UnderStrapSpec, edge: Edge, setting: Setting): PartResult {
  const stitchCm = rimStitchCm(edge, setting)
  const across = acrossOf(spec, setting)
  if ('trouble' in across) return nothingWorked(edge, setting, [{ code: 'bands-disagree', weight: 'stop', what: across.trouble }])
  const { wide } = across
  const widthCm = strapWidthCm(spec, wide, setting)
  const foot = Math.max(1, Math.round(widthCm / stitchCm))
  if (2 * foot + 2 > edge.count)
    return nothingWorked(edge, setting, [strapsTooWide(`A strap ${tape(widthCm)} wide does not fit twice on this rim. Make it narrower.`)])
  const placing = placed(edge, foot, 'sides', spec.nudge)
  const gapCm = Math.min(...placing.gaps) * stitchCm
  const below = 2 * (setting.tallCm ?? 0) + Math.max(setting.floor?.length.cm ?? 0, setting.floor?.width.cm ?? 0)
  const { strip: made, freeCm, stop } = strapFor(spec, wide, gapCm, [below + SEAM_CM], setting)
  if (stop) return nothingWorked(edge, setting, [stop])
  const [one, other] = placing.firsts.map(first => sts(first, foot, edge.count)) as [string, string]
  const piece: Piece = {
    id: 'strap', name: 'Strap', times: 1, ...made, along: !runsAcross(spec), colour: spec.colour, seam: 'backStitch', advice: [],
    finish: [
      `Join its ends to a ring, ${tape(SEAM_CM)} one over the other, there and back with ${LINES[spec.lines]}; lay that seam under `
      + 'the floor.',
      `Right side out, sew it across the floor from side to side, up one side to ${one} at the rim, and up the other to ${other}: both `
      + `edges, there and back. ${tape(freeCm)} stay free above the rim. See that it is not twisted.`,
    ],
  }
  const handle: Handle = {
    name: 'Strap', feet: [middleWay(edge, setting, placing.firsts[0], foot), middleWay(edge, setting, placing.firsts[1], foot)],
    lies: 'over', lengthCm: freeCm, gapCm, widthCm, strands: wide, aboveCm: 0, onBagCm: setting.tallCm ?? 0,
    colour: spec.colour, bears: { strands: strandsOf(spec) },
  }
  return nothingWorked(
    edge,
    setting,
    [
      {
        code: 'strap-runs', weight: 'note',
        what:
          `${tape(made.lengthCm)} in all: ${tape(below)} under the bag and up its sides, ${tape(freeCm)} free, `
          + `${tape(SEAM_CM)} for the seam. It passes the rim at ${one} and ${other}.`,
      },
      ...offPlace(placing, spec, 'The strap'),
    ],
    {
      pieces: withEdging(piece, spec, wide, setting), handles: [handle], grip: gripBetween(edge, setting, placing),
      advice: [
        `Markers, counted from the start of the last round: ${one} and ${other}; ${between(placing)} between them. Mark the middles of `
        + `the floor's two ends as well.`,
      ],
    },
  )
}

/** A strap under the bag (craft 10). */
export const underStrap = fitted({
  kind: 'under-strap', name: 'strap under the bag', fields, tools: ['where-placed'], refusedAs: 'These straps',
  does: 'One strap under the whole bag, sewn up both sides: the load hangs in it. The strongest for weight.',
  sample: { spec: spec => ({ ...spec, wide: 3, length: { want: { dropCm: 4.6 } } }) },
  begins: ({ stitch }) => ({ stitch, length: { want: { dropCm: 28 } } }), place: workUnderStrap,
  strengthen: (spec, strands) => widened('wide', strands, wide => `A strap of ${wide} ${strandsOf(spec)}`),
})

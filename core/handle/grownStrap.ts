import type { PartSpec } from '../kind/kind'
import type { Finding } from '../part/finding'
import type { Handle } from '../part/handle'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../round/edge'
import { FEET, JOIN, leadWords, longEnough, NO_TWIST, sewingWords, widerOnFeet } from './fromRim'
import { between, fitted, markerPlan, middleWay, strapsTooWide, WHERE } from './onRim'
import { placed } from './placing'
import { gripBetween, offPlace, rimStitchCm, sts } from './rim'
import { STRAP_STITCH, strapLength, widerThanFoot } from './strapLength'
import { freePart, stripFromRim } from './strip'
import { nothingWorked } from './unworked'

const fields = { ...FEET, stitch: STRAP_STITCH, length: strapLength('Its length'), join: JOIN, ...WHERE } as const

/** A strap grown from the rim at one side, over the mouth to the other (craft 10). */
export type GrownStrapSpec = PartSpec<'grown-strap', typeof fields>

/** Works a strap from side to side. */
function workGrownStrap(spec: GrownStrapSpec, edge: Edge, setting: Setting): PartResult {
  const most = Math.floor((edge.count - 2) / 2)
  if (spec.foot > most)
    return nothingWorked(edge, setting, [
      strapsTooWide(`Two feet of ${spec.foot} stitches do not fit on ${edge.count}: at most ${most} each.`, {
        label: `Feet of ${most}`,
        changes: [
          { path: ['foot'], value: most },
          { path: ['wide'], value: Math.min(spec.wide, most) },
        ],
      }),
    ])
  const wide = Math.min(spec.wide, spec.foot)
  const stitchCm = rimStitchCm(edge, setting)
  const placing = placed(edge, spec.foot, 'sides', spec.nudge)
  const gapCm = Math.min(...placing.gaps) * stitchCm
  const { gauge } = setting
  const free = longEnough(freePart(spec.length, gauge[spec.stitch].height.cm, gapCm), spec.foot, wide, gauge[spec.stitch].height.cm)
  const made = stripFromRim(spec.stitch, spec.foot, wide, free.count, spec.colour, gauge)
  const [one, other] = placing.firsts.map(first => sts(first, spec.foot, edge.count)) as [string, string]
  const piece: Piece = {
    id: 'strap', name: 'Strap', times: 1, ...made, along: false, colour: spec.colour, lead: leadWords(one, spec.foot),
    advice: spec.foot > wide ? [`It draws in to ${wide} stitches, runs at that, and opens out to ${spec.foot} again.`] : [],
    finish: [NO_TWIST, sewingWords(spec.join, spec.foot), `Its other end goes to ${other}.`],
  }
  const handle: Handle = {
    name: 'Strap', feet: [middleWay(edge, setting, placing.firsts[0], spec.foot), middleWay(edge, setting, placing.firsts[1], spec.foot)],
    lies: 'over', lengthCm: free.lengthCm, gapCm, widthCm: made.widthCm, strands: wide, aboveCm: 0, colour: spec.colour,
    bears: { strands: 'stitches' },
  }
  const runs: Finding = {
    code: 'strap-runs', weight: 'note', what: `Feet on ${one} and ${other}: ${between(placing)} between them. ${free.count} rows.`,
  }
  return nothingWorked(
    edge,
    setting,
    [runs, ...offPlace(placing, spec, 'The feet'), ...(spec.wide > spec.foot ? [widerThanFoot(spec.foot)] : [])],
    { pieces: [piece], handles: [handle], grip: gripBetween(edge, setting, placing), advice: markerPlan([one, other], placing) },
  )
}

/** A strap grown from the rim (craft 10). */
export const grownStrap = fitted({
  band: 'grown-strap', name: 'grown strap', does: 'Rows grown from the rim at one side, over the mouth, joined to the other.', fields,
  tools: ['where-placed'], refusedAs: 'These straps', sample: { spec: spec => ({ ...spec, wide: 3, length: { want: { dropCm: 4.6 } } }) },
  begins: ({ stitch }) => ({ stitch, length: { want: { dropCm: 28 } } }), place: workGrownStrap, strengthen: widerOnFeet,
})

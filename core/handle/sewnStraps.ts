import { tape } from '../measure/format'
import type { Handle } from '../part/handle'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../round/edge'
import { between, middleWay, type OnRim, strapsTooWide } from './onRim'
import { placed, placesNear } from './placing'
import { gripBetween, gripOf, offPlace, rimStitchCm, sts, used } from './rim'
import { freePart, growthCm, type StrapLength, strip, type StripWay, stripWidthCm } from './strip'
import { nothingWorked } from './unworked'

/** What makes a strap bear more: a patch of fabric behind each foot; a woven tape sewn along its back. */
export const REINFORCED = ['none', 'patch', 'tape'] as const
export type Reinforced = (typeof REINFORCED)[number]

/** Straps worked on their own and sewn on, one on each face, or one alone. */
export interface SewnStrapsSpec extends OnRim {
  readonly band: 'sewn-straps'
  readonly number: 1 | 2
  readonly worked: StripWay
  /** Stitches across, or long rows side by side. */
  readonly wide: number
  readonly length: StrapLength
  /** How far in from each side of the bag its outer edges are sewn. */
  readonly inCm: number
  /** How much of each end lies on the bag. */
  readonly overlapCm: number
  /** Lines of stitching there and back, one inside the other. */
  readonly lines: 1 | 2
  readonly reinforced: Reinforced
}

/** A strap that runs under the whole bag and up both sides: the load hangs in it, not on the rim. */
export interface UnderStrapSpec extends OnRim {
  readonly band: 'under-strap'
  readonly worked: StripWay
  readonly wide: number
  readonly length: StrapLength
  readonly lines: 1 | 2
}

const LINES = { 1: 'one line of back stitch', 2: 'two lines of back stitch, one inside the other' } as const

function reinforcedWords(reinforced: Reinforced): string[] {
  switch (reinforced) {
    case 'patch': return ['Behind each foot sew a small square of fabric, worked double or cut from firm cloth, with the same stitches: the pull spreads over it.']
    case 'tape': return ['Sew a woven tape along the back of each strap, from the end of one foot to the end of the other, before you sew it on: the tape takes the pull, and the strap no longer lengthens.']
    case 'none': return []
  }
}

/** Works straps that are sewn on. */
export function sewnStraps(spec: SewnStrapsSpec, edge: Edge, setting: Setting): PartResult {
  const size = setting.gauge[spec.stitch]
  const stitchCm = rimStitchCm(edge, setting)
  const widthCm = stripWidthCm(spec.worked, size, spec.wide)
  const foot = Math.max(1, Math.round(widthCm / stitchCm))
  const places = Math.min(Math.floor(edge.count / 2), placesNear(edge.count, edge.count / 2 - (2 * spec.inCm) / stitchCm, 'faces'))
  if (places < 2 * foot + 1) {
    const inCm = Math.floor(((edge.count / 2 - 2 * foot - 3) * stitchCm) / 2 * 10) / 10
    if (inCm < 0) return nothingWorked(edge, setting, [strapsTooWide(`Two feet of a strap ${tape(widthCm)} wide do not fit beside each other on a face of this rim. Make it narrower.`)])
    return nothingWorked(edge, setting, [strapsTooWide(`Sewn so far in from the sides, the feet of a strap ${tape(widthCm)} wide would meet.`, { label: `${tape(inCm)} in from the sides`, changes: [{ path: ['inCm'], value: inCm }] })])
  }
  const placing = placed(edge, places, 'faces', spec.nudge)
  const gap = places - 2 * foot
  const stepCm = growthCm(spec.worked, size)
  const free = freePart(spec.length, stepCm, gap * stitchCm)
  const count = free.count + 2 * Math.max(0, Math.round(spec.overlapCm / stepCm))
  const made = strip(spec.worked, spec.stitch, spec.wide, count, spec.colour, setting.gauge)
  const on = used(edge, setting, placing, spec.number)
  const at = on.map(({ first }) => [sts(first, foot, edge.count), sts(first + places - foot, foot, edge.count)])
  const inStitches = Math.floor(placing.gaps[1] / 2)
  const piece: Piece = {
    id: 'strap', name: spec.number === 2 ? 'Straps' : 'Strap', times: spec.number, ...made, along: spec.worked !== 'across', colour: spec.colour,
    advice: [
      spec.worked === 'across' ? 'Short rows across: the edges are the row ends. An edging of {sc} along both keeps it from curling.' : spec.worked === 'bumps' ? 'The first row goes into the bumps on the back of the chain: both long edges then look alike.' : 'Long rows: chain loosely, or with a larger hook, or the first edge pulls.',
    ],
    finish: [
      `Right side out, lay ${tape(spec.overlapCm)} of each end flat on the bag, its outer edge ${inStitches} stitches in from the side. Pin all ends and hold the bag up by them before you sew: they must hang level.`,
      `Sew around each foot: down one side, across, up the other and along the rim, there and back, with ${LINES[spec.lines]}. ${spec.lines === 1 ? 'A second line inside the first holds more.' : ''}`.trim(),
      ...reinforcedWords(spec.reinforced),
    ],
  }
  const inner = (foot / edge.count)
  const handles = on.map(({ face: { name, feet } }): Handle => ({
    name: spec.number === 2 ? `Strap, ${name}` : 'Strap', feet: [feet[0] + inner, feet[1] - inner], lies: 'along', lengthCm: free.lengthCm, gapCm: gap * stitchCm, widthCm: made.widthCm, strands: spec.wide, onBagCm: spec.overlapCm, aboveCm: 0, colour: spec.colour,
  }))
  return nothingWorked(edge, setting, [
    { code: 'strap-runs', weight: 'note', what: `Feet of ${foot} stitches, ${inStitches} in from the sides, ${gap} stitches between them: ${at.map(pair => pair.join(' and ')).join('; ')}.` },
    ...offPlace(placing, spec, 'The straps', spec.number === 2),
  ], { pieces: [piece], handles, grip: gripOf(edge, setting, placing), advice: [`Markers, counted from the start of the last round: ${at.map((pair, i) => `${pair.join(' and ')}${spec.number === 2 ? ` on the ${on[i]!.face.name}` : ''}`).join('; ')}.`] })
}

/** What the two ends of a strap under the bag lie over each other (from memory). */
const SEAM_CM = 3

/** Works a strap that carries the bag from below. */
export function underStrap(spec: UnderStrapSpec, edge: Edge, setting: Setting): PartResult {
  const size = setting.gauge[spec.stitch]
  const stitchCm = rimStitchCm(edge, setting)
  const widthCm = stripWidthCm(spec.worked, size, spec.wide)
  const foot = Math.max(1, Math.round(widthCm / stitchCm))
  if (2 * foot + 2 > edge.count) return nothingWorked(edge, setting, [strapsTooWide(`A strap ${tape(widthCm)} wide does not fit twice on this rim. Make it narrower.`)])
  const placing = placed(edge, foot, 'sides', spec.nudge)
  const gapCm = Math.min(...placing.gaps) * stitchCm
  const stepCm = growthCm(spec.worked, size)
  const free = freePart(spec.length, stepCm, gapCm)
  const below = 2 * (setting.tallCm ?? 0) + Math.max(setting.floor?.length.cm ?? 0, setting.floor?.width.cm ?? 0)
  const count = free.count + Math.round((below + SEAM_CM) / stepCm)
  const made = strip(spec.worked, spec.stitch, spec.wide, count, spec.colour, setting.gauge)
  const [one, other] = placing.firsts.map(first => sts(first, foot, edge.count)) as [string, string]
  const piece: Piece = {
    id: 'strap', name: 'Strap', times: 1, ...made, along: spec.worked !== 'across', colour: spec.colour, advice: [],
    finish: [
      `Join its ends to a ring, ${tape(SEAM_CM)} one over the other, there and back with ${LINES[spec.lines]}; lay that seam under the floor.`,
      `Right side out, sew it across the floor from side to side, up one side to ${one} at the rim, and up the other to ${other}: both edges, there and back. ${tape(free.lengthCm)} stay free above the rim. See that it is not twisted.`,
    ],
  }
  const handle: Handle = {
    name: 'Strap', feet: [middleWay(edge, setting, placing.firsts[0], foot), middleWay(edge, setting, placing.firsts[1], foot)], lies: 'over', lengthCm: free.lengthCm, gapCm, widthCm: made.widthCm, strands: spec.wide, aboveCm: 0, onBagCm: setting.tallCm ?? 0, colour: spec.colour,
  }
  return nothingWorked(edge, setting, [
    { code: 'strap-runs', weight: 'note', what: `${tape(made.lengthCm)} in all: ${tape(below)} under the bag and up its sides, ${tape(free.lengthCm)} free, ${tape(SEAM_CM)} for the seam. It passes the rim at ${one} and ${other}.` },
    ...offPlace(placing, spec, 'The strap'),
  ], { pieces: [piece], handles: [handle], grip: gripBetween(edge, setting, placing), advice: [`Markers, counted from the start of the last round: ${one} and ${other}; ${between(placing)} between them. Mark the middles of the floor's two ends as well.`] })
}

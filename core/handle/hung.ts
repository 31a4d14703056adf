import { tape } from '../measure/format'
import { type CordKind, cordOf } from '../mouth/cords'
import type { Handle } from '../part/handle'
import type { PartResult, Setting, Size } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../round/edge'
import { lengthForDrop } from './drop'
import { placed } from './placing'
import { asMarked, facingBelow, gripOf, offPlace, rimStitchCm, sts, used, wayOf } from './rim'
import { nothingWorked, refusedOnHandles } from './unworked'

/*
 * Straps that are not fabric: a cord across the body, and handles that were bought.
 */

/** A long cord from side to side, worn across the body. */
export interface CrossBodySpec {
  readonly band: 'cross-body'
  readonly cord: CordKind
  readonly length: Size<{ readonly dropCm: number }, { readonly lengthCm: number }>
  readonly nudge: number
  readonly sideAt?: number
  readonly colour: string
}

/** How a bought handle takes hold: by rings that stitches are worked over, or by holes that it is sewn on through. */
export const HOLDS = ['rings', 'holes'] as const

/** Handles that were bought: how long and how far apart their ends are is given. */
export interface BoughtHandlesSpec {
  readonly band: 'bought-handles'
  readonly number: 1 | 2
  readonly holds: (typeof HOLDS)[number]
  /** Along the handle, from end to end. */
  readonly lengthCm: number
  readonly apartCm: number
  /** Stitches of the rim that each end takes. */
  readonly foot: number
  readonly nudge: number
  readonly sideAt?: number
  readonly colour: string
}

export const HUNG_KINDS = ['cross-body', 'bought-handles'] as const
export type HungSpec = CrossBodySpec | BoughtHandlesSpec

function cordMaking({ cord }: CrossBodySpec, chains: number): string {
  switch (cord) {
    case 'bought': return 'A bought cord.'
    case 'doubled': return `With the yarn double, ch ${chains}.`
    case 'slip-stitched': return `Ch ${chains}, then {slst} in the back bump of each ch.`
    case 'chain': return `Ch ${chains}.`
  }
}

function crossBody(spec: CrossBodySpec, edge: Edge, setting: Setting): PartResult {
  const placing = placed(edge, 1, 'sides', spec.nudge)
  const gapCm = Math.min(...placing.gaps) * rimStitchCm(edge, setting)
  const lengthCm = 'pin' in spec.length ? spec.length.pin.lengthCm : lengthForDrop(spec.length.want.dropCm, gapCm)
  const cord = cordOf(spec.cord, lengthCm, 0, setting.gauge)
  const [one, other] = placing.firsts.map(first => sts(first, 1, edge.count)) as [string, string]
  const facing = facingBelow(setting)
  const ways = placing.firsts.map(first => wayOf(edge, first, facing)) as [number, number]
  const piece: Piece = {
    id: 'cord', name: 'Cord', times: 1, start: { kind: 'chain', chains: cord.chains }, rows: [], lengthCm, widthCm: cord.thickCm, along: true, cordYarnCm: cord.yarnCm, colour: spec.colour,
    lead: `${cordMaking(spec, cord.chains)} It is ${tape(lengthCm)} long between its knots.`, advice: [],
    finish: [`Draw one end through the rim at ${one}, from outside, under two strands, and knot it inside; the other at ${other}. See that it is not twisted. Hang the bag up and shorten it until it sits at your hip.`],
  }
  const handle: Handle = { name: 'Cord', feet: ways, lies: 'over', lengthCm, gapCm, widthCm: cord.thickCm, strands: 1, aboveCm: 0, colour: spec.colour, ...(spec.cord === 'bought' ? { bought: true } : {}) }
  return nothingWorked(edge, setting, [
    { code: 'strap-runs', weight: 'note', what: `The cord leaves the rim at ${one} and ${other}.` }, ...offPlace(placing, spec, 'The cord'),
  ], { pieces: [piece], handles: [handle], advice: [`Markers, counted from the start of the last round: ${one} and ${other}, the bag's two sides.`] })
}

function holdingWords({ holds, foot }: BoughtHandlesSpec): string {
  return holds === 'rings'
    ? `Work {sc} over each ring into the ${foot} marked stitches, close together, and once more back over them; the ring must still turn.`
    : `Sew each end on through its holes into the ${foot} marked stitches, with the yarn double: through every hole there, and through every hole back.`
}

function boughtHandles(spec: BoughtHandlesSpec, edge: Edge, setting: Setting): PartResult {
  const stitchCm = rimStitchCm(edge, setting)
  const places = Math.max(1, Math.round(spec.apartCm / stitchCm)) + 2 * spec.foot
  if (2 * places > edge.count) {
    const cm = Math.floor((edge.count / 2 - 2 * spec.foot) * stitchCm * 10) / 10
    return nothingWorked(edge, setting, [{ code: 'straps-too-wide', weight: 'stop', what: `Handles whose ends are ${tape(spec.apartCm)} apart need ${places} stitches on each face, and the rim has ${edge.count} in all. ${cm > 1 ? `At most ${tape(cm)} would fit.` : 'Make the rim wider.'}` }])
  }
  const placing = placed(edge, places, 'faces', spec.nudge)
  const on = used(edge, setting, placing, spec.number)
  const inner = spec.foot / edge.count
  const at = on.map(({ first, face }) => `${sts(first, spec.foot, edge.count)} and ${sts(first + places - spec.foot, spec.foot, edge.count)}${spec.number === 2 ? ` on the ${face.name}` : ''}`)
  const handles = on.map(({ face: { name, feet } }): Handle => ({
    name: spec.number === 2 ? `Handle, ${name}` : 'Handle', feet: [feet[0] + inner, feet[1] - inner], lies: 'along', lengthCm: spec.lengthCm, gapCm: (places - 2 * spec.foot) * stitchCm,
    widthCm: 1.5, strands: spec.foot, aboveCm: 0, colour: spec.colour, bought: true,
  }))
  return nothingWorked(edge, setting, [
    { code: 'strap-runs', weight: 'note', what: `Ends on ${at.join('; ')}.` }, ...offPlace(placing, spec, 'The handles', spec.number === 2),
  ], { handles, grip: gripOf(edge, setting, placing), advice: [`Markers, counted from the start of the last round: ${at.join('; ')}.`, holdingWords(spec), 'Pin both ends first and hold the bag up by them: they must hang level.'] })
}

/** Works a cord across the body, or places bought handles; none on a rim that has handles worked in it. */
export function hung(spec: HungSpec, edge: Edge, setting: Setting): PartResult {
  if (edge.free) return refusedOnHandles(edge, setting, spec.band === 'cross-body' ? 'This cord' : 'These handles')
  const { edge: marked, ...moved } = asMarked(edge, setting, spec.sideAt)
  return { ...(spec.band === 'cross-body' ? crossBody(spec, marked, setting) : boughtHandles(spec, marked, setting)), ...moved }
}

import { between, choice, length, pin, want, ways } from '../field/questions'
import { CORD_CM } from '../field/bounds'
import type { PartSpec } from '../kind/kind'
import { tape } from '../../things/stitch/translate'
import { CORD_OPTIONS, cordMaking, cordOf, isWorked } from '../mouth/cords'
import type { Handle } from '../part/handle'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../../things/round/edge'
import { lengthForDrop } from './drop'
import { fitted, WHERE } from './onRim'
import { placed } from './placing'
import { fractionRound } from '../../things/round/fractionRound'
import { offPlace, rimStitchCm, sts } from './rim'
import { facingBelow } from '../../things/round/style'
import { DROP_CM, underInstead } from './strapLength'
import { nothingWorked } from './unworked'

const LENGTH = ways('You give', [
  want(
    'its drop',
    { dropCm: length('Drop, shoulder to rim', DROP_CM, { usually: between(1, 80) }) },
    {
      does: 'From the shoulder to the rim, the bag at the hip: measure on yourself.',
      from: () => ({ dropCm: 60 }),
    },
  ),
  pin(
    'its length',
    { lengthCm: length('The whole cord', CORD_CM, { usually: between(10, 200) }) },
    {
      from: (_, { part }) => ({ lengthCm: Math.round(part?.handles?.[0]?.lengthCm ?? 120) }),
    },
  ),
])

const fields = { cord: choice('The cord is', CORD_OPTIONS, { begins: 'slip-stitched' }), length: LENGTH, ...WHERE } as const

/** A long cord from side to side, worn across the body (craft 10). */
type CrossBodySpec = PartSpec<'cross-body', typeof fields>

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

function workCrossBody(spec: CrossBodySpec, edge: Edge, setting: Setting): PartResult {
  const placing = placed(edge, 1, 'sides', spec.nudge)
  const gapCm = Math.min(...placing.gaps) * rimStitchCm(edge, setting)
  const lengthCm = 'pin' in spec.length ? spec.length.pin.lengthCm : lengthForDrop(spec.length.want.dropCm, gapCm)
  const cord = cordOf(spec.cord, lengthCm, 0, setting.gauge)
  const [one, other] = placing.firsts.map(first => sts(first, 1, edge.count)) as [string, string]
  const facing = facingBelow(setting)
  const ways = placing.firsts.map(first => fractionRound(edge, first, facing)) as [number, number]
  const piece: Piece = {
    id: 'cord', name: 'Cord', times: 1, start: { kind: 'chain', chains: cord.chains }, rows: [], lengthCm, widthCm: cord.thickCm,
    along: true, cordYarnCm: cord.yarnCm, colour: spec.colour,
    lead: `${capitalised(cordMaking(spec.cord).made(cord.chains))}. It is ${tape(lengthCm)} long between its knots.`, advice: [],
    finish: [
      `Draw one end through the rim at ${one}, from outside, under two strands, and knot it inside; the other at ${other}. See that it `
      + 'is not twisted. Hang the bag up and shorten it until it sits at your hip.',
    ],
  }
  const handle: Handle = {
    name: 'Cord', feet: ways, lies: 'over', lengthCm, gapCm, widthCm: cord.thickCm, strands: 1, aboveCm: 0, colour: spec.colour,
    ...(isWorked(spec.cord) ? {} : { bought: true }), bears: { strands: 'stitches', acrossBody: true },
  }
  return nothingWorked(
    edge,
    setting,
    [
      { code: 'strap-runs', weight: 'note', what: `The cord leaves the rim at ${one} and ${other}.` },
      ...offPlace(placing, spec, 'The cord'),
    ],
    {
      pieces: [piece], handles: [handle],
      advice: [`Markers, counted from the start of the last round: ${one} and ${other}, the bag's two sides.`],
    },
  )
}

/** A cord across the body (craft 10). */
export const crossBody = fitted({
  kind: 'cross-body', name: 'cross-body cord', does: 'A long cord from side to side, worn across the body.', fields,
  tools: ['where-placed'], refusedAs: 'This cord', sample: { spec: spec => ({ ...spec, length: { want: { dropCm: 4.6 } } }) },
  begins: () => ({ length: { want: { dropCm: 60 } } }), place: workCrossBody, strengthen: ({ colour }) => [underInstead(colour)],
})

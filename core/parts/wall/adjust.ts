import { always, between, choice, count, optional, pin, stitch, want, ways } from '../field/questions'
import { WALL_STITCHES } from '../field/bounds'
import { IN_ROUNDS } from '../kind/inRounds'
import { kind, type PartSpec } from '../kind/kind'
import { times } from '../../things/measure/length'
import { ANY, type Demand } from '../part/asks'
import type { Finding } from '../part/finding'
import { type PartResult, stopped, type WallSetting, workUp } from '../part/part'
import { changeEvenly, mostChange } from '../../things/round/changes'
import type { Edge } from '../../things/round/edge'
import { fabricInStyle } from '../../things/round/style'
import { SOLID_STITCHES } from '../band/solid'
import { ADJUST_KIND, STITCHES_A_CHANGE } from './adjusted'

const TO = ways('Adjust to', [
  want(
    'what divides',
    { divides: always(true, 'What divides') },
    {
      does: 'The nearest number that everything above it can be worked on; it follows when the base changes.',
      from: () => ({ divides: true as const }),
    },
  ),
  pin(
    'a number',
    { stitches: count('Stitches after it', WALL_STITCHES, { usually: between(3, 200) }) },
    {
      does: 'So many stitches, whatever comes up from below.',
      from: (_, { part }) => ({ stitches: part?.edge.count ?? 60 }),
    },
  ),
  pin(
    'more or fewer',
    { change: count('More (or, with a minus, fewer)', between(-1000, 1000), { usually: between(-12, 12) }) },
    {
      does: 'So many stitches more, or with a minus so many fewer.',
      from: () => ({ change: 0 }),
    },
  ),
])

const fields = {
  to: TO, stitch: stitch(SOLID_STITCHES),
  mirrored: choice(
    'Its changes lie',
    [
      { value: true, name: 'mirrored', does: 'The same from both ends, about the start of the round.' },
      { value: false, name: 'from the start on', does: 'A gap, a change, over and over: the easiest to count.' },
    ],
    { begins: true },
  ),
  counted: optional(
    choice(
      'As counted',
      [
        { value: true, name: 'as counted' },
        { value: false, name: 'as planned' },
      ],
      {
        unasked: true,
        says: 'True where the maker\'s count came out otherwise than planned and they live with it.',
      },
    ),
  ),
  ...IN_ROUNDS,
} as const

/** A plain round with increases or decreases spread over it, so that what comes above divides (craft 7). */
export type AdjustSpec = PartSpec<'adjust', typeof fields>

/** The count nearest to one that is accepted; of two as near the larger. None within what one round can change. */
export function nearestAccepted(count: number, accepts: (count: number) => boolean): number | undefined {
  const furthest = Math.min(count, 400)
  for (let by = 0; by <= furthest; by++) {
    if (accepts(count + by)) return count + by
    if (by <= mostChange(count, -1) && count - by >= 1 && accepts(count - by)) return count - by
  }
  return undefined
}

/** The stitches an adjusting round should leave. */
function target({ to }: AdjustSpec, count: number, accepts: (count: number) => boolean): number | undefined {
  if ('want' in to) return nearestAccepted(count, accepts)
  return 'stitches' in to.pin ? to.pin.stitches : count + to.pin.change
}

const cannot = (what: string): Finding => ({ code: 'adjust-impossible', weight: 'stop', what })

/** Works an adjusting round; none at all if nothing needs adjusting. */
function workAdjust(spec: AdjustSpec, edge: Edge, setting: WallSetting): PartResult {
  const size = setting.gauge[spec.stitch]
  const nothing = { height: times(size.height, 0), circumference: times(size.width, edge.count) }
  const to = target(spec, edge.count, setting.accepts)
  if (to === undefined)
    return stopped(
      edge,
      nothing,
      cannot('No number near this one divides by all that the bands above ask for. Take one of them out, or look for counts that fit.'),
    )
  const change = to - edge.count
  if (change === 0)
    return {
      rounds: [], edge, size: nothing,
      findings: [{ code: 'adjust-needless', weight: 'note', what: `Nothing to adjust: ${edge.count} stitches are right as they are.` }],
    }
  if (to < 1 || Math.abs(change) > mostChange(edge.count, change)) {
    return stopped(edge, nothing, cannot(`One round cannot come from ${edge.count} to ${to} stitches. Shape over several rounds instead.`))
  }
  const {
    rounds, edge: top, stop,
  } = workUp(edge, 1, setting, () =>
    fabricInStyle(setting, 0, spec.stitch, spec.colour, changeEvenly(edge.count, change, spec.stitch, spec)),
  )
  const steep: Finding[]
    = edge.count / Math.abs(change) < STITCHES_A_CHANGE
      ? [
          {
            code: 'adjust-steep', weight: 'watch',
            what: `${Math.abs(change)} ${change > 0 ? 'increases' : 'decreases'} in a round of ${edge.count} may `
              + `${change > 0 ? 'ripple' : 'pucker'}: more than about one in ${STITCHES_A_CHANGE} shows (a rule of thumb).`,
          },
        ]
      : []
  return {
    rounds, edge: top, size: { height: size.height, circumference: times(size.width, to) }, findings: stop ? [stop] : steep,
    ...(spec.counted ? { advice: [`This is the round as it was counted: ${to} stitches where ${edge.count} were planned.`] } : {}),
  }
}

/** Its yield: of one that looks up, whatever all above it can be worked on. */
function demandOf({ to }: AdjustSpec): Demand {
  if ('want' in to) return { asks: ANY, leaves: stitches => stitches, steadies: true }
  const { pin } = to
  return 'stitches' in pin
    ? { asks: ANY, leaves: () => pin.stitches, steadies: true }
    : { asks: ANY, leaves: stitches => stitches + pin.change }
}

/** An adjusting round (craft 7). */
export const adjust = kind({
  kind: ADJUST_KIND,
  group: 'Shaping',
  name: 'adjusting round',
  fields,
  does: 'One plain round with increases or decreases spread over it, so that what comes above divides.',
  title: ({ counted }) => (counted ? 'as counted' : 'adjusting round'),
  // On a tile it shows as what it does: fewer stitches above it than below.
  sample: { on: 'both-sides', spec: spec => ({ ...spec, to: { pin: { change: -6 } } }) },
  begins: ({ stitch }) => ({ stitch, to: { want: { divides: true as const } } }),
  demand: demandOf,
  main: spec => spec.stitch,
  work: workAdjust,
  looksUp: ({ to }) => 'want' in to,
})

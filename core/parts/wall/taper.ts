import { between, choice, count, length, optional, pin, stitch, want, ways } from '../field/questions'
import { AROUND_CM, HEIGHT_CM, PINNED_ROUNDS, WALL_STITCHES } from '../field/bounds'
import { tenths } from '../field/context'
import type { StitchSize } from '../../things/gauge/gauge'
import { IN_ROUNDS } from '../kind/inRounds'
import { kind, type PartSpec } from '../kind/kind'
import { tape } from '../../things/stitch/translate'
import { times } from '../../things/measure/length'
import type { Finding } from '../part/finding'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type WallSetting, stopped, workUp } from '../part/part'
import { changeEvenly, mostChange } from '../../things/round/changes'
import type { Edge } from '../../things/round/edge'
import { fabricInStyle } from '../../things/round/style'
import { nearestAccepted } from './adjust'
import { STITCHES_A_CHANGE } from './adjusted'
import { ANY } from '../part/asks'
import { STRIPES } from '../texture/stripes'
import { colourAt } from '../texture/workTexture'
import { SOLID_STITCHES } from '../band/solid'

const SIZE = ways('You give', [
  want(
    'a size',
    {
      heightCm: length('Height of the taper', HEIGHT_CM, { beside: true, usually: between(0.5, 25) }),
      aroundCm: length('Around its top', AROUND_CM, { beside: true, usually: between(5, 120) }),
    },
    {
      does: 'You say how tall and how far round its top is, the counts are found.',
      from: (_, { part }) => ({
        heightCm: tenths(part?.size.height.cm ?? 6, HEIGHT_CM),
        aroundCm: tenths(part?.size.circumference.cm ?? 30, AROUND_CM),
      }),
    },
  ),
  pin(
    'counts',
    {
      rounds: count('Rounds', PINNED_ROUNDS, { beside: true, usually: between(1, 20) }),
      stitches: count('Stitches at its top', WALL_STITCHES, { beside: true, usually: between(3, 150) }),
    },
    {
      does: 'You pin rounds and stitches, the size is told.',
      from: (_, { part }) => ({ rounds: Math.max(1, part?.rounds.length ?? 6), stitches: Math.max(3, part?.edge.count ?? 60) }),
    },
  ),
])

const fields = {
  size: SIZE, stitch: stitch(SOLID_STITCHES),
  mirrored: choice(
    'Its changes lie',
    [
      { value: false, name: 'turned on', does: 'Evenly, a good part of a gap further on from round to round: no lines show.' },
      { value: true, name: 'in mirrored pairs', does: 'One as far before the start as the other after it, elsewhere in each round: it '
        + 'stands straight.' },
    ],
    { begins: false },
  ),
  every: optional(
    count('A change only in every so many rounds', between(1, 50), {
      usually: between(1, 4), says: 'Only every so many rounds of the taper change, the last of each; all of them if left out.',
    }),
  ),
  stripes: STRIPES, ...IN_ROUNDS,
} as const

/** A plain band that draws in or opens out to a wanted circumference over its height (craft 7, shaping). */
export type TaperSpec = PartSpec<'taper', typeof fields>

/** How the rounds of a taper change. */
interface Changing {
  /** Every so many rounds change, the last of each; the others are plain. */
  readonly every?: number
  /** By pairs of stitches, but for an odd one in the last round. */
  readonly paired?: boolean
}

/** The stitches after each of so many rounds on the way from one count to another, as evenly as whole stitches allow. */
export function taperCounts(from: number, to: number, rounds: number, { every = 1, paired = false }: Changing = {}): number[] {
  const changing = Math.max(1, Math.floor(rounds / every))
  const all = Math.abs(to - from)
  const by = paired ? 2 : 1
  return Array.from({ length: rounds }, (_, i) => {
    const done = i === rounds - 1 ? changing : Math.min(changing, Math.floor((i + 1) / every))
    return from + Math.sign(to - from) * (done === changing ? all : by * Math.round((all * done) / changing / by))
  })
}

/**
 * How far on the changes of each round lie from those of the one before: a part of a gap that never comes back to itself (golden ratio).
 */
const TURN_ON = (3 - Math.sqrt(5)) / 2

function steepness(counts: readonly number[], from: number, stitchCm: number): Finding[] {
  const steps = counts
    .map((count, i) => ({ before: i === 0 ? from : counts[i - 1]!, change: count - (i === 0 ? from : counts[i - 1]!) }))
    .filter(({ change }) => change !== 0)
  const least = Math.min(...steps.map(({ before, change }) => before / Math.abs(change)))
  if (steps.length === 0 || least >= STITCHES_A_CHANGE) return []
  const wanted = Math.ceil((Math.abs(counts.at(-1)! - from) * STITCHES_A_CHANGE) / Math.min(from, counts.at(-1)!))
  return [
    {
      code: 'taper-steep', weight: 'caution',
      what: `This ${counts.at(-1)! < from ? 'draws in' : 'opens out'} by one stitch in ${least.toFixed(1)} a round; more than about `
        + `one in ${STITCHES_A_CHANGE} ${counts.at(-1)! < from ? 'puckers' : 'ripples'} (a rule of thumb). Give it ${wanted} rounds, about `
        + `${tape(wanted * stitchCm)}.`,
      fix: {
        label: `Give it ${wanted} rounds`,
        changes: [{ path: ['size'], value: { pin: { rounds: wanted, stitches: counts.at(-1)! } } }],
      },
    },
  ]
}

interface TaperCounts {
  readonly rounds: number
  readonly stitches: number
}

/** The rounds of a taper, and the stitches at its top. */
function countsOf({ size }: TaperSpec, { width, height }: StitchSize): TaperCounts {
  if ('pin' in size) return size.pin
  return {
    rounds: Math.max(1, Math.round(size.want.heightCm / height.cm)),
    stitches: Math.max(1, Math.round(size.want.aroundCm / width.cm)),
  }
}

/** The same on a bag that is partly worked: a count that is wanted goes to the nearest on which everything above comes out. */
function countsIn(spec: TaperSpec, { gauge, dividing, accepts }: WallSetting): TaperCounts {
  const found = countsOf(spec, gauge[spec.stitch])
  if (!dividing || 'pin' in spec.size) return found
  return { ...found, stitches: nearestAccepted(found.stitches, accepts) ?? found.stitches }
}

/** Works a taper: changes spread over the rounds, and over each round, turned on from one to the next or in mirrored pairs. */
function workTaper(spec: TaperSpec, edge: Edge, setting: WallSetting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const { rounds: count, stitches: to } = countsIn(spec, setting)
  const size = { height: times(stitch.height, count), circumference: times(stitch.width, to) }
  if (count > MOST_ROUNDS || count * Math.max(edge.count, to) > MOST_STITCHES)
    return stopped(edge, size, {
      code: 'band-too-tall', weight: 'stop', what: `This taper would take ${count} rounds. Ask for a lower one, or check the swatch.`,
    })
  const { every = 1, mirrored } = spec
  const counts = taperCounts(edge.count, to, count, { every, paired: mirrored })
  const abrupt = counts.findIndex(
    (after, i) =>
      Math.abs(after - (counts[i - 1] ?? edge.count)) > mostChange(counts[i - 1] ?? edge.count, after - (counts[i - 1] ?? edge.count)),
  )
  if (abrupt >= 0)
    return stopped(edge, size, {
      code: 'taper-impossible', weight: 'stop',
      what: `From ${edge.count} to ${to} stitches is too much for ${count} ${count === 1 ? 'round' : 'rounds'}: round ${abrupt + 1} of `
        + 'the taper would have to more than double or halve. Make it taller, or the change smaller.',
    })
  let changing = 0
  const {
    rounds, edge: top, stop,
  } = workUp(edge, count, setting, (i, on) => {
    const change = counts[i]! - on.count
    const turn = change === 0 ? 1 : (0.5 + TURN_ON * changing++) % 1
    // A pair keeps off the start, and off the pair's own middle, so that no two changes lie side by side.
    const ahead = mirrored ? 0.25 + turn / 2 : turn
    return fabricInStyle(
      setting,
      i,
      spec.stitch,
      colourAt(spec, i),
      changeEvenly(on.count, change, spec.stitch, { paired: mirrored, ahead }),
    )
  })
  return {
    rounds, edge: top, size, arounds: counts.map(n => n * stitch.width.cm),
    findings: stop ? [stop] : steepness(counts, edge.count, stitch.height.cm),
  }
}

/** A taper (craft 7, shaping). */
export const taper = kind({
  kind: 'taper', group: 'Shaping', name: 'taper', does: 'Draws in or opens out to a wanted circumference, evenly over its height.',
  fields, tools: ['stripes'], shapes: true,
  sample: { on: 'itself', spec: spec => ({ ...spec, size: { pin: { rounds: 7, stitches: 12 } } }) },
  begins: ({ stitch, size, yarn, aroundCm }) => ({
    stitch, size: { want: { heightCm: 'want' in size ? size.want.heightCm : 6, aroundCm: Math.round(aroundCm * 8.5) / 10 } }, ...yarn,
  }),
  demand: (spec, { gauge }) => ({ asks: ANY, leaves: () => countsOf(spec, gauge[spec.stitch]).stitches, steadies: true }),
  main: spec => spec.stitch, work: workTaper,
})

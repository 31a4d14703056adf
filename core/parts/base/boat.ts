import { between, count, length, optional, pin, want, ways } from '../field/questions'
import { DIAMETER_CM } from '../field/bounds'
import { tenths } from '../field/context'
import { perStitch } from '../../things/gauge/refine'
import { times } from '../../things/measure/length'
import { noFloor } from '../part/floor'
import type { PartResult, Setting } from '../part/part'
import { foundationOf, withSides } from '../../things/round/edge'
import { flatChoices } from './baseChoice'
import { DECIDES } from './discFields'
import { endMiddles, sideMarkers } from './ends'
import { form, type FormSpec, sizesLike } from './form'
import { type EndPlan, ovalRounds } from './ovalRounds'
import { stadiumLayOut } from './stadium'

/** A bag wanted by how wide it lies flat. */
export const FLAT_WIDTH = want(
  'a size',
  { flatWidthCm: length('Width lying flat', DIAMETER_CM, { usually: between(1, 50) }) },
  {
    does: DECIDES.want,
    from: (_, { part }) => ({ flatWidthCm: tenths(part?.size.floor?.length.cm ?? (part?.size.circumference.cm ?? 40) / 2, DIAMETER_CM) }),
  },
)

/** Answers that the questions look at of one another. */
interface BoatAnswers {
  readonly perEnd: number
  readonly widening?: number
}

const fields = {
  size: ways('You give', [
    FLAT_WIDTH,
    pin(
      'counts',
      { sideStitches: count('Side stitches', between(1, 600), { usually: between(1, 60) }) },
      {
        does: DECIDES.pin,
        from: (spec: BoatAnswers, { part }) => ({ sideStitches: Math.max(1, (part?.edge.count ?? 60) / 2 - endOf(spec)) }),
      },
    ),
  ]),
  perEnd: count('Stitches in each end (1: none extra)', between(1, 8), { begins: 3, usually: between(1, 6) }),
  widening: optional(
    count('Further rounds with one more at each end', between(1, 60), {
      usually: between(1, 4), says: 'Rounds after the first that have a single increase at each end; none if left out.',
    }),
  ),
} as const

/** A bag without a floor, which folds along its foundation chain: one oval round, then straight up (craft 5, boat). */
type BoatSpec = FormSpec<'boat', typeof fields>

/** The side stitches with which a boat lies nearest to a wanted width: its edge, `2S + 2e` stitches, is twice the width. */
function sideForBoat(flatWidthCm: number, perEnd: number, widthCm: number): number {
  return Math.max(1, Math.round(flatWidthCm / widthCm) - perEnd)
}

/** A boat's ends: so many in each at first, the near one begun with one, and a single increase at each in further rounds. */
function boatEnds({ perEnd }: BoatSpec): EndPlan {
  return { near: perEnd, first: 1, far: perEnd, gains: () => 1, halves: perEnd === 1 }
}

/** Stitches of one of a boat's ends when it is done. */
function endOf({ perEnd, widening = 0 }: BoatAnswers): number {
  return perEnd + widening
}

/** Works a boat's one round, around its foundation chain. */
function workBoat(spec: BoatSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const sideStitches
    = 'pin' in spec.size ? spec.size.pin.sideStitches : sideForBoat(spec.size.want.flatWidthCm, endOf(spec), stitch.width.cm)
  const widening = spec.widening ?? 0
  const counts = { sideStitches, rounds: 1 + widening }
  const { rounds, stretches, stop } = ovalRounds({ ...spec, placing: 'stacked', increaseAt: 'last' }, counts, boatEnds(spec), setting)
  const edge = rounds.at(-1)?.edge
  const circumference = times(stitch.width, 2 * sideStitches + 2 * endOf(spec))
  const wrong = rounds.at(-1)?.round.facing === 'wrong'
  const turning = Math.max(1, rounds[0]?.round.begin.chains ?? 0)
  return {
    rounds, edge: edge ? withSides(edge, endMiddles(stretches.at(-1)!, edge, wrong)) : foundationOf([{ kind: 'chain', count: 1 }]),
    size: { height: times(stitch.height, counts.rounds), circumference, floor: noFloor(times(circumference, 0.5)) },
    findings: stop
      ? [stop]
      : [
          {
            code: 'boat-odd', weight: 'note',
            what: 'Without a floor the first rounds look odd, like a little boat: that is normal. It lies flat and folds along the chain.',
          },
        ],
    start: {
      kind: 'foundation-chain', chains: sideStitches + 2 + turning, firstInto: turning + 1,
      beforeCm: (sideStitches + 2) * stitch.width.cm * (1 + 1 / 26),
    },
    layOut: stadiumLayOut((sideStitches * stitch.width.cm) / 2, r => r * stitch.height.cm, counts, stretches),
    markers: stretches.map((names, r) => sideMarkers(names, rounds[r]!.round.facing === 'wrong')),
    advice: ['From here straight up: nothing grows any more.'],
    looks: 'It is meant to look like this: it stands like a boat for four or five rounds, then it folds flat.',
  }
}

/** A boat (craft 5). */
export const boat = form({
  form: 'boat', name: 'boat', does: 'No floor: one round about a chain, then straight up. It lies flat and folds along the chain.',
  fields, begins: like => ({ size: { want: { flatWidthCm: sizesLike(like).longerCm } } }), work: workBoat, measures: 'length',
  evidence: (spec, { sideStitches }, { lengthCm }) => ({ kind: spec.stitch, width: perStitch(lengthCm, sideStitches + endOf(spec)) }),
  choices: (spec, { gauge }, toleranceCm) => {
    const stitchCm = gauge[spec.stitch].width.cm
    const askedCm = 'want' in spec.size ? spec.size.want.flatWidthCm : (spec.size.pin.sideStitches + endOf(spec)) * stitchCm
    return flatChoices(
      askedCm,
      toleranceCm,
      stitchCm,
      1,
      sideStitches => ({ ...spec, size: { pin: { sideStitches } } }),
      sides => sides + endOf(spec),
    )
  },
})

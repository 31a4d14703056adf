import type { Finding } from '../part/finding'
import type { Setting } from '../part/part'
import { type Edge, foundationOf } from '../../things/round/edge'
import type { Round } from '../../things/round/round'
import { at, each, inOne, type Step } from '../../things/round/step'
import { facingOf, inStyle } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import type { WorkedRound } from '../../things/round/workedRound'
import { explain } from '../../things/round/workError'
import type { Growing } from './discFields'
import { FAR, growEnds, NEAR, SIDE_ONE, SIDE_TWO, type Stretches } from './ends'
import type { BaseStitch } from './form'
import { type InStitches, stitchOfRound } from './inStitches'

/*
 * The rounds of an oval: how its two ends begin and grow, on which foundation (craft 5, oval).
 */

/** Counts of an oval: stitches of a straight side, rounds. */
export interface OvalCounts {
  readonly sideStitches: number
  readonly rounds: number
}

/** How an oval's ends begin and grow. */
export interface EndPlan {
  /** Stitches of the near end in round 1, of which so many before the first side; and of the far end. */
  readonly near: number
  readonly first: number
  readonly far: number
  /** Gain of each end in the `r`-th round, counted from 1, after the first. */
  readonly gains: (r: number) => number
  /** Both are halves of one disc: alike, and they grow in every round as they began. */
  readonly halves: boolean
}

/** Ends that are alike and grow as they began, the near one begun with one stitch. */
export function alikeEnds(perEnd: number): EndPlan {
  return { near: perEnd, first: 1, far: perEnd, gains: () => perEnd, halves: true }
}

/** Stitches of both ends after so many rounds. */
export function endStitches({ near, far, gains }: EndPlan, rounds: number): number {
  if (rounds === 0) return 0
  let stitches = near + far
  for (let r = 2; r <= rounds; r++) stitches += 2 * gains(r)
  return stitches
}

/** Round 1 on a foundation that is its first side: that, round the far end, back along its underside, round the near end. */
function roundOnSide(stitch: BaseStitch, side: number, { near, far }: EndPlan): { steps: Step[], stretches: Stretches } {
  const names = [[SIDE_ONE, side], [FAR, far], [SIDE_TWO, side], [NEAR, near]] as const
  return {
    steps: [
      at('foundation', each(stitch, side)), at('lastChain', inOne(stitch, far)), at('underside', each(stitch, side)),
      at('firstChainAgain', inOne(stitch, near)),
    ],
    stretches: Uint8Array.from(names.flatMap(([name, count]) => Array<number>(count).fill(name))),
  }
}

function firstRound(spec: OvalLike, side: number, ends: EndPlan): { steps: Step[], stretches: Stretches } {
  const stitch = stitchOfRound(spec, 1)
  const { near, first, far } = ends
  if (spec.start === 'foundation-side') return roundOnSide(stitch, side, ends)
  const rest = near - first
  const begin = first === 1 ? each(stitch, 1) : inOne(stitch, first)
  const steps: Step[] = [
    at('firstChain', begin), at('chains', each(stitch, side)), at('lastChain', inOne(stitch, far)),
    at('underside', each(stitch, side)), ...(rest > 0 ? [at('firstChainAgain', inOne(stitch, rest))] : []),
  ]
  const names = [
    [NEAR, first], [SIDE_ONE, side], [FAR, far], [SIDE_TWO, side], [NEAR, rest],
  ] as const
  return { steps, stretches: Uint8Array.from(names.flatMap(([name, count]) => Array<number>(count).fill(name))) }
}

/** The multiple of each place of an end in round `r`: one increase in each group of `r - 1`, as in a disc cut in two. */
function groupMultiple(r: number, spec: Growing): (at: number) => number {
  const plain = r - 2
  const shift = spec.placing === 'staggered' && r % 2 === 0 ? Math.floor(plain / 2) : 0
  const before = spec.increaseAt === 'last' ? plain - shift : shift
  return at => (at % (r - 1) === before ? 2 : 1)
}

/** The multiple of each place of an end of so many that gains so many, as evenly as whole stitches allow: a single one in its middle. */
function evenMultiple(by: number): (at: number, of: number) => number {
  return (at, of) => {
    const ahead = Math.floor(of / 2)
    return 1 + Math.floor(((at + 1) * by + ahead) / of) - Math.floor((at * by + ahead) / of)
  }
}

/** How the ends of round `r` grow: group by group as a disc does, or where they began otherwise, evenly. */
function growing(r: number, spec: Growing, ends: EndPlan): (at: number, of: number) => number {
  return ends.halves ? groupMultiple(r, spec) : evenMultiple(ends.gains(r))
}

interface Rounds {
  readonly rounds: readonly WorkedRound[]
  /** The names of every round's stations. */
  readonly stretches: readonly Stretches[]
  readonly stop?: Finding
}

/** Start of the rounds of an oval: of a boat too, which starts from a chain. */
interface OvalLike extends Growing, InStitches {
  readonly colour: string
  readonly start?: 'chain' | 'foundation-sc' | 'foundation-side'
}

/** Foundation of round 1: a chain and its underside; of a foundation that is the first side, what its stitches stand on. */
function foundationFor({ start }: OvalLike, sideStitches: number, ends: EndPlan): Edge {
  if (start === 'foundation-side')
    return foundationOf([
      { kind: 'chain', count: sideStitches }, { kind: 'chain', count: 1 }, { kind: 'underside', count: sideStitches },
      { kind: 'underside', count: 1 },
    ])
  return foundationOf([
    { kind: 'chain', count: 1 }, { kind: 'chain', count: sideStitches }, { kind: 'chain', count: 1 },
    { kind: 'underside', count: sideStitches }, ...(ends.near > ends.first ? [{ kind: 'underside', count: 1 } as const] : []),
  ])
}

/** Round 1 on a foundation of stitches has no starting chain: they begin as high as they are. */
function begunOn(round: Round, { start }: OvalLike, r: number): Round {
  return start === 'foundation-side' && r === 1 ? { ...round, begin: { ...round.begin, chains: 0, counts: false } } : round
}

/** Works the rounds of an oval, of a boat if there is but one. */
export function ovalRounds(
  spec: OvalLike,
  counts: OvalCounts,
  ends: EndPlan,
  setting: Setting,
): Rounds {
  const rounds: WorkedRound[] = []
  const names: Stretches[] = []
  const { sideStitches } = counts
  let on = foundationFor(spec, sideStitches, ends)
  for (let r = 1; r <= counts.rounds; r++) {
    const wrong = facingOf(setting, r - 1).facing === 'wrong'
    const stitch = stitchOfRound(spec, r)
    const { steps, stretches }
      = r === 1 ? firstRound(spec, sideStitches, ends) : growEnds(names[r - 2]!, wrong, stitch, growing(r, spec, ends))
    const result = work(begunOn(inStyle(setting, r - 1, stitch, spec.colour, steps), spec, r), on)
    if (!result.ok)
      return {
        rounds, stretches: names,
        stop: {
          code: result.error.code, weight: 'stop', round: setting.index + r,
          what: `Round ${setting.index + r}: ${explain(result.error)}.`,
        },
      }
    rounds.push(result.worked)
    names.push(stretches)
    on = result.worked.edge
  }
  return { rounds, stretches: names }
}

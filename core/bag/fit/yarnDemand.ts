import { changed } from '../../parts/field/changed'
import type { BaseSpec } from '../../parts/base/base'
import type { BaseChoice } from '../../parts/base/baseChoice'
import type { Design, WallPart } from '../design/design'
import { fold } from '../draft/fold/fold'
import { knowledgeFrom } from '../draft/replan/gaugeKnowledge'
import type { Gauge } from '../../things/gauge/gauge'
import { adjustedTo } from '../../parts/wall/adjusted'
import { type Parts, yarnShares } from '../yarn/yarn'
import type { WallPlan, WallProblem } from './plans'
import { adjustingStitch } from './adjusting'

/*
 * Yarn as one more demand of the fit
 * ==================================
 *
 * So many metres of a yarn are there, and a combination that wants more does not fit. What a combination wants is the sum of what its base
 * and each part of its wall want, and that of a part depends on the count that comes into it alone. So each is worked by itself, on a tube
 * of so many stitches, and once a count. Where a part's metres lie on a straight line over the counts, as those of every band do whose
 * repeats are alike, three are worked and the others read off it; where they do not, each count is worked. The bases of a form are
 * read off straight lines likewise, along the first of their counts. What is shown in the end is drafted in full, so that a line that was
 * not quite straight offers nothing that does not last.
 */

/** How much of a yarn there is for a bag, in metres by the plan; and the part of the wall that takes what is left over, if one does. */
export interface YarnWish {
  readonly yarn: string
  readonly metres: number
  readonly part?: string
}

/** A part that takes what is left has so many rounds at least. */
export const LEAST_ROUNDS = 2

/** Metres of a yarn that a bag wants. */
export function metresWanted(drafted: Parts, yarn: string): number {
  return yarnShares(drafted).reduce((sum, share) => sum + (share.yarn === yarn ? share.metres : 0), 0)
}

/** The parts of a bag alone, without all that a draft says of them. */
export function partsOf(design: Design, gauge: Gauge): Parts {
  const { parts, known } = fold(design, knowledgeFrom(gauge, design))
  return { design, parts, gauge, known }
}

/** A wall in which the part that takes what is left has so many rounds. */
export function withRounds(wall: readonly WallPart[], part: string | undefined, rounds: number): WallPart[] {
  return wall.map(spec => (spec.id === part ? ({ ...spec, size: { pin: { rounds } } } as WallPart) : spec))
}

/** A straight line is told from a bent one by this share. */
const STRAIGHT = 1e-9

/**
 * A figure over whole numbers, worked out as seldom as it can be: if a third of the way on it lies on the line through the first and the
 * last, it is read off that line everywhere.
 */
function readOff(numbers: readonly number[], worked: (n: number) => number): (n: number) => number {
  const sorted = [...new Set(numbers)].sort((a, b) => a - b)
  const known = new Map<number, number>()
  const exact = (n: number) => {
    if (!known.has(n)) known.set(n, worked(n))
    return known.get(n)!
  }
  if (sorted.length < 4) return exact
  const [first, last] = [sorted[0]!, sorted.at(-1)!]
  const slope = (exact(last) - exact(first)) / (last - first)
  const line = (n: number) => exact(first) + slope * (n - first)
  const between = sorted[Math.floor(sorted.length / 3)]!
  return Math.abs(exact(between) - line(between)) <= STRAIGHT * Math.max(1, exact(between)) ? line : exact
}

/** The count that each part of a wall leaves of one that it takes. */
type Gives = (part: number, count: number) => number

/** Metres that the parts of a bag want, each worked by itself. */
export class YarnOfBags {
  private readonly wall: readonly WallPart[]
  private readonly byPart: ((count: number) => number)[]
  private readonly byPlan = new WeakMap<WallPlan, number>()
  private readonly byBase: (base: BaseSpec) => number
  private readonly ends: number

  constructor(
    private readonly design: Design,
    private readonly problem: WallProblem,
    private readonly wish: YarnWish,
    choices: readonly (BaseChoice & { readonly base: BaseSpec })[],
    plans: readonly (readonly [count: number, plan: WallPlan])[],
    gives: Gives,
  ) {
    this.wall = withRounds(problem.wall, wish.part, LEAST_ROUNDS)
    const incoming = this.wall.map(() => new Set<number>())
    for (const [count, plan] of plans) this.through(count, plan, gives, (part, at) => incoming[part]!.add(at))
    this.byPart = this.wall.map((spec, i) => readOff([...incoming[i]!], count => this.metresOnTube(count, spec)))
    this.byBase = this.linesOfBases(choices)
    this.ends = this.endsOf(choices[0]?.base ?? design.base)
    const adjusting = this.linesOfAdjusting(plans)
    for (const [count, plan] of plans) {
      let metres = 0
      this.through(count, plan, gives, (part, at) => (metres += this.byPart[part]!(at)))
      for (const { before, to } of plan.adjusting) metres += adjusting[before]!(to)
      this.byPlan.set(plan, metres)
    }
  }

  /** Metres that a base with a way up the wall wants. */
  of(base: BaseSpec, plan: WallPlan): number {
    return this.byBase(base) + this.byPlan.get(plan)! + this.ends
  }

  /** Tells of each part of the wall which count comes into it, for one that the base leaves. */
  private through(count: number, { adjusting }: WallPlan, gives: Gives, at: (part: number, count: number) => void): void {
    let now = count
    this.wall.forEach((_, part) => {
      now = adjusting.find(({ before }) => before === part)?.to ?? now
      at(part, now)
      now = gives(part, now)
    })
  }

  private shares(design: Design, of: (part: string | undefined, what: string) => boolean): number {
    return yarnShares(partsOf(design, this.problem.seen.gauge)).reduce((sum, { yarn, part, of: what, metres }) =>
      sum + (yarn === this.wish.yarn && of(part, what) ? metres : 0), 0)
  }

  private tube(stitches: number, wall: readonly WallPart[]): Design {
    const base: BaseSpec = { form: 'tube', stitch: 'sc', size: { pin: { stitches } }, colour: this.design.base.colour }
    const { measuredBase: _, ...design } = this.design
    return { ...design, base, turnUp: 'plain', wall }
  }

  private metresOnTube(count: number, spec: WallPart): number {
    return this.shares(this.tube(count, [spec]), (part, what) => part === spec.id && what !== 'ends')
  }

  /** Metres of an adjusting round before a part, by the count it goes to: its stitches are counted where they stand, not where they go. */
  private linesOfAdjusting(plans: readonly (readonly [count: number, plan: WallPlan])[]): ((to: number) => number)[] {
    const all = plans.flatMap(([, { adjusting }]) => adjusting)
    return [...this.wall, undefined].map((_, part) => {
      const { stitch, colour } = adjustingStitch(this.problem, part, this.design.base)
      return readOff(all.filter(({ before }) => before === part).map(({ to }) => to), (to) => {
        const spec = { ...adjustedTo({ pin: { stitches: to } }, stitch, colour), id: 'adjusting' } as WallPart
        return this.metresOnTube(to + 1, spec)
      })
    })
  }

  private linesOfBases(choices: readonly (BaseChoice & { readonly base: BaseSpec })[]): (base: BaseSpec) => number {
    const worked = (base: BaseSpec) => this.shares({ ...this.design, base, wall: [] }, (_, what) => what !== 'ends')
    const groups = new Map<string, { first: string, numbers: number[], base: BaseSpec }>()
    for (const { base } of choices) {
      const line = lineOf(base)
      if (!line) continue
      const group = groups.get(line.key) ?? { first: line.first, numbers: [], base }
      groups.set(line.key, group)
      group.numbers.push(line.at)
    }
    const lines = new Map([...groups].map(([key, { first, numbers, base }]) =>
      [key, readOff(numbers, at => worked(pinned(base, first, at)))] as const))
    const known = new Map<BaseSpec, number>()
    return (base) => {
      let metres = known.get(base)
      if (metres === undefined) {
        const line = lineOf(base)
        known.set(base, (metres = line ? lines.get(line.key)!(line.at) : worked(base)))
      }
      return metres
    }
  }

  /** Ends to weave in depend on where yarns change, not on counts. */
  private endsOf(base: BaseSpec): number {
    return this.shares({ ...this.design, base, wall: this.wall }, (_, what) => what === 'ends')
  }
}

/** The counts that a base pins. */
function pinOf(base: BaseSpec): Readonly<Record<string, number>> | undefined {
  return 'size' in base && 'pin' in base.size ? base.size.pin : undefined
}

function pinned(base: BaseSpec, first: string, at: number): BaseSpec {
  return changed(base, { size: { pin: { ...pinOf(base), [first]: at } } })
}

/** The line that a base lies on: all that is alike but the first of its counts. */
function lineOf(base: BaseSpec): { readonly key: string, readonly first: string, readonly at: number } | undefined {
  const pin = pinOf(base)
  const [first] = Object.keys(pin ?? {})
  if (!pin || first === undefined) return undefined
  return { key: JSON.stringify(pinned(base, first, 0)), first, at: pin[first]! }
}

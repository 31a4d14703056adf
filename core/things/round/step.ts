import type { StitchKind } from '../stitch/dictionary'

/**
 * Which threads of a place the hook picks up (craft 2). `backAndThird` is the back loop with the third loop
 * behind it; the posts are entered around the stitch's stem; `bump` is the ridge on a chain's back;
 * `bothLayers` goes through two fabrics at once, `backAndFar` through the back loop of the near one and both loops of the far one.
 */
export const LOOPS = ['both', 'back', 'front', 'backAndThird', 'frontPost', 'backPost', 'bump', 'bothLayers', 'backAndFar'] as const
export type Loop = (typeof LOOPS)[number]

/**
 * Where the hook goes, seen from where it is.
 *
 * - `next`: the next place in order, whatever it is; uses it up
 * - `space`: the next chain space or loop, passing any stitch tops on the way; uses it up
 * - `chains`: the next single chain of a chain space, one stitch a chain
 * - `gap`: between the place just passed and the one to come; uses nothing up
 * - `same`: again into the place used last
 * - `below`: down past the next place, into what that place stands on (a long stitch); uses the next place up
 * - `gapBelow`: down through the gap into the middle of what the round below skipped there; uses nothing up
 * - `start`: again into the place that the round began in, at its end; uses nothing up
 */
export const AIMS = ['next', 'space', 'chains', 'gap', 'same', 'below', 'gapBelow', 'start'] as const
export type Aim = (typeof AIMS)[number]

/**
 * A place with a name of its own, for the words alone: `work` knows places by their order.
 *
 * - `firstChain`: the chain that the hook meets first, `lastChain` the one at the other end
 * - `foundation`: chain and stitch in one, with nothing below yet: a foundation that is itself a side of the round
 * - `chains`: along a chain; `underside`: back along its other side; `firstChainAgain`: where it began
 * - `rowEnds`: the side of worked rows; `holes`: the holes of a bought floor
 * - `bridge`: along the chain of a handle or a buttonhole, one chain after the other; `overBridge`: around that chain as a whole
 * - `loop`: a loop of a mesh; `thisLoop`: the one that the hook stands at, `thisHalf` its half ahead, `otherHalf` the one left at the end
 */
export type Landmark
  = | 'foundation' | 'firstChain' | 'chains' | 'lastChain' | 'underside' | 'firstChainAgain' | 'rowEnds' | 'holes' | 'bridge' | 'overBridge'
    | 'loop' | 'thisLoop' | 'thisHalf' | 'otherHalf'

/** `times` stitches of a kind, each in a place of its own. */
export interface StitchStep {
  readonly do: 'stitch'
  readonly kind: StitchKind
  readonly times: number
  readonly aim?: Aim
  readonly loop?: Loop
  readonly landmark?: Landmark
  /** Worked backwards along the edge, against the way of the rounds: reverse, or crab, stitch. */
  readonly backwards?: true
}

/** One stitch drawn together over `over` places: a decrease. */
export interface TogetherStep {
  readonly do: 'together'
  readonly kind: StitchKind
  readonly over: number
  readonly loop?: Loop
  /** At its ends it takes a single chain of a run: the first of the run ahead, the last of the one in hand, or both. */
  readonly chain?: 'first' | 'last' | 'both'
}

/** Several stitches, and chains between them, all in one place: increases, V's, fans, the first round in a ring. */
export interface GroupStep {
  readonly do: 'group'
  readonly steps: readonly (StitchStep | ChainStep)[]
  /** Worked back and forth so many rows, the work turned between them; one if left out. Only the last row is met again. */
  readonly rows?: number
  readonly aim?: Aim
  readonly loop?: Loop
  readonly landmark?: Landmark
}

/** Pass over places without working them. */
export interface SkipStep {
  readonly do: 'skip'
  readonly places: number
  /** The places passed over, for the words alone, where the maker said so; else the edge tells. */
  readonly of?: 'space' | 'loop'
  /** So many spaces or loops, passing any stitch tops on the way, as stitches that aim at spaces do. */
  readonly aim?: 'space'
}

/** A run of chains: one space for the next round, or `chains` single chains to work into. */
export interface ChainStep {
  readonly do: 'chain'
  readonly chains: number
}

/** Steps worked `times` times over. Repeats nest. */
export interface RepeatStep {
  readonly do: 'repeat'
  readonly times: number
  readonly steps: readonly Step[]
}

/** One act of the hook, or the same so many times over. */
export type Step = StitchStep | TogetherStep | GroupStep | SkipStep | ChainStep | RepeatStep

/** `times` stitches, one in each of the next places. */
export function each(kind: StitchKind, times: number, loop?: Loop): StitchStep {
  return loop ? { do: 'stitch', kind, times, loop } : { do: 'stitch', kind, times }
}

/** `stitches` stitches in the next place: an increase if more than one. */
export function inOne(kind: StitchKind, stitches: number, loop?: Loop): GroupStep {
  const steps = [{ do: 'stitch', kind, times: stitches } as const]
  return loop ? { do: 'group', steps, loop } : { do: 'group', steps }
}

/** One stitch over the next `over` places: a decrease. */
export function together(kind: StitchKind, over = 2): TogetherStep {
  return { do: 'together', kind, over }
}

/** One stitch where body and handle meet: over a stitch of the one and a single chain of the other, or of both. */
export function togetherWithChain(kind: StitchKind, chain: 'first' | 'last' | 'both', over = chain === 'both' ? 3 : 2): TogetherStep {
  return { do: 'together', kind, over, chain }
}

export function skip(places: number): SkipStep {
  return { do: 'skip', places }
}

export function chain(chains: number): ChainStep {
  return { do: 'chain', chains }
}

export function repeat(times: number, ...steps: readonly Step[]): RepeatStep {
  return { do: 'repeat', times, steps }
}

/** Steps that happen at a named place. */
export function at<S extends StitchStep | GroupStep>(landmark: Landmark, step: S): S {
  return { ...step, landmark }
}

/** Steps that all happen at a named sort of place, those of repeats too. */
export function allAt(landmark: Landmark, steps: readonly Step[]): Step[] {
  return steps.map((step): Step => {
    if (step.do === 'repeat') return { ...step, steps: allAt(landmark, step.steps) }
    return step.do === 'stitch' || step.do === 'group' ? at(landmark, step) : step
  })
}

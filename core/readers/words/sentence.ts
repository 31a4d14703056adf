import type { Loop } from '../../things/round/step'
import type { StitchKind } from '../../things/stitch/dictionary'

/*
 * A round as it is said
 * =====================
 *
 * A sentence is a round taken apart into what is worked, into what, and how often. It is made from the round as it was worked
 * (`sentenceOf`), so that it knows stitches from spaces; text in every vocabulary and style is made from it (manner.ts), and so can
 * speech and beats be. Its clauses tile the round: one after the other they make the things made, none left out.
 */

/** A sort of place as makers tell them apart. */
export type Sort = 'st' | 'space' | 'loop' | 'ch' | 'underside' | 'rowEnd' | 'hole' | 'ring'

/** Stitches of a kind, or a run of chains, among what goes into one place. */
export type Lot = { readonly kind: StitchKind, readonly times: number } | { readonly chains: number }

/** Where the hook goes. */
export type Into
  /** The next places of a sort, one after the other. */
  = | { readonly at: 'next', readonly sort: Sort }
  /** All places of the edge below, of these sorts. */
    | { readonly at: 'each', readonly sorts: readonly Sort[] }
  /** Again the place used last. */
    | { readonly at: 'same', readonly sort: Sort }
  /** Between the place just passed and the one to come; `again` if the hook was there before. */
    | { readonly at: 'gap', readonly between: 'sts' | 'groups', readonly again: boolean }
  /** The thing that the next place stands on. */
    | { readonly at: 'below' }
  /** The `nth` of the places skipped in the round below, `of` so many. */
    | { readonly at: 'gapBelow', readonly nth: number, readonly of: number }
  /** A single chain of the space at the hook. */
    | { readonly at: 'singleChain' }
  /** Every chain of a handle or a buttonhole, one after the other; or around it as a whole. */
    | { readonly at: 'bridge', readonly chains: number }
    | { readonly at: 'overBridge' }
  /** The loop that the hook stands in, the half of it that lies ahead, and the half that is left at the end. */
    | { readonly at: 'thisLoop' }
    | { readonly at: 'thisHalf' }
    | { readonly at: 'otherHalf' }
  /** Chains of the foundation with names of their own. */
    | { readonly at: 'firstChain' }
  /** Into nothing: each is made with the chain that it stands on. */
    | { readonly at: 'foundation' }
    | { readonly at: 'lastChain' }
    | { readonly at: 'firstChainAgain' }
    | { readonly at: 'alongChain' }

/** The same in so many places, one after the other. */
export interface Working {
  readonly say: 'work'
  readonly what: readonly Lot[]
  readonly loop: Loop
  readonly into: Into
  readonly places: number
  /** Worked backwards along the edge. */
  readonly backwards?: true
  /** Worked back and forth so many rows in its place: a fan. */
  readonly rows?: number
}

/** One stitch drawn together over the next places. */
export interface Drawing {
  readonly say: 'together'
  readonly kind: StitchKind
  readonly loop: Loop
  /** The places that it goes over, and single chains of a handle at either end. */
  readonly over: readonly (Sort | 'firstChain' | 'lastChain')[]
}

/** Places of a sort passed over. */
export interface Skipping {
  readonly say: 'skip'
  readonly sort: Sort
  readonly places: number
}

/** A run of chains between stitches. */
interface Chaining {
  readonly say: 'chain'
  readonly chains: number
}

/** Clauses worked so many times over. */
export interface Repeating {
  readonly say: 'repeat'
  readonly times: number
  readonly clauses: readonly Clause[]
}

export type Clause = Working | Drawing | Skipping | Chaining | Repeating

/** How a round gets up to its height, and where it begins. */
export interface Opening {
  /** A slip stitch into the place at the hook, before anything else, evens the step that a spiral leaves. */
  readonly evens?: Sort
  /** Slip stitches along the edge below to the new start, before anything else. */
  readonly along: number
  readonly chains: number
  /** The things that the chains stand for: a first stitch, and chains of a space after it. */
  readonly counts?: { readonly kind: StitchKind, readonly spaceChains: number }
  /** Whether it is said that the chains do not count. */
  readonly saysUncounted: boolean
  readonly turn: boolean
  /** Said where others of the bag turn. */
  readonly saysNoTurn: boolean
  /** Chains of the foundation passed over, that stand for the first stitch. */
  readonly skipped?: { readonly chains: number, readonly kind: StitchKind }
  /** Where the first stitch goes, where that must be said. */
  readonly from?: { readonly at: 'join' | 'first' | 'slip' | 'even' | 'last', readonly sort: Sort, readonly into: boolean }
}

/** The stitch that a round is joined to, as it was worked. */
export interface JoinTarget {
  readonly kind: StitchKind
  readonly loop: Loop
  readonly backwards?: true
  readonly long?: true
}

/** How a round ends. */
export type Ending
  = | { readonly end: 'open' }
    | { readonly end: 'join', readonly to: JoinTarget }
  /** To the top of the starting chain; `nth` of its chains where more follow above it. */
    | { readonly end: 'joinChain', readonly nth?: number }
    | { readonly end: 'joinSpace' }
    | { readonly end: 'closing', readonly chains: number, readonly kind: StitchKind }

/** Yield of a round, as makers count it. */
export interface Count {
  readonly stitches: number
  /** Spaces by their number of chains, in the order they first come. */
  readonly spaces: readonly { readonly chains: number, readonly number: number }[]
  readonly inLoops: boolean
}

/** A round as it is said. */
export interface Sentence {
  readonly opening: Opening
  readonly clauses: readonly Clause[]
  readonly ending: Ending
  readonly count: Count
}

/** How many things one lot is: a run of chains is one. */
function lotMakes(lot: Lot): number {
  return 'chains' in lot ? 1 : lot.times
}

/** How many things a clause makes. */
export function makes(clause: Clause): number {
  switch (clause.say) {
    case 'work':
      return clause.places * clause.what.reduce((sum, lot) => sum + lotMakes(lot), 0)
    case 'repeat':
      return clause.times * clause.clauses.reduce((sum, one) => sum + makes(one), 0)
    case 'skip':
      return 0
    default:
      return 1
  }
}

/** A clause that is not a repeat, and the things made that it speaks of: `from` up to but not with `to`. */
interface Spoken {
  readonly clause: Exclude<Clause, Repeating>
  readonly from: number
  readonly to: number
}

/** Every clause of a sentence as often as it is worked, with the things made that it speaks of: they tile the round. */
export function spokenOf({ clauses, opening }: Sentence): Spoken[] {
  const found: Spoken[] = []
  const counted = opening.counts ?? opening.skipped
  let at = counted ? 1 + (opening.counts && opening.counts.spaceChains > 0 ? 1 : 0) : 0
  const speak = (clause: Clause): void => {
    if (clause.say === 'repeat') {
      for (let i = 0; i < clause.times; i++) clause.clauses.forEach(speak)
      return
    }
    const to = at + makes(clause)
    found.push({ clause, from: at, to })
    at = to
  }
  clauses.forEach(speak)
  return found
}

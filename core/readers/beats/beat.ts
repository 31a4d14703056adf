import type { Clause, Ending, Opening, Repeating, Sentence, Skipping, Sort, Working } from '../words/sentence'

/*
 * A round taken apart into beats
 * ==============================
 *
 * A beat is what the hook does next: what goes into one place, or a run of chains. Beats are made from the same sentence as the words,
 * and tile the round as its clauses do: one after the other they make the things made, none left out. Places passed over are said with
 * the beat after them, for nobody needs a moment to pass over a stitch.
 *
 * Beats are the finest size. The others are runs of them: a group is one turn of a repeat, or so many of a long run, and a round is all.
 */

/** A clause that is done, not passed over nor repeated. */
export type Doing = Exclude<Clause, Repeating | Skipping>

export type BeatSpeech
  = | { readonly say: 'opening', readonly opening: Opening }
    | { readonly say: 'ending', readonly ending: Ending }
    | { readonly say: 'doing', readonly passing: readonly Skipping[], readonly clause: Doing }
  /** Places passed over at the very end of a row: nothing comes after them. */
    | { readonly say: 'passing', readonly passing: readonly Skipping[] }
  /** A step that is no stitch: finishing, a way to begin; before it is translated (translate.ts). */
    | { readonly say: 'telling', readonly text: string }

/** The next thing that the hook does. */
export interface Beat {
  readonly said: BeatSpeech
  /** The things made: `from` up to but not with `to`. */
  readonly from: number
  readonly to: number
  /** Which of how many alike, one after the other; of chains, how many will be made by then, of how many. */
  readonly nth: number
  readonly of: number
  /** The group it belongs to, from 0. */
  readonly group: number
}

/** Chains are counted with a marker in every so-and-so-manieth: it saves recounts (craft 17). */
export const CHAINS_TO_MARKER = 20

/** A plain run longer than this is done in tens: nobody is sure of more at a glance. */
const LONGEST_RUN = 20
const TEN = 10

/** Of one stitch more than so many into one place are counted one by one. */
const MOST_AT_ONCE = 9

/** Of a place that says "each", what lies there when it is met. */
type SortAt = (made: number) => Sort

/** Whether anything is done, or has to be known, before the first stitch. */
function doesSomething({ chains, along, turn, evens, from }: Opening): boolean {
  return chains > 0 || along > 0 || turn || evens !== undefined || from !== undefined
}

/** Goes through a sentence and lays its beats one after the other. */
class Taking {
  readonly beats: Beat[] = []
  private made = 0
  private group = 0
  /** Whether the group has beats yet. */
  private begun = false
  private passing: Skipping[] = []

  constructor(private readonly sortAt: SortAt) {}

  opening(opening: Opening): void {
    const stands = opening.counts ?? opening.skipped
    const things = stands ? 1 + (opening.counts && opening.counts.spaceChains > 0 ? 1 : 0) : 0
    if (things === 0 && !doesSomething(opening)) return
    this.lay({ say: 'opening', opening }, things)
  }

  ending(ending: Ending): void {
    if (this.passing.length > 0) this.lay({ say: 'passing', passing: this.passed() }, 0)
    if (ending.end === 'open') return
    // What ends a round belongs to its last group.
    if (!this.begun && this.group > 0) this.group--
    this.lay({ say: 'ending', ending }, ending.end === 'closing' ? 1 : 0)
  }

  clauses(clauses: readonly Clause[]): void {
    for (const clause of clauses) this.clause(clause)
  }

  private clause(clause: Clause): void {
    if (clause.say === 'skip') this.passing.push(clause)
    else if (clause.say === 'repeat') this.repeat(clause)
    else if (clause.say === 'work') this.work(clause)
    else if (clause.say === 'chain') this.chain(clause.chains)
    else this.do(clause, 1)
  }

  /** Every turn of a repeat is a group of its own; of repeats that hold others, every turn of those. */
  private repeat({ times, clauses }: Repeating): void {
    const deep = clauses.some(({ say }) => say === 'repeat')
    for (let turn = 0; turn < times; turn++) {
      if (!deep) this.nextGroup()
      this.clauses(clauses)
    }
    this.nextGroup()
  }

  /** An opening stays with the first turn of what it opens. */
  private nextGroup(): void {
    const opensOnly = this.beats.length === 1 && this.beats[0]!.said.say === 'opening'
    if (this.begun && !opensOnly) {
      this.group++
      this.begun = false
    }
  }

  private work(clause: Working): void {
    const lot = clause.what.length === 1 ? clause.what[0]! : undefined
    const times = lot && !('chains' in lot) && !clause.rows ? lot.times : 1
    const oneByOne = times > MOST_AT_ONCE || (times > 1 && clause.into.at === 'next' && clause.into.sort === 'ring')
    const perPlace = clause.what.reduce((sum, one) => sum + ('chains' in one ? 1 : one.times), 0)
    const all = clause.places * (oneByOne ? times : 1)
    const inTens = all > LONGEST_RUN
    for (let nth = 1; nth <= all; nth++) {
      if (inTens && nth % TEN === 1) this.nextGroup()
      const one = oneByOne ? single(this.inPlace(clause), nth) : this.inPlace(clause)
      this.do(one, oneByOne ? 1 : perPlace, nth, all)
    }
    if (inTens) this.nextGroup()
  }

  /** A clause of many places as it is of the next one alone. */
  private inPlace(clause: Working): Working {
    const { into } = clause
    if (into.at === 'each') {
      const sort = into.sorts.length === 1 ? into.sorts[0]! : this.sortAt(this.made)
      return { ...clause, into: { at: 'next', sort }, places: 1 }
    }
    if (into.at === 'alongChain') return { ...clause, into: this.made === 0 ? { at: 'firstChain' } : { at: 'next', sort: 'ch' }, places: 1 }
    if (into.at === 'bridge') return { ...clause, into: { at: 'next', sort: 'ch' }, places: 1 }
    return clause.places === 1 ? clause : { ...clause, places: 1 }
  }

  /** Chains up to a marker, and on to the next. */
  private chain(chains: number): void {
    for (let done = 0; done < chains; done += CHAINS_TO_MARKER) {
      const to = Math.min(chains, done + CHAINS_TO_MARKER)
      this.do({ say: 'chain', chains: to - done }, to === chains ? 1 : 0, to, chains)
    }
  }

  private do(clause: Doing, things: number, nth = 1, of = 1): void {
    this.lay({ say: 'doing', passing: this.passed(), clause }, things, nth, of)
  }

  private passed(): Skipping[] {
    const { passing } = this
    this.passing = []
    return passing
  }

  private lay(said: BeatSpeech, things: number, nth = 1, of = 1): void {
    this.beats.push({ said, from: this.made, to: this.made + things, nth, of, group: this.group })
    this.made += things
    this.begun = true
  }
}

/** One of several stitches in a place: the first goes there, the others into the same. */
function single(clause: Working, nth: number): Working {
  const [lot] = clause.what
  const what = lot && !('chains' in lot) ? [{ ...lot, times: 1 }] : clause.what
  const { into } = clause
  const again = nth > 1 && into.at === 'next' && into.sort !== 'ring'
  return { ...clause, what, ...(again ? { into: { at: 'same', sort: into.sort } } : {}) }
}

/**
 * The beats of a round's or a row's sentence, in order.
 *
 * @param sortAt what a thing made stands on, where the sentence says "each" of several sorts
 */
export function beatsOf({ opening, clauses, ending }: Sentence, sortAt: SortAt = () => 'st'): Beat[] {
  const taking = new Taking(sortAt)
  taking.opening(opening)
  taking.clauses(clauses)
  taking.ending(ending)
  return taking.beats
}

/** Texts as beats: each is one, and a group of its own. */
export function tellings(texts: readonly string[]): Beat[] {
  return texts.map((text, group) => ({ said: { say: 'telling', text }, from: 0, to: 0, nth: 1, of: 1, group }))
}

/** How many groups there are. */
export function groupsIn(beats: readonly Beat[]): number {
  return (beats.at(-1)?.group ?? -1) + 1
}

import { type Start, traitsOf } from '../../parts/part/start'
import { type Edge, PLACE_CODE } from '../../things/round/edge'
import { Reading } from '../../things/round/readingOrder'
import type { Begin, Round } from '../../things/round/round'
import type { Step, StitchStep } from '../../things/round/step'
import { kindAt, type WorkedRound } from '../../things/round/workedRound'
import { AIMS, LOOPS } from '../../things/round/step'
import type { StitchKind } from '../../things/stitch/dictionary'
import { withoutFirstStitch } from './withoutFirstStitch'
import type { Clause, Count, Ending, Opening, Sentence, Sort } from './sentence'
import { foldedAgain } from './mergeClauses'
import { Walk } from './roundReader'
import { alongChain, mergedChains, ofEach } from './mergedSteps'

/** Settings that a round's sentence depends on besides the round. */
interface Context {
  readonly start: Start
  /** The round before, whose join the first stitch may go into; none for the first round and for rows of a piece. */
  readonly before?: WorkedRound
  /** Rounds of the bag whose starting chain does count, so that one that does not must say so. */
  readonly othersCount?: boolean
  /** Rounds of the bag are turned, so that one that is not must say so. */
  readonly othersTurn?: boolean
}

/** The kind of the first thing made that is a stitch: what a starting chain stands for. */
function firstStitch(worked: WorkedRound): StitchKind {
  let made = 0
  while (kindAt(worked, made) === 'ch' && made + 1 < worked.edge.count) made++
  return kindAt(worked, made)
}

/** The first clause that is worked, inside whatever repeats. */
function firstOf(clauses: readonly Clause[]): Exclude<Clause, { say: 'repeat' }> | undefined {
  const [first] = clauses
  return first?.say === 'repeat' ? firstOf(first.clauses) : first
}

/** Sort of place that a clause begins in. */
function sortOf(clause: Clause): Sort {
  if (clause.say !== 'work') return 'st'
  if (clause.into.at === 'next') return clause.into.sort
  return clause.into.at === 'each' ? clause.into.sorts[0]! : 'st'
}

/** Whether a clause works right into the place at the hook, which is a stitch or a space. */
function worksHere(clause: Clause, here: 'st' | 'space'): boolean {
  if (clause.say === 'together') return here === 'st'
  if (clause.say !== 'work' || !['next', 'each', 'below'].includes(clause.into.at)) return false
  return (sortOf(clause) === 'space') === (here === 'space')
}

/** The place where a round begins. */
function sortAtHook(on: Edge, begin: Pick<Begin, 'turn' | 'along' | 'past'>): 'st' | 'space' {
  return on.kinds[new Reading(on, begin).placeAt(0)] === PLACE_CODE.space ? 'space' : 'st'
}

/** Whether a joined round stands on a spiral, whose step is evened first. */
function evensStep({ join, begin }: Round, on: Edge, { before }: Context): boolean {
  return join === 'slip' && !begin.along && on.from[0] !== -1 && before?.round.join === 'spiral' && !before.round.closing
}

/** Where the first stitch goes, where the maker must be told: after a join, and at the start of a row. */
function fromWhere({ round, on }: WorkedRound, clauses: readonly Clause[], context: Context): Opening['from'] {
  const { begin, join } = round
  const { before } = context
  const first = firstOf(clauses)
  if (!first || begin.counts || on.from[0] === -1) return undefined
  const sort = sortAtHook(on, begin)
  const into = worksHere(first, sort)
  if (begin.past) return { at: 'last', sort, into }
  if (begin.along) return { at: 'slip', sort: 'st', into }
  if (evensStep(round, on, context)) return { at: 'even', sort, into }
  const moves = begin.chains > 0 || join === 'spiral'
  if (join !== 'open') return before?.round.join === 'slip' && moves ? { at: 'join', sort, into } : undefined
  const whole = first.say === 'work' && first.into.at === 'each'
  return begin.chains > 0 && before && !whole ? { at: 'first', sort, into } : undefined
}

/** Whether a round goes into the chain that the bag or the piece starts from. */
function beginsInChain({ on }: WorkedRound, start: Start): boolean {
  return on.from[0] === -1 && traitsOf(start).intoChains === true && on.kinds[0] === PLACE_CODE.chain
}

/** Whether it must be said that a starting chain does not count, or that the work is not turned. */
function mustSay({ round: { begin, join }, on }: WorkedRound, { othersCount, othersTurn, before }: Context) {
  const chained = begin.chains > 0
  return {
    uncounted: chained && !begin.counts && (on.from[0] === -1 || othersCount === true),
    noTurn: chained && othersTurn === true && before !== undefined && !begin.turn && join !== 'open',
  }
}

function openingOf(worked: WorkedRound, clauses: readonly Clause[], spaceChains: number, context: Context): Opening {
  const { begin } = worked.round
  const intoChain = beginsInChain(worked, context.start)
  const kind = firstStitch(worked)
  const from = fromWhere(worked, clauses, context)
  const { uncounted, noTurn } = mustSay(worked, context)
  const stands = intoChain
    ? { skipped: { chains: skippedChains(worked, clauses, context.start), kind } }
    : { counts: { kind, spaceChains } }
  return {
    ...(evensStep(worked.round, worked.on, context) ? { evens: sortAtHook(worked.on, { turn: false }) } : {}),
    along: begin.along ?? 0, chains: intoChain ? spaceChains : begin.chains + spaceChains, turn: begin.turn,
    saysUncounted: uncounted && !intoChain, saysNoTurn: noTurn, ...(begin.counts ? stands : {}), ...(from ? { from } : {}),
  }
}

/**
 * Chains of the foundation passed over for a counting start: those that stand for the stitch, and the one that it stands on unless more
 * goes into that.
 */
function skippedChains(worked: WorkedRound, clauses: readonly Clause[], { firstInto = 2 }: Start): number {
  const first = firstOf(clauses)
  const more = worked.on.count === 1 || (first?.say === 'work' && first.into.at === 'firstChain')
  return more ? firstInto - 1 : firstInto
}

/** The first step that makes a stitch, inside whatever repeats and groups. */
function firstStep(steps: readonly Step[]): StitchStep | undefined {
  for (const step of steps) {
    if (step.do === 'stitch') return step
    if (step.do === 'group' || step.do === 'repeat') return firstStep(step.steps)
  }
  return undefined
}

function endingOf(worked: WorkedRound, spaceChains: number): Ending {
  const { closing, join, begin, steps } = worked.round
  if (closing) return { end: 'closing', chains: closing.chains, kind: closing.kind }
  if (join !== 'slip') return { end: 'open' }
  if (begin.counts) return { end: 'joinChain', ...(spaceChains > 0 ? { nth: begin.chains } : {}) }
  if (kindAt(worked, 0) === 'ch') return { end: 'joinSpace' }
  const backwards = firstStep(steps)?.backwards
  const aim = AIMS[worked.aims[0]!]!
  const long = aim === 'below' || aim === 'gapBelow'
  return {
    end: 'join',
    to: { kind: kindAt(worked, 0), loop: LOOPS[worked.loops[0]!]!, ...(backwards ? { backwards } : {}), ...(long ? { long } : {}) },
  }
}

/** The yield of a round: stitches, and spaces by their chains. */
function countOf({ edge, round }: WorkedRound): Count {
  const spaces = new Map<number, number>()
  let stitches = 0
  for (let i = 0; i < edge.count; i++) {
    if (edge.kinds[i] === PLACE_CODE.space) spaces.set(edge.chains[i]!, (spaces.get(edge.chains[i]!) ?? 0) + 1)
    else stitches++
  }
  return { stitches, spaces: [...spaces].map(([chains, number]) => ({ chains, number })), inLoops: round.inLoops === true }
}

/** Steps as clauses, spoken of an edge: of a maker's own line, or a suggestion. */
export function clausesOf(steps: readonly Step[], on: Edge, start: Start): readonly Clause[] {
  return ofEach(new Walk(on, new Reading(on, { turn: false }), start).say(steps), on)
}

/** The first place that what a counting start leaves of the first stitch goes into, named in a foundation chain. */
function inFirstChain(clauses: readonly Clause[]): readonly Clause[] {
  const [first, ...rest] = clauses
  return first?.say === 'work' && first.into.at === 'same' ? [{ ...first, into: { at: 'firstChain' } }, ...rest] : clauses
}

/** So many clauses are looked through for stretches that come over and over. */
const LONG = 12

/** A round, or a row, as it is said. */
export function sentenceOf(worked: WorkedRound, context: Context): Sentence {
  const {
    round: { begin, steps },
    on,
  } = worked
  const inOnePlace = on.count === 1
  const order = new Reading(on, begin)
  const walk = new Walk(on, order, context.start, begin.counts && !inOnePlace ? 1 : 0)
  const said = walk.say(begin.counts ? withoutFirstStitch(steps, inOnePlace) : steps)
  const { chains, rest } = begin.counts ? mergedChains(said) : { chains: 0, rest: said }
  const onChain = begin.counts && beginsInChain(worked, context.start) ? inFirstChain(rest) : rest
  const whole = begin.counts ? onChain : alongChain(ofEach(onChain, on), worked, context.start, begin.counts)
  const clauses = whole.length > LONG ? foldedAgain(whole) : whole
  return {
    opening: openingOf(worked, clauses, chains, context), clauses, ending: endingOf(worked, chains), count: countOf(worked),
  }
}

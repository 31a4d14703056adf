import { type Start, traitsOf } from '../part/start'
import { PLACE_CODE } from '../round/edge'
import type { Begin } from '../round/round'
import { kindAt, type Worked } from '../round/worked'
import { type StitchKind, stitchName, type Terms } from '../stitch/dictionary'
import { ordinal } from './numbers'
import { withoutFirstStitch } from './peel'
import { stepsWords } from './stepWords'

/**
 * How a round gets up to its height, in words; empty for a spiral. A chain that counts says so in every round, since it
 * takes a stitch's place; one that does not says so in the bag's first round, and wherever others of the bag do count.
 */
function beginWords(begin: Begin, kind: StitchKind, terms: Terms, say: boolean): string {
  if (begin.chains === 0) return ''
  const uncounted = say ? ' (does not count)' : ''
  const counts = begin.counts ? ` (counts as first ${stitchName(kind, terms).abbreviation})` : uncounted
  return `ch ${begin.chains}${counts}${begin.turn && !begin.along ? ', turn' : ''}; `
}

/** Chains skipped at the start of a round worked into a chain stand in for its starting chain. */
function skippedWords(worked: Worked, kind: StitchKind, terms: Terms, start: Start): string {
  if (!worked.round.begin.counts) return ''
  const first = stitchName(kind, terms).abbreviation
  return worked.on.count === 1
    ? `skipped chs count as first ${first}; `
    : `${terms === 'us' ? 'sk' : 'miss'} ${start.firstInto} chs (they count as first ${first}); `
}

/** The way along the edge below to where the round is to start. */
function alongWords({ along = 0, turn }: Begin, terms: Terms): string {
  if (along === 0) return ''
  return `${turn ? 'turn, ' : ''}${stitchName('slst', terms).abbreviation} in next ${along === 1 ? 'st' : `${along} sts`} to the `
    + 'new start; '
}

/** The kind of the first thing made that is a stitch: what a starting chain stands for. */
function firstStitch(worked: Worked): StitchKind {
  let made = 0
  while (kindAt(worked, made) === 'ch' && made + 1 < worked.edge.count) made++
  return kindAt(worked, made)
}

/** How the last loop is closed: `; ch 1, hdc in first sc to close the last loop`. */
function closingWords({ round: { closing } }: Worked, terms: Terms): string {
  if (!closing) return ''
  const chains = closing.chains > 0 ? `ch ${closing.chains}, ` : ''
  return `; ${chains}${stitchName(closing.kind, terms).abbreviation} in first ${stitchName('sc', terms).abbreviation} to close the `
    + 'last loop'
}

function joinWords(worked: Worked, terms: Terms): string {
  if (worked.round.closing) return closingWords(worked, terms)
  if (worked.round.join !== 'slip') return ''
  const { begin } = worked.round
  const first = stitchName(kindAt(worked, 0), terms).abbreviation
  const into = begin.counts ? `${ordinal(begin.chains)} ch of starting chain` : `first ${first}`
  return `; join with ${stitchName('slst', terms).abbreviation} to ${into}`
}

/** What a round leaves, as makers count it: `(40 sts)`, or stitches and spaces apart. */
export function countWords(worked: Worked): string {
  let spaces = 0
  for (const kind of worked.edge.kinds) if (kind === PLACE_CODE.space) spaces++
  const stitches = worked.edge.count - spaces
  if (worked.round.inLoops) return `(${spaces} loops)`
  const sps = spaces === 1 ? 'ch-sp' : 'ch-sps'
  if (spaces === 0) return `(${stitches} sts)`
  return stitches === 0 ? `(${spaces} ${sps})` : `(${stitches} sts, ${spaces} ${sps})`
}

/**
 * A round in words, by the published abbreviations of the vocabulary, without its number and count:
 * `ch 1; sc in next 3, 2 sc in next, eight times; join with sl st to first sc`.
 */
export function roundWords(worked: Worked, terms: Terms, start: Start, othersCount = false): string {
  const { begin, steps } = worked.round
  const kind = firstStitch(worked)
  const onFoundation = worked.on.from[0] === -1
  const inOnePlace = worked.on.count === 1
  const intoChain = onFoundation && traitsOf(start).intoChains && worked.on.kinds[0] === PLACE_CODE.chain
  const speech = { terms, on: worked.on, start, across: worked.round.join === 'open' }
  const said = begin.counts ? withoutFirstStitch(steps, inOnePlace) : steps
  const opening = intoChain ? skippedWords(worked, kind, terms, start) : beginWords(begin, kind, terms, onFoundation || othersCount)
  return `${alongWords(begin, terms)}${opening}${stepsWords(said, speech)}${joinWords(worked, terms)}`
}

import type { CardId } from '../../things/entry/cards'
import type { Clause, Into, Sentence, Sort, Working } from './sentence'

const OF_SORT: Partial<Record<Sort, CardId>> = {
  space: 'space', loop: 'space', ch: 'chain', underside: 'underside', rowEnd: 'rowEnd', hole: 'hole', ring: 'ring',
}

const OF_PLACE: Partial<Record<Into['at'], CardId>> = {
  gap: 'gap', below: 'below', gapBelow: 'gapBelow', singleChain: 'singleChain', bridge: 'singleChain', overBridge: 'aroundChain',
  thisLoop: 'space', thisHalf: 'space', otherHalf: 'space', firstChain: 'chain', lastChain: 'chain', alongChain: 'chain',
  firstChainAgain: 'underside',
}

function ofInto(into: Into): (CardId | undefined)[] {
  if (into.at === 'each') return into.sorts.map(sort => OF_SORT[sort])
  return [into.at === 'next' || into.at === 'same' ? OF_SORT[into.sort] : OF_PLACE[into.at]]
}

function ofWorking({ loop, into, backwards }: Working): (CardId | undefined)[] {
  return [loop === 'both' ? undefined : loop, backwards ? 'backwards' : undefined, ...ofInto(into)]
}

function ofClause(clause: Clause): (CardId | undefined)[] {
  if (clause.say === 'repeat') return clause.clauses.flatMap(ofClause)
  if (clause.say === 'work') return ofWorking(clause)
  if (clause.say === 'together') return ['together', clause.loop === 'both' ? undefined : clause.loop]
  return []
}

/** The ways that a round's stitches are entered or joined, besides the usual one, each once. */
export function cardsOf({ clauses, ending }: Sentence): CardId[] {
  const found = [...clauses.flatMap(ofClause), ending.end === 'closing' ? 'closing' : undefined]
  return [...new Set(found)].filter(id => id !== undefined) as CardId[]
}

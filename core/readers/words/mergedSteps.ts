import { type Start, traitsOf } from '../../parts/part/start'
import { type Edge, placesOf } from '../../things/round/edge'
import type { WorkedRound } from '../../things/round/workedRound'
import type { Clause, Sort, Working } from './sentence'
import { same } from '../../things/measure/same'

/** Chains right after a counting starting chain are worked on with it: `ch 4 (counts as first dc and ch 1)`. */
export function mergedChains(clauses: readonly Clause[]): { readonly chains: number, readonly rest: readonly Clause[] } {
  const [first, ...rest] = clauses
  if (first?.say === 'chain') return { chains: first.chains, rest }
  const lot = first?.say === 'work' && first.into.at === 'same' ? first.what[0] : undefined
  if (!lot || !('chains' in lot)) return { chains: 0, rest: clauses }
  const left = { ...(first as Working), what: (first as Working).what.slice(1) }
  return { chains: lot.chains, rest: left.what.length > 0 ? [left, ...rest] : rest }
}

/** A round in which every place of the edge, or every space of it, gets the same is said of each. */
export function ofEach(clauses: readonly Clause[], on: Edge): readonly Clause[] {
  const [first] = clauses
  const plain = first?.say === 'repeat' && clauses.length === 1 ? first.clauses : clauses
  const works = plain.filter((clause): clause is Working => clause.say === 'work' && clause.into.at === 'next' && !clause.rows)
  const [model] = works
  if (!model || works.length !== plain.length || on.count < 2) return clauses
  const times = first?.say === 'repeat' && clauses.length === 1 ? first.times : 1
  const alike = works.every(one => sameWork(one, model))
  const places = times * works.reduce((sum, one) => sum + one.places, 0)
  const allSpaces = works.every(({ into }) => into.at === 'next' && into.sort === 'space') && places === placesOf(on, 'space')
  if (!alike || (places !== on.count && !allSpaces)) return clauses
  const sorts = [...new Set(works.map(({ into }) => (into as { readonly sort: Sort }).sort))]
  if (sorts.some(sort => !['st', 'space', 'ch', 'loop', 'hole'].includes(sort))) return clauses
  return [{ ...model, into: { at: 'each', sorts }, places }]
}

function sameWork(a: Working, b: Working): boolean {
  return a.loop === b.loop && a.backwards === b.backwards && same(a.what, b.what)
}

/** A row all along a fresh chain is said as one: `sc in 2nd ch from hook and in each ch across`. */
export function alongChain(clauses: readonly Clause[], { on, round }: WorkedRound, start: Start, counts: boolean): readonly Clause[] {
  const [only] = clauses
  const each = only?.say === 'work' && only.into.at === 'each' && only.into.sorts[0] === 'ch'
  if (!each || counts || traitsOf(start).looped || round.join !== 'open' || on.from[0] !== -1 || !start.firstInto) return clauses
  return [{ ...only, into: { at: 'alongChain' } }]
}

import { same } from '../../things/measure/same'
import type { Clause, Working } from './sentence'

/*
 * Clauses as makers like to read them: neighbours that do the same are one run, turns that read alike are one repeat, and no repeat
 * stands in one of its own kind more than once deep.
 */

/** Whether two clauses do the same in places one after the other, so that they are one run. */
function runsOn(a: Clause, b: Clause): boolean {
  if (a.say === 'skip' && b.say === 'skip') return a.sort === b.sort
  if (a.say !== 'work' || b.say !== 'work' || a.rows || b.rows) return false
  if (a.into.at !== 'next' && a.into.at !== 'below' && a.into.at !== 'singleChain') return false
  return a.loop === b.loop && a.backwards === b.backwards && same(a.into, b.into) && same(a.what, b.what)
}

/** Neighbours that do the same, as one. */
export function runsTogether(clauses: readonly Clause[]): Clause[] {
  const found: Clause[] = []
  for (const clause of clauses) {
    const last = found.at(-1)
    if (last && runsOn(last, clause))
      found[found.length - 1] = { ...last, places: (last as Working).places + (clause as Working).places } as Clause
    else found.push(clause)
  }
  return found
}

/** How often a repeat nests. */
function depth(clause: Clause): number {
  return clause.say === 'repeat' ? 1 + Math.max(0, ...clause.clauses.map(depth)) : 0
}

/** Two brackets may be told apart, three not: the outermost are then written out. */
const DEEPEST = 2

/** Clauses worked so many times, as short as can be said. */
export function repeated(times: number, clauses: readonly Clause[]): Clause[] {
  const inside = runsTogether(clauses)
  if (times <= 0 || inside.length === 0) return []
  if (times === 1) return inside
  const [only] = inside
  if (inside.length === 1 && runsOn(only!, only!)) return [{ ...only!, places: (only as Working).places * times } as Clause]
  if (inside.length === 1 && only!.say === 'repeat') return [{ ...only!, times: only!.times * times }]
  if (Math.max(...inside.map(depth)) >= DEEPEST) return Array.from({ length: times }, () => inside).flat()
  return [{ say: 'repeat', times, clauses: inside }]
}

/** Turns one after the other, those alike gathered: `[a, a, a, b]` is a three times and b. */
export function turnsTogether(turns: readonly (readonly Clause[])[]): Clause[] {
  const found: Clause[] = []
  for (let i = 0; i < turns.length;) {
    let to = i + 1
    while (to < turns.length && same(turns[to], turns[i])) to++
    found.push(...repeated(to - i, turns[i]!))
    i = to
  }
  return foldedAgain(found)
}

/** The longest stretch of clauses that is looked at as one turn. */
const LONGEST_TURN = 6

/** How often the stretch of `length` clauses at `at` comes, one after the other. */
function timesHere(clauses: readonly Clause[], at: number, length: number): number {
  let times = 1
  const comesAgain = () => {
    for (let i = 0; i < length; i++) if (!same(clauses[at + i], clauses[at + times * length + i])) return false
    return true
  }
  while (at + (times + 1) * length <= clauses.length && comesAgain()) times++
  return times
}

/** Stretches that come several times over, said once: only where that makes it shorter. */
export function foldedAgain(clauses: readonly Clause[]): Clause[] {
  if (clauses.length < 4) return [...clauses]
  const found: Clause[] = []
  for (let at = 0; at < clauses.length;) {
    let best = { length: 1, times: 1 }
    for (let length = 1; length <= LONGEST_TURN; length++) {
      const times = timesHere(clauses, at, length)
      if (times > 1 && times * length > best.times * best.length) best = { length, times }
    }
    found.push(...repeated(best.times, clauses.slice(at, at + best.length)))
    at += best.length * best.times
  }
  return found
}

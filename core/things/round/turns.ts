import { repeat, type Step } from './step'

/** The longest pattern that is looked for. */
const LONGEST = 12

/** How often a pattern of so many turns comes from a place on. */
function timesFrom(keys: readonly string[], from: number, length: number): number {
  let times = 1
  while (from + (times + 1) * length <= keys.length && sameAt(keys, from, from + times * length, length)) times++
  return times
}

function sameAt(keys: readonly string[], a: number, b: number, length: number): boolean {
  for (let i = 0; i < length; i++) if (keys[a + i] !== keys[b + i]) return false
  return true
}

/** The most frequent pattern from a place on: the one that reaches furthest, of two as far the shorter. */
function patternFrom(keys: readonly string[], from: number): { readonly length: number, readonly times: number } {
  let best = { length: 1, times: timesFrom(keys, from, 1) }
  for (let length = 2; length <= LONGEST; length++) {
    const times = timesFrom(keys, from, length)
    if (times > 1 && length * times > best.length * best.times) best = { length, times }
  }
  return best
}

/** One turn so many times over: a single stitch in each of so many places is one step. */
function overAgain(turn: readonly Step[], times: number): Step[] {
  const [only, ...more] = turn
  if (times === 1) return [...turn]
  if (more.length === 0 && only?.do === 'stitch' && only.aim === undefined) return [{ ...only, times: only.times * times }]
  return [repeat(times, ...turn)]
}

/** Turns worked one after the other in the fewest words: what comes over and over is a repeat, and so are runs alike. */
export function inTurns(turns: readonly (readonly Step[])[]): Step[] {
  const keys = turns.map(turn => JSON.stringify(turn))
  const steps: Step[] = []
  for (let from = 0; from < turns.length;) {
    const { length, times } = patternFrom(keys, from)
    const own = turns.slice(from, from + length)
    steps.push(...(length === 1 ? overAgain(own[0]!, times) : [repeat(times, ...inTurns(own))]))
    from += length * times
  }
  return steps
}

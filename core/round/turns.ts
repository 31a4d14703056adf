import { repeat, type Step } from './step'

/** The longest pattern that is looked for as a whole. */
const LONGEST = 12

/** Runs of one turn as repeats. */
function inRuns(turns: readonly (readonly Step[])[], keys: readonly string[]): Step[] {
  const steps: Step[] = []
  for (let from = 0, to = 0; from < turns.length; from = to) {
    while (to < turns.length && keys[to] === keys[from]) to++
    steps.push(...(to - from > 1 ? [repeat(to - from, ...turns[from]!)] : turns[from]!))
  }
  return steps
}

/** Turns worked one after the other in the fewest words: what comes over and over is a repeat, and so are runs alike. */
export function inTurns(turns: readonly (readonly Step[])[]): Step[] {
  const keys = turns.map(turn => JSON.stringify(turn))
  for (let length = 1; length <= Math.min(LONGEST, turns.length / 2); length++) {
    if (turns.length % length !== 0 || !keys.every((key, i) => key === keys[i % length])) continue
    return [repeat(turns.length / length, ...inRuns(turns.slice(0, length), keys))]
  }
  return inRuns(turns, keys)
}

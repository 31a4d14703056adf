import type { GroupStep, Step } from '../../things/round/step'

function peelGroup(group: GroupStep): Step[] {
  const [first, ...rest] = group.steps
  if (first?.do !== 'stitch') return [group]
  const left = first.times > 1 ? [{ ...first, times: first.times - 1 }, ...rest] : rest
  const { landmark: _, ...plain } = group
  return left.length === 0 ? [] : [{ ...plain, steps: left, aim: group.aim ?? 'same' }]
}

/**
 * Takes the first stitch off the steps of a round, for rounds whose starting chain is that stitch. What is left of an
 * increase goes in the same stitch; a repeat gives up its first turn.
 */
export function withoutFirstStitch(steps: readonly Step[], intoFoundation: boolean): Step[] {
  const [first, ...rest] = steps
  if (!first) return []
  switch (first.do) {
    case 'stitch':
      return first.times > 1 ? [{ ...first, times: first.times - 1 }, ...rest] : rest
    case 'group':
      return [...peelGroup(intoFoundation ? { ...first, aim: 'next' } : first), ...rest]
    case 'repeat': {
      const left: Step[] = first.times > 1 ? [{ ...first, times: first.times - 1 }] : []
      return [...withoutFirstStitch(first.steps, intoFoundation), ...left, ...rest]
    }
    default:
      return [...steps]
  }
}

import type { Draft } from '../../bag/draft/draft'
import { roundName, roundNames } from '../../bag/draft/roundName'
import type { PutRightIn } from '../../parts/part/correctedRound'
import type { FudgeKind } from '../../things/round/fudgeWays'
import { tape } from '../../things/stitch/translate'
import { saidLine } from '../../readers/words/lines'
import { capitalised } from '../../readers/words/numbers'
import type { Manner } from '../../readers/words/openingWords'
import type { CountDeed } from './event'

export function betweenWords(draft: Draft, last: CountDeed | undefined, round: number): string {
  const here = roundName(draft, round)
  if (!last) return `Nothing below was counted yet: the mistake may lie anywhere up to ${here}.`
  const was = capitalised(roundName(draft, last.round))
  const lies = `lies in ${last.round === round - 1 ? here : roundNames(draft, last.round + 1, round)}.`
  return last.found === last.planned
    ? `${was} was counted and right, so the mistake ${lies}`
    : `${was} was counted: ${last.found} of ${last.planned}, so the new mistake ${lies}`
}

export function lineIn(drafted: Draft, round: number, manner: Manner): string | undefined {
  const at = drafted.rounds[round - 1]
  const part = at && drafted.parts.find(({ id }) => id === at.part)
  if (!at || !part) return undefined
  const { words, count } = saidLine(drafted, part, at, manner)
  return `${words}. ${count}`
}

/** Parts change as good as alike if one changes by half of what the other does, each by its own width. */
const ALIKE = 0.5

/** How wide the parts come out: the one that changes most, and of several that change alike the longest, which shows it. */
export function widthWords(before: Draft, after: Draft): string {
  const changes = after.parts.flatMap(({ id, name, rounds, size: { circumference } }) => {
    const then = before.parts.find(part => part.id === id)
    if (!then) return []
    const by = circumference.cm - then.size.circumference.cm
    return [{ name, rounds: rounds.length, by: by / 2, share: Math.abs(by) / then.size.circumference.cm }]
  })
  const far = Math.max(...changes.map(({ share }) => share))
  const most = changes.filter(({ share }) => share >= ALIKE * far).reduce((a, b) => (b.rounds > a.rounds ? b : a))
  if (Math.abs(most.by) < 0.05) return 'no part becomes wider or narrower'
  return `the part "${most.name}" comes out ${tape(Math.abs(most.by))} ${most.by > 0 ? 'wider' : 'narrower'} lying flat`
}

const WHERE: Readonly<Record<PutRightIn['where'], readonly [once: string, more: string]>> = {
  seam: ['beside the seam', 'beside the seam and at the other side'], ends: ['at the floor\'s end', 'at the ends of the floor'],
  row: ['near the end of the row', 'near the ends of the row'],
}

const FUDGES: Readonly<Record<FudgeKind, (where: string) => string>> = {
  'increase': where => `two stitches in one place ${where}. It hardly shows`,
  'decrease': where => `two stitches together ${where}. It hardly shows`,
  'skip-less': where => `one stitch fewer skipped ${where}. One repeat is a little narrower, which hardly shows`,
  'skip-more': where => `one stitch more skipped ${where}. One repeat is a little wider, which hardly shows`,
  'same-place': where => `twice into one place ${where}. It shows as a small cluster, if at all`,
  'passed-over': where => `one place passed over ${where}. It shows as a small gap, if at all`,
}

/** How a count is put right in a round, and what shows of it (handbook 13; common practice, no source). */
export function putRightWords(after: Draft, round: number): string {
  const done = after.parts.flatMap(({ putRight = [] }) => putRight).find(one => one.round === round)
  if (!done) return ''
  if (done.how === 'spread') return 'evenly spread round it. It hardly shows'
  const { kind, places } = done.how
  return FUDGES[kind](WHERE[done.where][places > 1 ? 1 : 0])
}

/** Minutes in brackets, where there are any. */
export function minutesWords(minutes: number): string {
  return minutes < 1 ? '' : ` (about ${Math.round(minutes)} min)`
}

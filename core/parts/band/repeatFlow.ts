import { readLine } from '../../things/repeat/line'
import { type LineTrouble, openingOf, type Repeat } from '../../things/repeat/repeat'
import type { Flow, TextureRound } from '../texture/texture'

export function flowOf(repeat: Repeat): { readonly flow: Flow } | { readonly trouble: LineTrouble } {
  const setUp: TextureRound[] = []
  const cycle: TextureRound[] = []
  for (const [line, text] of repeat.lines.entries()) {
    const read = readLine(text, 'us')
    if (!read.ok) return { trouble: { line, at: read.at, length: read.length, what: read.what } }
    const { once, first, repeat: steps, last } = read.line
    ;(once ? setUp : cycle).push({ repeat: steps, ...(first.length > 0 ? { first } : {}), ...(last.length > 0 ? { last } : {}) })
  }
  if (cycle.length === 0)
    return {
      trouble: {
        line: Math.max(0, repeat.lines.length - 1), at: 0, length: 1,
        what: 'at least one line must be worked over and over: write one without "once:"',
      },
    }
  return { flow: { setUp, cycle } }
}

/** The line that the `i`-th round of a repeat was written in: set-up lines first, in their order. */
export function lineOf(repeat: Repeat, i: number): number {
  const lines = repeat.lines.map((text, line) => ({ line, once: openingOf(text).once }))
  const order = [...lines.filter(({ once }) => once), ...lines.filter(({ once }) => !once)]
  const setUps = lines.length - lines.filter(({ once }) => !once).length
  return (order[i] ?? order[setUps + ((i - setUps) % (lines.length - setUps))])!.line
}

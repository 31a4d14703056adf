import { type PatternLine, type SaidLine, isRow, whole } from './lines'

/** Whether two lines say the same of their rounds. */
function alike(a: PatternLine, b: PatternLine): boolean {
  return a.words === b.words && a.count === b.count && a.note === b.note && isRow(a) === isRow(b)
}

function rangeLabel(line: PatternLine, from: number, to: number): string {
  const unit = isRow(line) ? 'Row' : 'Round'
  return from === to ? `${unit} ${from}` : `${unit}s ${from}–${to}`
}

/** Rounds that read alike, one after the other, become one line; what happens once, after a round, ends it. */
function runs(lines: readonly SaidLine[]): SaidLine[] {
  const found: SaidLine[] = []
  for (const line of lines) {
    const last = found.at(-1)
    if (last && !last.after && alike(last, line))
      found[found.length - 1] = { ...line, from: last.from, label: rangeLabel(line, last.from, line.to) }
    else found.push(line)
  }
  return found
}

/** The longest block of lines that is looked for again. */
const LONGEST_BLOCK = 8

function sameSpan(a: SaidLine, b: SaidLine): boolean {
  return alike(a, b) && a.after === b.after && a.to - a.from === b.to - b.from
}

/** How often the block of `length` lines at `at` comes again right after itself. */
function timesAgain(lines: readonly SaidLine[], at: number, length: number): number {
  let times = 0
  for (let next = at + length; next + length <= lines.length; next += length) {
    for (let i = 0; i < length; i++) if (!sameSpan(lines[at + i]!, lines[next + i]!)) return times
    times++
  }
  return times
}

/** Lines that come again as a block are written once: `Rep Rounds 4–9, 3 more times`. */
export function gathered(said: readonly SaidLine[]): PatternLine[] {
  const lines = runs(said)
  const found: PatternLine[] = []
  for (let at = 0; at < lines.length;) {
    let best = { length: 1, times: 0 }
    for (let length = 2; length <= LONGEST_BLOCK; length++) {
      const times = timesAgain(lines, at, length)
      if (times * length > best.times * best.length) best = { length, times }
    }
    const block = lines.slice(at, at + best.length)
    found.push(...block.map(whole))
    if (best.times > 0) found.push(againLine(lines, at, best.length, best.times))
    at += best.length * (best.times + 1)
  }
  return found
}

function againLine(lines: readonly SaidLine[], at: number, length: number, times: number): PatternLine {
  const [first, last] = [lines[at]!, lines[at + length - 1]!]
  const [from, to] = [lines[at + length]!.from, lines[at + length * (times + 1) - 1]!.to]
  const { count, stitches, spaces, chains } = last
  const rounds = `${isRow(first) ? 'Rows' : 'Rounds'} ${first.from}–${last.to}`
  return {
    from, to, label: rangeLabel(first, from, to), words: `Rep ${rounds}${times === 1 ? ' once more' : `, ${times} more times`}`, count,
    stitches, spaces, chains, cards: [], again: { from: first.from, to: last.to, times },
  }
}

import { lineWords, readLine } from '~~/core/things/repeat/line'
import type { LineTrouble } from '~~/core/things/repeat/repeat'
import { foundation } from '~~/core/things/round/edge'
import type { Step } from '~~/core/things/round/step'
import type { Terms } from '~~/core/things/stitch/dictionary'
import { stepsWords } from '~~/core/readers/words/stepWords'

/** Lines of a repeat as the document keeps them, or the first one that cannot be read. */
type Lines = { readonly ok: true, readonly lines: readonly string[] } | { readonly ok: false, readonly trouble: LineTrouble }

/** An edge that no repeat covers from end to end, so that the words always say how many. */
const LONG = foundation('stitch', 20_000)

function written(steps: readonly Step[], terms: Terms): string {
  return stepsWords(steps, { terms, on: LONG, start: { kind: 'ring', chains: 0 } })
}

/** Typed lines, a round each in the maker's vocabulary, as the document's lines. Empty lines at the end are none. */
export function linesIn(text: string, terms: Terms): Lines {
  const typed = text.replace(/\s+$/, '').split('\n')
  const lines: string[] = []
  for (const [line, one] of typed.entries()) {
    const read = readLine(one, terms)
    if (!read.ok) return { ok: false, trouble: { line, at: read.at, length: read.length, what: read.what } }
    lines.push(lineWords(read, steps => written(steps, 'us')))
  }
  return { ok: true, lines }
}

/** The document's lines as a maker reads them in their vocabulary; one that cannot be read stays as it is. */
export function typedIn(lines: readonly string[], terms: Terms): string {
  return lines.map((line) => {
    const read = readLine(line, 'us')
    return read.ok ? lineWords(read, steps => written(steps, terms)) : line
  }).join('\n')
}

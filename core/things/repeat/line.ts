import type { Step } from '../round/step'
import type { Terms } from '../stitch/dictionary'
import { type StepsReading, readSteps } from './read'
import { openingOf } from './repeat'

/*
 * A line of a maker's own: the repeat alone, or with what comes before the first and after the last of them, as patterns write it:
 *
 *     sc in next st, *dc in next st, ch 1, sk next st; rep from * around, sc in next 2 sts
 */

/** A line read: what opens the round, what is repeated, what closes it; whether it is worked the first time only. */
interface OwnLine {
  readonly once: boolean
  readonly first: readonly Step[]
  readonly repeat: readonly Step[]
  readonly last: readonly Step[]
}

/** A line read, and whether it says itself that its repeat goes around; or what in it could not be. */
type LineRead
  = | { readonly ok: true, readonly line: OwnLine, readonly around: boolean }
    | Extract<StepsReading, { readonly ok: false }>

const FIRST = '(?:(?<first>[^*]*?)[,;]\\s*)?'
const REPEAT = '\\*(?<repeat>[^*]*?)[,;]\\s*rep(?:eat)? from \\* (?:around|across)'
const LAST = '(?:[,;]\\s*(?<last>[^*]*?))?'
const AROUND = new RegExp(`^${FIRST}${REPEAT}${LAST}\\.?\\s*$`, 'i')

/** Reads a line in a vocabulary. */
export function readLine(text: string, terms: Terms): LineRead {
  const { once, from } = openingOf(text)
  const found = AROUND.exec(text.slice(from))
  if (!found) {
    const read = readSteps(text.slice(from), terms)
    return read.ok ? { ok: true, around: false, line: { once, first: [], repeat: read.steps, last: [] } } : { ...read, at: from + read.at }
  }
  const parts: Step[][] = []
  for (const name of ['first', 'repeat', 'last'] as const) {
    const part = found.groups![name]
    const read: StepsReading = part ? readSteps(part, terms) : { ok: true, steps: [] }
    if (!read.ok) return { ...read, at: text.indexOf(part!, from) + read.at }
    parts.push(read.steps)
  }
  const [first, repeat, last] = parts as [Step[], Step[], Step[]]
  return { ok: true, around: true, line: { once, first, repeat, last } }
}

/** A line as it is written; `say` puts steps into words. */
export function lineWords(
  { line: { once, first, repeat, last }, around }: Pick<Extract<LineRead, { readonly ok: true }>, 'line' | 'around'>,
  say: (steps: readonly Step[]) => string,
): string {
  const opened = once ? 'once: ' : ''
  if (!around) return opened + say(repeat)
  const before = first.length > 0 ? `${say(first)}, ` : ''
  const after = last.length > 0 ? `, ${say(last)}` : ''
  return `${opened}${before}*${say(repeat)}; rep from * around${after}`
}

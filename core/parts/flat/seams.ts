import type { CardId } from '../../things/entry/cards'
import { choice } from '../field/questions'
import type { Gauge } from '../../things/gauge/gauge'
import { many } from '../../things/stitch/translate'

/*
 * How flat pieces are joined: edge to edge, or row end to row end, told stitch by stitch.
 */

/** Ways to close a seam. A further one is a further row. */
const SEAMS = [
  { value: 'whip', name: 'whip stitch', does: 'Over the edge, there and back.', card: 'whipSeam', by: 'sew' },
  { value: 'mattress', name: 'mattress stitch', does: 'Edge to edge: the seam vanishes.', card: 'mattressSeam', by: 'sew' },
  { value: 'slip', name: '{slst} through both', does: 'Flat and fast.', card: 'slipSeam', by: 'work {slst} through both layers,' },
  { value: 'sc', name: '{sc} through both', does: 'Tight, between tall stitches, so that no holes show.', card: 'bothLayers',
    by: 'work {sc} through both layers,' },
] as const satisfies readonly { value: string, name: string, does: string, card: CardId, by: string }[]

type Seam = (typeof SEAMS)[number]['value']

/** Asks how seams are closed. */
export function seamChoice(label: string) {
  return choice(label, SEAMS, { begins: 'whip' })
}

/** How a seam is worked, in words, and the entry that explains it. */
export function seamOf(seam: Seam): { readonly by: string, readonly card: CardId } {
  return SEAMS.find(({ value }) => value === seam)!
}

/** Said of every seam along row ends. */
export const TIGHT = 'Go between the stitches, never around them, and pull each one tight.'

/**
 * Stitches of a seam, or of an edging, that go into a row's end: one into a short row, three or four into a tall one (craft 5; common
 * practice, no source): as many as are as long as it is tall.
 */
export function intoRowEnd(rowEndCm: number, gauge: Gauge): number {
  return Math.max(1, Math.round(rowEndCm / gauge.sc.width.cm))
}

/** The shortest part of a list that repeats, at least twice, to make the whole; the last time it may break off. */
function period(list: readonly number[]): number | undefined {
  for (let length = 2; length <= Math.min(8, list.length / 2); length++)
    if (list.every((value, i) => value === list[i % length])) return length
  return undefined
}

/** Stitches into row ends, one by one: `1, 1, 1, 3 into the row ends of each 4 rows, over and over up all 28, 42 sts in all`. */
export function rowEndWords(into: readonly number[]): string {
  const all = `${many(into.reduce((sum, n) => sum + n, 0), 'st')} in all`
  if (into.every(n => n === into[0])) return `${into[0]} into each of the ${many(into.length, 'row end')}, ${all}`
  const length = period(into)
  if (length)
    return `${into.slice(0, length).join(', ')} into the row ends of each ${length} rows, over and over up all ${into.length}, ${all}`
  const runs: string[] = []
  for (let from = 0, to = 0; from < into.length; from = to) {
    while (to < into.length && into[to] === into[from]) to++
    runs.push(`${into[from]} into ${to - from === 1 ? 'the next row end' : `each of the next ${to - from} row ends`}`)
  }
  return `${runs.join(', ')}, ${all}`
}

import type { FabricKind } from '../stitch/dictionary'
import { changeEvenly, mostChange } from './changes'
import { each, inOne, repeat, type Step, together } from './step'

/** The steps for a list of multiples alike from end to end: `[1, 1, 1]` is a stitch in each of the next three. */
function runOf(multiple: number, count: number, kind: FabricKind): Step[] {
  if (multiple === 1) return [each(kind, count)]
  return [repeat(count, inOne(kind, multiple))]
}

function inRuns(multiples: readonly number[], kind: FabricKind): Step[] {
  const steps: Step[] = []
  for (let from = 0, to = 0; from < multiples.length; from = to) {
    while (to < multiples.length && multiples[to] === multiples[from]) to++
    steps.push(...runOf(multiples[from]!, to - from, kind))
  }
  return steps
}

/** The shortest part of a list that repeats to make the whole. */
function period(list: readonly number[]): number {
  for (let length = 1; length <= list.length / 2; length++) {
    if (list.length % length === 0 && list.every((value, i) => value === list[i % length])) return length
  }
  return list.length
}

/**
 * Steps that put `multiples[i]` stitches into the `i`-th of the next places, in the fewest words: a list that repeats
 * becomes a repeat, runs alike become one step.
 *
 * @param multiples stitches a place, each at least 1
 */
export function inMultiples(multiples: readonly number[], kind: FabricKind): Step[] {
  const length = period(multiples)
  const one = inRuns(multiples.slice(0, length), kind)
  const times = multiples.length / length
  return times === 1 || length === 1 ? inRuns(multiples, kind) : [repeat(times, ...one)]
}

/**
 * Steps that spread `stitches` stitches over `places` places as evenly as integers allow: doubled where there are more
 * stitches than places, drawn together where there are fewer.
 */
export function spreadOver(places: number, stitches: number, kind: FabricKind): Step[] {
  if (stitches >= places) {
    return inMultiples(
      Array.from({ length: places }, (_, i) => Math.floor(((i + 1) * stitches) / places) - Math.floor((i * stitches) / places)),
      kind,
    )
  }
  const fewer = stitches - places
  // Up to half as many are plain stitches and pairs drawn together; fewer still are all drawn together, over more.
  if (-fewer <= mostChange(places, fewer)) return changeEvenly(places, fewer, kind)
  const widths = Array.from({ length: stitches }, (_, i) => Math.floor(((i + 1) * places) / stitches) - Math.floor((i * places) / stitches))
  const length = period(widths)
  return [repeat(stitches / length, ...widths.slice(0, length).map(width => together(kind, width)))]
}

import type { Gauge, StitchSize } from '../../things/gauge/gauge'
import { lengthForDrop } from './drop'
import type { Size } from '../part/part'
import type { Start } from '../part/start'
import { type Edge, foundation } from '../../things/round/edge'
import { at, each, type Step, together, inOne } from '../../things/round/step'
import { startingChains } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import type { WorkedRound } from '../../things/round/workedRound'

/** Stitches that handles, straps and tabs can be worked in. */
export const STRIP_STITCHES = ['sc', 'hdc', 'dc'] as const
export type StripStitch = (typeof STRIP_STITCHES)[number]

/** How a strip is worked: in short rows across it; in long rows along it, into the chain or into the bumps on its back. */
export type StripWay = 'across' | 'along' | 'bumps'

/** How long a strap is: long enough to drop so far, or so many rows (worked across) or chains (along). */
export type StrapLength = Size<{ readonly dropCm: number } | { readonly totalCm: number }, { readonly count: number }>

/** Whether a strip's rows run across it, in one stitch or in bands: it is then counted in stitches across and rows along. */
export function runsAcross(spec: object): boolean {
  return 'worked' in spec && (spec.worked === 'across' || spec.worked === 'bands')
}

/** A strip of fabric worked in rows, on its own. */
export interface Strip {
  readonly start: Start
  readonly rows: readonly WorkedRound[]
  readonly lengthCm: number
  readonly widthCm: number
}

/** Works rows one onto the other; steps that do not come out are this program's mistake. */
export function rowsOf(on: Edge, stitch: StripStitch, colour: string, rows: readonly (readonly Step[])[]): WorkedRound[] {
  const worked: WorkedRound[] = []
  for (const [i, steps] of rows.entries()) {
    const result = work(
      {
        steps, begin: { chains: startingChains(stitch, false), counts: false, turn: i > 0 }, join: 'open',
        facing: i % 2 === 0 ? 'right' : 'wrong', colour,
      },
      worked.at(-1)?.edge ?? on,
    )
    if (!result.ok) throw new Error(`a strip's row ${i + 1} does not come out: ${result.error.code}`)
    worked.push(result.worked)
  }
  return worked
}

/** A chain to work the first row into, its turning chain included. */
export function chainStart(chains: number, stitch: StripStitch): Start {
  const turning = startingChains(stitch, false)
  return { kind: 'foundation-chain', chains: chains + turning, firstInto: turning + 1 }
}

/** A strip of so many stitches across, in so many rows. */
function stripAcross(stitch: StripStitch, wide: number, rows: number, colour: string, gauge: Gauge): Strip {
  return {
    start: chainStart(wide, stitch), lengthCm: rows * gauge[stitch].height.cm, widthCm: wide * gauge[stitch].width.cm,
    rows: rowsOf(
      foundation('chain', wide, false),
      stitch,
      colour,
      Array.from({ length: rows }, (_, i) => [i === 0 ? at('chains', each(stitch, wide)) : each(stitch, wide)]),
    ),
  }
}

/** A strip of so many long rows over a chain. */
export function stripAlong(stitch: StripStitch, chains: number, rows: number, bumps: boolean, colour: string, gauge: Gauge): Strip {
  return {
    start: chainStart(chains, stitch), lengthCm: chains * gauge[stitch].width.cm, widthCm: rows * gauge[stitch].height.cm,
    rows: rowsOf(
      foundation('chain', chains, false),
      stitch,
      colour,
      Array.from({ length: rows }, (_, i) => [
        i === 0 ? at('chains', each(stitch, chains, bumps ? 'bump' : undefined)) : each(stitch, chains),
      ]),
    ),
  }
}

/** A strip in any of the ways, so wide and as near to so long as whole rows or chains allow. */
export function strip(way: StripWay, stitch: StripStitch, wide: number, count: number, colour: string, gauge: Gauge): Strip {
  return way === 'across'
    ? stripAcross(stitch, wide, count, colour, gauge)
    : stripAlong(stitch, count, wide, way === 'bumps', colour, gauge)
}

/** How much longer a strap gets by one row, or one chain. */
export function growthCm(way: StripWay, { width, height }: StitchSize): number {
  return way === 'across' ? height.cm : width.cm
}

/** The width of a strip of so many stitches or rows side by side. */
export function stripWidthCm(way: StripWay, { width, height }: StitchSize, wide: number): number {
  return wide * (way === 'across' ? width.cm : height.cm)
}

/** A strap's free part: its rows or chains, and its length. */
export interface Free {
  readonly count: number
  readonly lengthCm: number
}

/** The free part of a strap that is to drop so far, or to be so long in all. */
export function freeCm(want: Extract<StrapLength, { readonly want: unknown }>['want'], gapCm: number, onBagCm: number): number {
  return 'totalCm' in want ? want.totalCm - onBagCm : lengthForDrop(want.dropCm, gapCm)
}

/**
 * How long a strap's free part is between feet so far apart, in whole rows or chains.
 *
 * @param onBagCm how much of it lies on the bag, both its ends together
 * @param edgingCm how much longer an edging makes it
 */
export function freePart(length: StrapLength, stepCm: number, gapCm: number, onBagCm = 0, edgingCm = 0): Free {
  const count
    = 'pin' in length ? length.pin.count : Math.max(1, Math.round((freeCm(length.want, gapCm, onBagCm) - edgingCm) / stepCm))
  return { count, lengthCm: count * stepCm + edgingCm }
}

/** Two stitches fewer: the first two and the last two of a row drawn together; or one fewer. */
function narrowing(stitch: StripStitch, from: number, to: number): Step[] {
  if (from - to === 1) return [...(from > 2 ? [each(stitch, from - 2)] : []), together(stitch)]
  return [together(stitch), ...(from > 4 ? [each(stitch, from - 4)] : []), together(stitch)]
}

/** Two stitches more: two in the first and in the last of a row; or one more. */
function widening(stitch: StripStitch, from: number, to: number): Step[] {
  if (to - from === 1) return [...(from > 1 ? [each(stitch, from - 1)] : []), inOne(stitch, 2)]
  return [inOne(stitch, 2), ...(from > 2 ? [each(stitch, from - 2)] : []), inOne(stitch, 2)]
}

/** Stitches row by row from a foot to a strap's width, a stitch fewer at either end of each row; nothing if they are the same. */
function slope(foot: number, wide: number): number[] {
  const counts: number[] = []
  for (let now = foot; now > wide;) counts.push((now = Math.max(wide, now - 2)))
  return counts
}

/** The fewest rows of a strap between feet wider than itself: down, one plain, up again. */
export function leastRows(foot: number, wide: number): number {
  return 2 * slope(foot, wide).length + 1
}

/**
 * A strap grown from a foot on the rim: decreases to its width, rows, increases to the foot again (craft 10).
 *
 * @param foot stitches of each foot, at least the strap's width, which is at least 2 if they differ
 * @param rows in all, at least `leastRows`
 */
export function stripFromRim(stitch: StripStitch, foot: number, wide: number, rows: number, colour: string, gauge: Gauge): Strip {
  const down = slope(foot, wide)
  const counts = [foot, ...down]
  const plain = rows - 2 * down.length
  const steps = [
    ...down.map((to, i) => narrowing(stitch, counts[i]!, to)), ...Array.from({ length: plain }, () => [each(stitch, wide)]),
    ...[...counts.slice(0, -1)].reverse().map((to, i) => widening(stitch, [...counts].reverse()[i]!, to)),
  ]
  return {
    start: { kind: 'chain', chains: 0 }, rows: rowsOf(foundation('stitch', foot, false), stitch, colour, steps),
    lengthCm: rows * gauge[stitch].height.cm, widthCm: wide * gauge[stitch].width.cm,
  }
}

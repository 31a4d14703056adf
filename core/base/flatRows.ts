import type { Gauge } from '../gauge/gauge'
import { each, repeat, type Step } from '../round/step'
import type { FabricKind } from '../stitch/dictionary'

/*
 * Rows of a flat piece (craft 5, flat and folded).
 */

/** A row of a flat piece: its steps for so many repeats, and the stitch that it begins and ends with. */
export interface FlatRow {
  /** @param stitches in all, where that is not repeats times a repeat and one more */
  readonly steps: (repeats: number, stitches?: number) => Step[]
  readonly first: FabricKind
}

/** A stitch in every stitch. */
export function plainRow(stitch: FabricKind): FlatRow {
  return { first: stitch, steps: (repeats, stitches = repeats) => [each(stitch, stitches)] }
}

/** Stitches of a wave, besides the one more at a row's end. */
export const WAVE = 6

/** A wave from one stitch up or down to another and back, over and over, with its first once more at the end: the same both ways. */
function waveRow(first: FabricKind, next: FabricKind, beyond: FabricKind, middle: FabricKind): FlatRow {
  const wave = [first, next, beyond, middle, beyond, next].map(kind => each(kind, 1))
  return { first, steps: repeats => [repeats > 1 ? repeat(repeats, ...wave) : wave, each(first, 1)].flat() }
}

/**
 * Two plain rows to change colour on, a row of stitches that grow and fall, and its mirror, which fills its valleys: over each place
 * a short one stands on a tall one.
 */
export function waveRows(stitch: FabricKind): readonly FlatRow[] {
  return [plainRow(stitch), plainRow(stitch), waveRow('sc', 'hdc', 'dc', 'tr'), waveRow('tr', 'dc', 'hdc', 'sc')]
}

/**
 * Stitches of a seam that go into a row's end: one into a short row, three or four into a tall one (craft 5; common practice, no source):
 * as many as are as long as it is tall.
 */
export function inRowEnd({ first }: FlatRow, gauge: Gauge): number {
  return Math.max(1, Math.round(gauge[first].height.cm / gauge.sc.width.cm))
}

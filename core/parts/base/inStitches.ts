import type { Gauge, StitchSize } from '../../things/gauge/gauge'
import { type Length, times } from '../../things/measure/length'
import { between, count, list, optional, stitch } from '../field/questions'
import type { Fields } from '../field/field'
import { BASE_STITCHES, type BaseStitch } from './form'

/*
 * Rounds of different stitches in one base
 * ========================================
 *
 * A floor is begun in one stitch and goes on in another: a few rounds of {dc} that soon reach far, then {sc} for a firm edge. What is
 * said of its first rounds or rows holds for them; all that follow are in the base's own stitch.
 */

/** So many rounds, or rows, in a stitch. */
export interface InStitch {
  readonly stitch: BaseStitch
  readonly rounds: number
}

/** A base whose first rounds may be in other stitches than its own. */
export interface InStitches {
  readonly stitch: BaseStitch
  readonly firstStitches?: readonly InStitch[]
}

const MOST_IN_STITCHES = 24

/**
 * Asks for first rounds, or rows, in other stitches than the base's own.
 *
 * @param more what else is asked of them
 */
export function firstStitches<const F extends Fields>(label: string, called: 'rounds' | 'rows', more: F) {
  const of = {
    stitch: stitch(BASE_STITCHES, { begins: 'dc' }),
    rounds: count(called === 'rows' ? 'Rows' : 'Rounds', between(1, 200), { begins: 1, beside: true, usually: between(1, 8) }), ...more,
  } as const
  return optional(list(label, of, {
    one: `${called} in another stitch`, all: `${called} in other stitches`, least: 1, most: MOST_IN_STITCHES,
    says: `The first ${called}, where they are in other stitches: so many of the one, so many of the next; all that follow are in the `
      + 'base\'s own stitch.',
  }))
}

/** Notes on the `r`-th round, counted from 1, if it is one of the first that are in other stitches. */
export function saidOf<S extends InStitch>(first: readonly S[] | undefined, r: number): S | undefined {
  let upTo = 0
  return first?.find(({ rounds }) => (upTo += rounds) >= r)
}

/** The stitch of the `r`-th round, or row, counted from 1. */
export function stitchOfRound({ stitch, firstStitches }: InStitches, r: number): BaseStitch {
  return saidOf(firstStitches, r)?.stitch ?? stitch
}

/** Every stitch that a base may be worked in. */
export function stitchesOf({ stitch, firstStitches = [] }: InStitches): readonly BaseStitch[] {
  return [...new Set([...firstStitches.map(one => one.stitch), stitch])]
}

/** How far so many rounds reach, one upon the other. */
export function reachCm(base: InStitches, rounds: number, gauge: Gauge): number {
  if (!base.firstStitches) return rounds * gauge[base.stitch].height.cm
  let cm = 0
  for (let r = 1; r <= rounds; r++) cm += gauge[stitchOfRound(base, r)].height.cm
  return cm
}

/** The number of rounds that reaches nearest to so far, at least one. */
export function roundsReaching(cm: number, base: InStitches, gauge: Gauge): number {
  const first = (base.firstStitches ?? []).reduce((sum, { rounds }) => sum + rounds, 0)
  const leftCm = cm - reachCm(base, first, gauge)
  if (leftCm >= 0) return Math.max(1, first + Math.round(leftCm / gauge[base.stitch].height.cm))
  const missCm = (rounds: number) => Math.abs(reachCm(base, rounds, gauge) - cm)
  let rounds = 1
  while (missCm(rounds + 1) < missCm(rounds)) rounds++
  return rounds
}

/** The mean stitch of so many rounds: as tall, and as wide, as they are on the average, and in no more doubt. */
export function meanStitch(base: InStitches, rounds: number, gauge: Gauge): StitchSize {
  const own = gauge[base.stitch]
  if (!base.firstStitches || rounds < 1) return own
  const sizes = Array.from({ length: rounds }, (_, i) => gauge[stitchOfRound(base, i + 1)])
  const mean = (side: 'width' | 'height'): Length => times(
    sizes.reduce((sum, { [side]: { cm, plusMinusCm } }) => ({ cm: sum.cm + cm, plusMinusCm: sum.plusMinusCm + plusMinusCm }),
      { cm: 0, plusMinusCm: 0 }),
    1 / rounds,
  )
  return { ...own, width: mean('width'), height: mean('height') }
}

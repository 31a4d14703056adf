import type { Gauge, StitchSize } from '../../things/gauge/gauge'
import type { Setting } from '../part/part'
import type { Start } from '../part/start'
import { type Edge, foundationOf } from '../../things/round/edge'
import { inMultiples, spreadOver } from '../../things/round/multiples'
import type { Round } from '../../things/round/round'
import { allAt, at, each, inOne, skip, type Step } from '../../things/round/step'
import { chainCounts, startingChains } from '../../things/round/style'
import type { FabricKind } from '../../things/stitch/dictionary'
import { stitchOfRound } from './inStitches'
import type { RectangleSpec } from './rectangleFields'

/** Sides of the rows in the order that the round about them meets them, from the last row on. */
const SIDES_IN_ORDER = ['last-row', 'row-ends', 'underside', 'far-ends'] as const

/** Counts of a rectangle: stitches a row, rows. */
export interface RectangleCounts {
  readonly stitches: number
  readonly rows: number
}

/**
 * A row, to and fro: the next one turns. The last of `of` rows has the wrong side facing, so that what follows it, turned, has the right
 * side.
 */
function row(setting: Setting, index: number, of: number, kind: FabricKind, colour: string, steps: readonly Step[]): Round {
  const counts = chainCounts(setting.rounds, kind)
  return {
    steps, colour, join: 'open', facing: (of - index) % 2 === 1 ? 'wrong' : 'right',
    begin: { chains: startingChains(kind, counts, setting.rounds.startingChains), counts, turn: index > 0 },
  }
}

/** The chains of a foundation for rows: one a stitch and the turning chain. */
export function rowStart(stitches: number, stitch: StitchSize, turning: number): Start {
  return {
    kind: 'foundation-chain', chains: stitches + turning, firstInto: turning + 1, beforeCm: stitches * stitch.width.cm * (1 + 1 / 26),
  }
}

/** Stitches into the end of every row, from the first one up: as many as are as long as it is tall, or one. */
function intoRowEnds(spec: RectangleSpec, rows: number, gauge: Gauge): number[] {
  return Array.from({ length: rows }, (_, i) => spec.rowEnds === 'one-each'
    ? 1
    : Math.max(1, Math.round(gauge[stitchOfRound(spec, i + 1)].height.cm / gauge[spec.stitch].width.cm)))
}

/** Stitches along one side of row ends. */
export function alongRowEnds(spec: RectangleSpec, rows: number, gauge: Gauge): number {
  if (spec.firstStitches) return intoRowEnds(spec, rows, gauge).reduce((sum, n) => sum + n, 0)
  const { width, height } = gauge[spec.stitch]
  return spec.rowEnds === 'one-each' ? rows : Math.max(1, Math.round((rows * height.cm) / width.cm))
}

/** Stitches all the way round the edge that counts come to. */
export function rectangleEdge(spec: RectangleSpec, { stitches, rows }: RectangleCounts, gauge: Gauge): number {
  return 2 * (stitches + alongRowEnds(spec, rows, gauge)) + (spec.corners === 'one-extra' ? 4 : 0)
}

/** One stretch of the pick-up round; with an extra stitch in its last place if corners ask for it. */
function stretch(spec: RectangleSpec, places: number, stitches: number, landmark?: 'rowEnds' | 'underside'): Step[] {
  const named = (steps: readonly Step[]) => (landmark ? allAt(landmark, steps) : [...steps])
  if (spec.corners === 'none') return named(spreadOver(places, stitches, spec.stitch))
  const [plain, corner] = places > 1 && stitches > 1 ? [spreadOver(places - 1, stitches - 1, spec.stitch), 2] : [[], stitches + 1]
  return named([...plain, ...(places > 1 && stitches === 1 ? [skip(places - 1)] : []), inOne(spec.stitch, corner)])
}

/** Row ends of different heights, each with as many as it takes; one more in the last if corners ask for it. */
function intoEach(spec: RectangleSpec, into: readonly number[]): Step[] {
  const corner = spec.corners === 'none' ? 0 : 1
  return allAt('rowEnds', inMultiples(into.map((n, i) => (i === into.length - 1 ? n + corner : n)), spec.stitch))
}

/** The round about the rows: across the last one, down the row ends, along the chain's underside, up the other ends. */
export function pickUp(spec: RectangleSpec, { stitches, rows }: RectangleCounts, gauge: Gauge): { steps: Step[], on: Edge } {
  const upward = intoRowEnds(spec, rows, gauge)
  const ends = (into: readonly number[]) => ({
    steps: spec.firstStitches ? intoEach(spec, into) : stretch(spec, rows, alongRowEnds(spec, rows, gauge), 'rowEnds'),
    run: { kind: 'rowEnd', count: rows } as const,
  })
  const sides = [
    { steps: stretch(spec, stitches, stitches), run: { kind: 'stitch', count: stitches } as const }, ends([...upward].reverse()),
    { steps: stretch(spec, stitches, stitches, 'underside'), run: { kind: 'underside', count: stitches } as const }, ends(upward),
  ]
  const from = firstOf(spec)
  const order = [...sides.slice(from), ...sides.slice(0, from)]
  return { steps: order.flatMap(side => side.steps), on: foundationOf(order.map(({ run }) => run)) }
}

/** Which of the sides the round about the rows begins along, from the last row on. */
export function firstOf({ firstSide = 'last-row' }: RectangleSpec): number {
  return SIDES_IN_ORDER.indexOf(firstSide)
}

/** The `i`-th row, on the chain or on the row below. */
export function rowIn(spec: RectangleSpec, setting: Setting, i: number, { rows, stitches }: RectangleCounts): Round {
  const stitch = stitchOfRound(spec, i + 1)
  return row(setting, i, rows, stitch, spec.colour, [i === 0 ? at('chains', each(stitch, stitches)) : each(stitch, stitches)])
}

import type { Gauge, StitchSize } from '../../things/gauge/gauge'
import { perStitch } from '../../things/gauge/refine'
import { times } from '../../things/measure/length'
import type { Floor } from '../part/floor'
import type { LayOut, Spot } from '../part/layOut'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped, workUp } from '../part/part'
import { foundation, withSides } from '../../things/round/edge'
import { inStyle } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import type { WorkedRound } from '../../things/round/workedRound'
import { type BaseChoice, countsWithin, offBy, roundsWithin } from './baseChoice'
import { form, sizesLike } from './form'
import { type InStitches, meanStitch, reachCm, roundsReaching } from './inStitches'
import { type FloorWanted, floorWanted, isWithin, longOff } from './lyingFlat'
import { type RectangleSpec, fields } from './rectangleFields'
import { type RectangleCounts, alongRowEnds, firstOf, pickUp, rectangleEdge, rowIn, rowStart } from './rectangleRounds'

/** The counts nearest to a wanted rectangle: length and width each on their own, nothing ties them. */
export function countsForRectangle(
  want: { readonly lengthCm: number, readonly widthCm: number },
  spec: InStitches,
  gauge: Gauge,
): RectangleCounts {
  const rows = roundsReaching(want.widthCm, spec, gauge)
  return { stitches: Math.max(2, Math.round(want.lengthCm / meanStitch(spec, rows, gauge).width.cm)), rows }
}

/** The counts of a wanted rectangle; as many stitches a row as bring the edge nearest to a width lying flat, where that is asked. */
function countsWanted(spec: RectangleSpec, wanted: FloorWanted, gauge: Gauge): RectangleCounts {
  const { stitches, rows } = countsForRectangle(floorWanted('rectangle', wanted), spec, gauge)
  if ('lengthCm' in wanted) return { stitches, rows }
  const edge = 2 * (wanted.flatWidthCm / gauge[spec.stitch].width.cm)
  return { stitches: Math.max(2, Math.round((edge - rectangleEdge(spec, { stitches: 0, rows }, gauge)) / 2)), rows }
}

/** The floor that counts come to, of stitches as large as their mean. */
function rectangleFloor(counts: RectangleCounts, stitch: StitchSize): Floor {
  return { shape: 'rectangle', length: times(stitch.width, counts.stitches), width: times(stitch.height, counts.rows) }
}

/** Works a rectangular floor and the round that turns its four sides into one edge. */
function workRectangle(spec: RectangleSpec, setting: Setting): PartResult {
  const { gauge } = setting
  const counts = 'pin' in spec.size ? spec.size.pin : countsWanted(spec, spec.size.want, gauge)
  const stitch = meanStitch(spec, counts.rows, gauge)
  const perSide = alongRowEnds(spec, counts.rows, gauge)
  const extra = spec.corners === 'one-extra' ? 1 : 0
  const [long, short] = [counts.stitches + extra, perSide + extra]
  const size = {
    height: times(stitch.height, 0), circumference: times(gauge[spec.stitch].width, 2 * (long + short)),
    floor: rectangleFloor(counts, stitch),
  }
  const chain = foundation('chain', counts.stitches, false)
  if (counts.rows > MOST_ROUNDS || counts.rows * counts.stitches > MOST_STITCHES) {
    return stopped(chain, size, {
      code: 'base-too-big', weight: 'stop',
      what: `This base would take ${counts.rows} rows of ${counts.stitches} stitches. Ask for a smaller base, or check the swatch.`,
    })
  }
  const { rounds: rows, stop } = workUp(chain, counts.rows, setting, i =>
    rowIn(spec, setting, i, counts),
  )
  const { steps, on } = pickUp(spec, counts, gauge)
  const about = work(
    inStyle(
      { turns: 0, rounds: { ...setting.rounds, style: setting.rounds.style === 'turned' ? 'joined' : setting.rounds.style } },
      0,
      spec.stitch,
      spec.colour,
      steps,
    ),
    on,
  )
  const rounds = about.ok ? [...rows, about.worked] : rows
  const { begin } = rows[0]!.round
  const all = 2 * (long + short)
  // Stitches of the round that come before its first side, were it to begin along the last row.
  const ahead = [0, long, long + short, 2 * long + short][firstOf(spec)]!
  const folds = foldsAt(long, short, size.floor).map(side => side - ahead) as [number, number]
  return {
    rounds, edge: about.ok ? withSides(about.worked.edge, folds) : chain, size, findings: stop ? [stop] : [],
    start: rowStart(counts.stitches, stitch, begin.chains), layOut: rectangleLayOut(spec, counts, gauge, rounds, [long, short], ahead),
    markers: rounds.map((_, i) => (i < counts.rows ? [] : cornersFrom([0, long, long + short, 2 * long + short], ahead, all))),
    advice: [
      `After the last row turn${ahead > 0 ? `, go on with {slst} to ${SIDE_WORDS[firstOf(spec)]!}` : ''}, and work one round about all `
      + 'four sides; put a marker in each corner. '
      + (spec.corners === 'none'
        ? 'Without extra corner stitches the edge turns up at once, into box corners.'
        : 'One more stitch at each corner keeps the floor flat to its edge.'),
    ],
  }
}

const SIDE_WORDS = ['the last row', 'the row ends', 'the underside of the first row', 'the row ends on the other side'] as const

/** Corners as the round meets them, by stitches from its own start. */
function cornersFrom(corners: readonly number[], ahead: number, all: number): number[] {
  return corners.map(corner => (corner - ahead + all) % all).sort((a, b) => a - b)
}

/** A bag on a rectangle folds at the middles of its short sides, whichever those are. */
function foldsAt(alongRows: number, alongEnds: number, { length, width }: Floor): readonly [number, number] {
  return length.cm >= width.cm ? [alongRows + alongEnds / 2, 2 * alongRows + 1.5 * alongEnds] : [alongRows / 2, 1.5 * alongRows + alongEnds]
}

/** Where the stitches lie: rows from below upwards, then the round about them, from the corner above right. */
function rectangleLayOut(
  spec: RectangleSpec,
  counts: RectangleCounts,
  gauge: Gauge,
  rounds: readonly WorkedRound[],
  [long, short]: readonly [number, number],
  ahead: number,
): LayOut {
  const w = meanStitch(spec, counts.rows, gauge).width.cm
  const [right, down] = [(counts.stitches * w) / 2, reachCm(spec, counts.rows, gauge) / 2]
  const inRow = (rowIndex: number, station: number): Spot => ({
    x: right - (station + 0.5) * w, y: down - reachCm(spec, rowIndex + 1, gauge),
  })
  return (round, stationAt) => {
    if (round < 0) return { ...inRow(0, stationAt), y: down }
    if (round < counts.rows || rounds.length <= counts.rows) return inRow(round, stationAt)
    const out = gauge[spec.stitch].height.cm / 2
    const all = 2 * (long + short)
    const station = (stationAt + ahead) % all
    const share = (at: number, of: number) => (at + 0.5) / of
    if (station < long) return { x: right - share(station, long) * 2 * right, y: -down - out }
    if (station < long + short) return { x: -right - out, y: -down + share(station - long, short) * 2 * down }
    if (station < 2 * long + short) return { x: -right + share(station - long - short, long) * 2 * right, y: down + out }
    return { x: right + out, y: down - share(station - 2 * long - short, short) * 2 * down }
  }
}

/** Every rectangle within a tolerance of a wanted length and width. */
function choices(spec: RectangleSpec, { gauge }: Setting, toleranceCm: number): BaseChoice[] {
  const { size } = spec
  const floorOf = (counts: RectangleCounts) => rectangleFloor(counts, meanStitch(spec, counts.rows, gauge))
  const now = 'pin' in size ? floorOf(size.pin) : undefined
  const asked = 'pin' in size ? { lengthCm: now!.length.cm, widthCm: now!.width.cm } : size.want
  const wanted = floorWanted('rectangle', asked)
  const choiceOf = (stitches: number, rows: number): BaseChoice => {
    const floor = floorOf({ stitches, rows })
    const edge = rectangleEdge(spec, { stitches, rows }, gauge)
    const long = longOff(asked, floor.length.cm, edge * gauge[spec.stitch].width.cm)
    return {
      base: { ...spec, size: { pin: { stitches, rows } } }, stitches: edge,
      ...offBy(long, { size: 'width', cm: floor.width.cm - wanted.widthCm }),
    }
  }
  return roundsWithin(wanted.widthCm, toleranceCm, rows => reachCm(spec, rows, gauge)).flatMap(rows =>
    countsWithin(wanted.lengthCm, toleranceCm, meanStitch(spec, rows, gauge).width.cm, 0, 2).map(stitches => choiceOf(stitches, rows)),
  ).filter(choice => isWithin(choice, toleranceCm))
}

/** A rectangular floor (craft 5, rectangle). */
export const rectangle = form({
  form: 'rectangle', name: 'rectangle', does: 'Rows to and fro, then one round about all four sides.', fields,
  begins: (like) => {
    const { longerCm, widthCm } = sizesLike(like)
    return { size: { want: { lengthCm: longerCm, widthCm } } }
  },
  work: workRectangle, measures: 'length-and-width', choices,
  evidence: (spec, { stitches, rows }, { lengthCm, widthCm }, { gauge }) => {
    const [own, mean] = [gauge[spec.stitch], meanStitch(spec, rows, gauge)]
    // As many of its own stitch as the rows are long and wide.
    const [across, up] = [stitches * (mean.width.cm / own.width.cm), rows * (mean.height.cm / own.height.cm)]
    return {
      kind: spec.stitch, width: perStitch(lengthCm, across), ...(widthCm === undefined ? {} : { height: perStitch(widthCm, up) }),
    }
  },
})

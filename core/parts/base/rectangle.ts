import { between, choice, count, optional, pin, ways } from '../field/questions'
import { PINNED_ROUNDS } from '../field/bounds'
import type { Gauge, StitchSize } from '../../things/gauge/gauge'
import { perStitch } from '../../things/gauge/refine'
import { times } from '../../things/measure/length'
import type { Floor } from '../part/floor'
import type { LayOut, Spot } from '../part/layOut'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped, workUp } from '../part/part'
import type { Start } from '../part/start'
import { type Edge, foundation, foundationOf, withSides } from '../../things/round/edge'
import { inMultiples, spreadOver } from '../../things/round/multiples'
import type { Round } from '../../things/round/round'
import { allAt, at, each, inOne, skip, type Step } from '../../things/round/step'
import { chainCounts, inStyle, startingChains } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import type { FabricKind } from '../../things/stitch/dictionary'
import type { WorkedRound } from '../../things/round/workedRound'
import { type BaseChoice, countsWithin, offBy, roundsWithin } from './baseChoice'
import { DECIDES } from './circle'
import { form, type FormSpec, sizesLike } from './form'
import { firstStitches, type InStitches, meanStitch, reachCm, roundsReaching, stitchOfRound } from './inStitches'
import { FLAT_AND_WIDE, type FloorWanted, floorWanted, isWithin, longOff } from './lyingFlat'
import { LENGTH_AND_WIDTH } from './ovalSpec'

const fields = {
  size: ways('You give', [
    LENGTH_AND_WIDTH,
    FLAT_AND_WIDE,
    pin(
      'counts',
      {
        stitches: count('Stitches a row', between(2, 1200), { usually: between(2, 60) }),
        rows: count('Rows', PINNED_ROUNDS, { usually: between(1, 20) }),
      },
      {
        does: DECIDES.pin,
        from: (_, { part }) => ({
          stitches: part?.rounds[0]?.edge.count ?? 2,
          rows: Math.max(1, Math.max(1, part?.rounds.length ?? 1) - 1),
        }),
      },
    ),
  ]),
  rowEnds: choice(
    'Along the row ends',
    [
      { value: 'one-each', name: 'one in each row', does: 'Usual in {sc.name}, whose rows are about as tall as stitches are wide.' },
      { value: 'by-gauge', name: 'by gauge', does: 'As many as the sides are long in your gauge, spread evenly.' },
    ],
    { begins: 'by-gauge' },
  ),
  corners: choice(
    'At each corner',
    [
      { value: 'none', name: 'none extra', does: 'The edge turns up at once, into box corners.' },
      { value: 'one-extra', name: 'one extra', does: 'The floor stays flat to its very edge.' },
    ],
    { begins: 'none' },
  ),
  firstStitches: firstStitches('First rows in other stitches', 'rows', {}),
  firstSide: optional(
    choice(
      'The round about it begins along',
      [
        { value: 'last-row', name: 'the last row' }, { value: 'row-ends', name: 'the row ends after it' },
        { value: 'underside', name: 'the first row\'s underside' }, { value: 'far-ends', name: 'the other row ends' },
      ],
      { says: 'The side of the rows that the round about them begins along; the last row if left out.' },
    ),
  ),
} as const

/** Sides of the rows in the order that the round about them meets them, from the last row on. */
const SIDES_IN_ORDER = ['last-row', 'row-ends', 'underside', 'far-ends'] as const

/** A rectangular floor: rows to and fro, then one round about it (craft 5, rectangle). */
export type RectangleSpec = FormSpec<'rectangle', typeof fields>

/** Counts of a rectangle: stitches a row, rows. */
interface RectangleCounts {
  readonly stitches: number
  readonly rows: number
}

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
function alongRowEnds(spec: RectangleSpec, rows: number, gauge: Gauge): number {
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
function pickUp(spec: RectangleSpec, { stitches, rows }: RectangleCounts, gauge: Gauge): { steps: Step[], on: Edge } {
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
function firstOf({ firstSide = 'last-row' }: RectangleSpec): number {
  return SIDES_IN_ORDER.indexOf(firstSide)
}

/** The `i`-th row, on the chain or on the row below. */
function rowIn(spec: RectangleSpec, setting: Setting, i: number, { rows, stitches }: RectangleCounts): Round {
  const stitch = stitchOfRound(spec, i + 1)
  return row(setting, i, rows, stitch, spec.colour, [i === 0 ? at('chains', each(stitch, stitches)) : each(stitch, stitches)])
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

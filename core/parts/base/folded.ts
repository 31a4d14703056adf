import { DIAMETER_CM } from '../field/bounds'
import { tenths } from '../field/context'
import { sideEdging } from '../flat/edging'
import { acrossShare, asksOfBands, countNear, type FlatPiece, type Until, workFlat } from '../flat/flat'
import { type FlatBand, stackedOr } from '../flat/kinds'
import { seamOf } from '../flat/seams'
import { perStitch } from '../../things/gauge/refine'
import type { Gauge } from '../../things/gauge/gauge'
import { times } from '../../things/measure/length'
import type { Asks } from '../part/asks'
import type { Finding } from '../part/finding'
import { noFloor } from '../part/floor'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped } from '../part/part'
import { type Edge, foundation, foundationOf, type Run, withSides } from '../../things/round/edge'
import { type BaseChoice, flatChoices } from './baseChoice'
import { form, sizesLike } from './form'
import { rowStart } from './rectangleRounds'
import { type FoldedSpec, fields, repeatOf } from './foldedFields'
import { folding } from './folding'

/** The bands of a piece: those the maker stacked, or one of plain rows or of waves. */
function bandsOf({ pattern, bands, stitch, colour, stripes }: FoldedSpec): readonly FlatBand[] {
  if (pattern === 'bands') return stackedOr(bands, stitch, colour)
  const band = pattern === 'wave' ? 'hills' : 'solid'
  return [{ kind: band, stitch, size: { pin: { rounds: 1 } }, colour, ...(stripes ? { stripes } : {}) } as FlatBand]
}

/** The piece as it is to become: its first row's stitches, and how tall it is to be. */
interface FoldedGoal {
  readonly stitches: number
  readonly until: Until
}

/** How wide a stitch of the piece lies: as its own stitch, or as the swatches of its bands say. */
function stitchCmOf(spec: FoldedSpec, setting: Setting): number {
  return setting.gauge[spec.stitch].width.cm * acrossShare(bandsOf(spec), setting)
}

/** Stitches and height, pinned or for a wanted size; of stacked bands the nearest stitches that all of them take. */
function wantedOf(spec: FoldedSpec, setting: Setting, asks: Asks | undefined): FoldedGoal {
  const { repeat, edge } = repeatOf(spec)
  const taken = (stitches: number) => (asks ? countNear(stitches, asks) : Math.max(2, stitches))
  if ('pin' in spec.size) return { stitches: taken(spec.size.pin.repeats * repeat + edge), until: { rows: spec.size.pin.rows } }
  const { widthCm, heightCm } = spec.size.want
  // An edging along the sides makes it wider.
  const own = widthCm - edgingCm(spec, setting.gauge)
  const [wide, tall] = spec.fold === 'side' ? [2 * own, heightCm] : [own, 2 * heightCm]
  const across = Math.max(1, wide / stitchCmOf(spec, setting))
  const stitches = asks ? Math.round(across) : Math.max(1, Math.round((across - edge) / repeat)) * repeat + edge
  return { stitches: taken(stitches), until: { heightCm: tall } }
}

/** Demand of the bands of a stacked piece on its first row; nothing where the piece counts its own repeats. */
function asksOf(spec: FoldedSpec, repeats: Setting['repeats']): ReturnType<typeof asksOfBands> | undefined {
  return spec.pattern === 'bands' ? asksOfBands(bandsOf(spec), repeats ?? []) : undefined
}

/** The rows of the piece: the last of them faces wrong, so that what follows, turned, shows the right side. */
function rowsOf(spec: FoldedSpec, { stitches, until }: FoldedGoal, setting: Setting): FlatPiece {
  const on = foundation('chain', stitches, false)
  const first = workFlat(bandsOf(spec), on, setting, { below: 0 }, until)
  return first.rows.length % 2 === 0 ? first : workFlat(bandsOf(spec), on, setting, { below: 0, wrongFirst: true }, until)
}

/** Make-up of its row, where it is to carry a repeat. */
function rowWords(spec: FoldedSpec, stitches: number): string[] {
  const { repeat, edge } = repeatOf(spec)
  if (repeat <= 1 || spec.pattern === 'bands') return []
  const more = edge ? `, ${edge > 0 ? 'and' : 'less'} ${Math.abs(edge)}` : ''
  return [`The row is ${(stitches - edge) / repeat} repeats of ${repeat}${more}.`]
}

/** The places around the mouth, in order from a side seam: the rows' edges, and the ends of an edging between them. */
function mouthOf(spec: FoldedSpec, top: Edge, stitches: number): Edge {
  const ends: Run[] = spec.edged ? [{ kind: 'rowEnd', count: spec.edged }] : []
  const last: Run[] = [{ kind: 'stitch', count: top.count }]
  if (spec.fold === 'side') return withSides(foundationOf([...ends, ...last, ...ends]), [0, Math.round(top.count / 2) + ends.length])
  const around = foundationOf([...ends, ...last, ...ends, ...ends, { kind: 'underside', count: stitches }, ...ends])
  return withSides(around, [0, top.count + 2 * (spec.edged ?? 0)])
}

/** Works the rows of a flat bag; its edge goes around the mouth, after folding and seaming. */
function workFolded(spec: FoldedSpec, setting: Setting): PartResult {
  const { gauge } = setting
  const stitch = gauge[spec.stitch]
  const asks = asksOf(spec, setting.repeats)
  const trouble = asks && 'trouble' in asks ? asks.trouble : undefined
  const wanted = wantedOf(spec, setting, asks && 'asks' in asks ? asks.asks : undefined)
  const { stitches } = wanted
  const sideways = spec.fold === 'side'
  const nothing = { height: times(stitch.height, 0), circumference: times(stitch.width, stitches), floor: noFloor(times(stitch.width, 0)) }
  const chain = foundation('chain', stitches, false)
  if (trouble) return stopped(chain, nothing, { code: 'bands-disagree', weight: 'stop', what: trouble })
  const tooBig = beyond(spec, wanted, setting)
  if (tooBig) return stopped(chain, nothing, tooBig)
  const piece = rowsOf(spec, wanted, setting)
  const { rows } = piece
  const height = times(piece.height, sideways ? 1 : 0.5)
  const bare = times(piece.width, sideways ? 0.5 : 1)
  const width = { ...bare, cm: bare.cm + edgingCm(spec, gauge) }
  const size = { height, circumference: times(width, 2), floor: noFloor(width) }
  const stop = piece.findings.find(({ weight }) => weight === 'stop')
  if (stop || rows.length === 0) return stopped(chain, size, ...piece.findings)
  const { begin } = rows[0]!.round
  const w = stitch.width.cm
  const rowCm = piece.height.cm / rows.length
  return {
    rounds: rows, edge: mouthOf(spec, piece.edge, stitches), size, findings: piece.findings,
    start: rowStart(stitches, stitch, begin.chains), rises: piece.rises,
    layOut: (round, station) => ({
      x: (stitches * w) / 2 - ((station + 0.5) * w * stitches) / (round < 0 ? stitches : rows[round]!.edge.count),
      y: (rows.length / 2 - round - 1) * rowCm,
    }),
    rising: sideways ? rows.length : Math.ceil(rows.length / 2), markers: rows.map(() => []), seam: seamOf(spec.seam).card,
    ...(spec.edged ? { pieces: [sideEdging(rows, spec.edged, spec.colour, setting)] } : {}),
    advice: [[folding(spec, piece, stitches, height.cm, setting), ...rowWords(spec, stitches)].join(' ')],
  }
}

/** A piece that nobody could work. */
function beyond(spec: FoldedSpec, { stitches, until }: FoldedGoal, { gauge }: Setting): Finding | undefined {
  const rows = 'rows' in until ? until.rows : Math.round(until.heightCm / gauge[spec.stitch].height.cm)
  if (rows <= MOST_ROUNDS && rows * stitches <= MOST_STITCHES) return undefined
  return {
    code: 'base-too-big', weight: 'stop',
    what: `This piece would take ${rows} rows of ${stitches} stitches. Ask for a smaller one, or check the swatch.`,
  }
}

/** A folded piece (craft 5). */
export const folded = form({
  form: 'folded', name: 'folded piece', does: 'A flat piece, folded in half and seamed at two sides.', fields, tall: true,
  begins: (like) => {
    const { longerCm } = sizesLike(like)
    return { size: { want: { widthCm: longerCm, heightCm: Math.max(5, tenths(like.heightCm, DIAMETER_CM)) } } }
  },
  work: workFolded, measures: 'length',
  evidence: (spec, { repeats }, { lengthCm }, { gauge }) => {
    // Bands may be of other stitches than the piece's own.
    if (spec.pattern === 'bands') return undefined
    return { kind: spec.stitch, width: perStitch(Math.max(0.1, lengthCm - edgingCm(spec, gauge)), wideOf(spec, repeats)) }
  },
  choices: (spec, setting, toleranceCm) => {
    const stitchCm = stitchCmOf(spec, setting)
    const wide = (repeats: number) => wideOf(spec, repeats)
    const askedCm = 'want' in spec.size ? spec.size.want.widthCm - edgingCm(spec, setting.gauge) : wide(spec.size.pin.repeats) * stitchCm
    const rows = 'pin' in spec.size ? spec.size.pin.rows : Math.max(1, workFolded(spec, setting).rounds.length)
    const found = flatChoices(askedCm, toleranceCm, stitchCm, 1, repeats => ({ ...spec, size: { pin: { repeats, rows } } }), wide)
    return found.flatMap((choice): BaseChoice[] => edgeOfChoice(choice, spec, setting))
  },
})

/** A choice with the stitches that its mouth comes to, an edging's ends among them; none if its bands do not come out on it. */
function edgeOfChoice(choice: BaseChoice, spec: FoldedSpec, setting: Setting): BaseChoice[] {
  if (spec.pattern !== 'bands') return [{ ...choice, stitches: choice.stitches + (spec.fold === 'side' ? 2 : 4) * (spec.edged ?? 0) }]
  const base = choice.base as FoldedSpec
  const { rounds, edge, findings } = workFolded(base, setting)
  const asked = 'pin' in base.size ? base.size.pin.repeats : 0
  return rounds[0]?.on.count === asked && !findings.some(({ weight }) => weight === 'stop') ? [{ ...choice, stitches: edge.count }] : []
}

/** How much wider an edging along its sides makes a folded bag. */
function edgingCm({ edged = 0, fold }: FoldedSpec, gauge: Gauge): number {
  return (fold === 'side' ? 1 : 2) * edged * gauge.sc.height.cm
}

/** Stitches that a bag of so many repeats lies wide. */
function wideOf(spec: FoldedSpec, repeats: number): number {
  const { repeat, edge } = repeatOf(spec)
  return Math.max(2, repeats * repeat + edge) / (spec.fold === 'side' ? 2 : 1)
}

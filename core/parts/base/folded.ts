import { between, choice, count, length, optional, pin, want, ways } from '../field/questions'
import { DIAMETER_CM, HEIGHT_CM, PINNED_ROUNDS } from '../field/bounds'
import { labelFrom } from '../field/field'
import { tenths } from '../field/context'
import { sideEdging } from '../flat/edging'
import { acrossShare, asksOfBands, countNear, type FlatPiece, rowEndCm, type Until, workFlat } from '../flat/flat'
import { bandsField, type FlatBand, stackedOr } from '../flat/kinds'
import { intoRowEnd, rowEndWords, seamChoice, seamOf, TIGHT } from '../flat/seams'
import { perStitch } from '../../things/gauge/refine'
import type { Gauge } from '../../things/gauge/gauge'
import { times } from '../../things/measure/length'
import type { Asks } from '../part/asks'
import type { Finding } from '../part/finding'
import { noFloor } from '../part/floor'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped } from '../part/part'
import { type Edge, foundation, foundationOf, type Run, withSides } from '../../things/round/edge'
import { STRIPES } from '../texture/stripes'
import { many, tape } from '../../things/stitch/translate'
import { type BaseChoice, flatChoices } from './baseChoice'
import { DECIDES } from './circle'
import { form, type FormSpec, sizesLike } from './form'
import { rowStart } from './rectangle'

const isPlain = (spec: object): boolean => (spec as FoldedAnswers).pattern === 'plain'

/** Answers that the questions look at of one another. */
interface FoldedAnswers {
  readonly fold: 'below' | 'side'
  readonly pattern: 'plain' | 'wave' | 'bands'
  readonly repeat: number
  readonly edgeStitches: number
}

const fields = {
  size: ways('You give', [
    want(
      'a size',
      {
        widthCm: length('Width of the bag', DIAMETER_CM, { usually: between(1, 40) }),
        heightCm: length('Height of the bag', HEIGHT_CM, { usually: between(1, 40) }),
      },
      {
        does: DECIDES.want,
        from: (_, { part }) => ({
          widthCm: tenths(part?.size.floor?.length.cm ?? 20, DIAMETER_CM),
          heightCm: tenths(part?.size.height.cm ?? 20, DIAMETER_CM),
        }),
      },
    ),
    pin(
      'counts',
      {
        repeats: count(
          labelFrom((spec: FoldedAnswers) => (spec.pattern === 'bands' ? 'Stitches of its first row' : 'Repeats')),
          between(1, 600),
          { usually: between(1, 12) },
        ),
        rows: count('Rows', PINNED_ROUNDS, { usually: between(1, 30) }),
      },
      {
        does: DECIDES.pin,
        from: (spec: FoldedAnswers, { part }) => ({
          repeats: Math.max(1, repeatsNow(spec, part?.rounds[0]?.on.count ?? 30)),
          rows: Math.max(1, part?.rounds.length ?? 1),
        }),
      },
    ),
  ]),
  pattern: choice(
    'Its rows are',
    [
      { value: 'plain', name: 'plain' },
      {
        value: 'wave', name: 'waves',
        does: 'Two plain rows, then two of stitches that grow and fall, the second the other way about. Takes six and one more.',
      },
      {
        value: 'bands', name: 'bands, one upon the other', does: 'Each with its own stitches, height and yarn; the last one goes on until '
          + 'the piece is as tall as asked.',
      },
    ],
    { begins: 'plain' },
  ),
  fold: choice(
    'Folded',
    [
      { value: 'below', name: 'below', does: 'Across its rows: the fold is the bottom, with a seam up each side.' },
      { value: 'side', name: 'at one side', does: 'Along its rows: one seam up the other side, and one along the bottom.' },
    ],
    { begins: 'below' },
  ),
  bands: optional({
    ...bandsField('Its bands', 'The bands of the piece from its first row up; of a piece in bands alone.'),
    when: (spec: object) => (spec as FoldedAnswers).pattern === 'bands',
  }),
  edged: optional(
    count('Rows of {sc} along its sides', between(1, 12), {
      usually: between(1, 3),
      says: 'Rows of an edging along the two sides of the piece, where its rows end, before it is seamed; none if left out.',
    }),
  ),
  seam: seamChoice('Its seams are'),
  repeat: count('Stitches of a repeat', between(1, 60), { begins: 6, usually: between(1, 12), when: isPlain }),
  edgeStitches: count('Stitches besides whole repeats', between(-20, 40), {
    begins: 1, usually: between(-4, 6), when: isPlain, says: 'A row is repeats times repeat, and these; below 0 so many fewer.',
    why: 'Many stitch patterns want a few stitches more than whole repeats, to begin and end a row alike.',
  }),
  stripes: { ...STRIPES, when: (spec: object) => (spec as FoldedAnswers).pattern !== 'bands' },
} as const

/** A flat piece in rows, folded below or at one side, and seamed (craft 5, flat and folded). */
type FoldedSpec = FormSpec<'folded', typeof fields>

/** The repeats of a row of so many stitches. */
function repeatsNow(spec: FoldedAnswers, stitches: number): number {
  const { repeat, edge } = repeatOf(spec)
  return Math.round((stitches - edge) / repeat)
}

/** Make-up of a row: so many repeats of so many, and so many more. */
function repeatOf({ pattern, repeat, edgeStitches }: FoldedAnswers): { readonly repeat: number, readonly edge: number } {
  if (pattern === 'bands') return { repeat: 1, edge: 0 }
  return pattern === 'wave' ? { repeat: 6, edge: 1 } : { repeat, edge: edgeStitches }
}

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

/** Stitches of a seam in each of the first so many row ends; through an edging in its stitches, as many. */
function seamInto({ rows }: FlatPiece, count: number, setting: Setting): number[] {
  return rows.slice(0, count).map(row => intoRowEnd(rowEndCm(row, setting), setting.gauge))
}

/** How the flat piece becomes a bag, and where the first round goes. */
function folding(spec: FoldedSpec, piece: FlatPiece, stitches: number, heightCm: number, setting: Setting): string {
  const { by } = seamOf(spec.seam)
  const { count } = piece.edge
  const up = (rows: number) => {
    const into = seamInto(piece, rows, setting)
    return spec.edged ? `one to each pair of ${many(into.reduce((sum, n) => sum + n, 0), 'st')} of the edging` : rowEndWords(into)
  }
  if (spec.fold === 'side') {
    return (
      'When the last row is done, and before the first round: fold the piece in half along its rows, right sides together. Up the open '
      + `side ${by} ${up(piece.rows.length)}; along the bottom ${by} one to each pair of ${many(stitches, 'ch', 'chs')} of the `
      + `first row. ${TIGHT} Turn it right side out. Join the yarn at the seam with the right side facing: the first round goes into the `
      + `${many(count, 'st')} of the last row${spec.edged ? ' and the ends of the edging' : ''}.`
    )
  }
  return (
    'When the last row is done, and before the first round: fold the piece in half across its rows, right sides together, and up both '
    + `sides ${by} ${up(Math.floor(piece.rows.length / 2))} a side, ${tape(heightCm)} each. ${TIGHT} Turn it right side out; the `
    + 'fold is the bottom. Join the yarn at a side seam with the right side facing: the first round goes into the '
    + `${many(count, 'st')} of the last row, then into the ${many(stitches, 'ch', 'chs')} of the underside of the first`
    + `${spec.edged ? ', and into the ends of the edging between them' : ''}.`
  )
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

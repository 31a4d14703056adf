import { between, choice, count, length, pin, want, ways } from '../field/ask'
import type { CardId } from '../entry/cards'
import { DIAMETER_CM, HEIGHT_CM, PINNED_ROUNDS } from '../field/bounds'
import { tenths } from '../field/now'
import { perStitch } from '../gauge/refine'
import type { Gauge } from '../gauge/gauge'
import { type Length, plus, times } from '../measure/length'
import { noFloor } from '../part/floor'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped, workUp } from '../part/part'
import { foundation, foundationOf, withSides } from '../round/edge'
import { at, type StitchStep } from '../round/step'
import { STRIPES } from '../texture/stripes'
import { riseCm } from '../texture/texture'
import { colourAt } from '../texture/workTexture'
import { type FlatRow, inRowEnd, plainRow, WAVE, waveRows } from './flatRows'
import { many, tape } from '../stitch/tell'
import { flatChoices } from './choice'
import { DECIDES } from './circle'
import { form, type FormSpec, sizesLike } from './form'
import { row, rowStart } from './rectangle'

/** Ways to close the seams. A further one is a further row. */
const SEAMS = [
  { value: 'whip', name: 'whip stitch', does: 'Over the edge, there and back.', card: 'whipSeam', by: 'sew' },
  { value: 'mattress', name: 'mattress stitch', does: 'Edge to edge: the seam vanishes.', card: 'mattressSeam', by: 'sew' },
  { value: 'slip', name: '{slst} through both', does: 'Flat and fast.', card: 'slipSeam', by: 'work {slst} through both layers,' },
  { value: 'sc', name: '{sc} through both', does: 'Tight, between tall stitches, so that no holes show.', card: 'bothLayers',
    by: 'work {sc} through both layers,' },
] as const satisfies readonly { value: string, name: string, does: string, card: CardId, by: string }[]

const isPlain = (spec: object): boolean => (spec as Answered).pattern === 'plain'

/** What the questions look at of one another's answers. */
interface Answered {
  readonly fold: 'below' | 'side'
  readonly pattern: 'plain' | 'wave'
  readonly repeat: number
  readonly edgeStitches: number
}

const fields = {
  size: ways('Decide by', [
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
        repeats: count('Repeats', between(1, 600), { usually: between(1, 12) }),
        rows: count('Rows', PINNED_ROUNDS, { usually: between(1, 30) }),
      },
      {
        does: DECIDES.pin,
        from: (spec: Answered, { part }) => ({
          repeats: Math.max(1, repeatsNow(spec, part?.edge.count ?? 60)),
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
  seam: choice('Its seams are', SEAMS.map(({ value, name, does }) => ({ value, name, does })), { begins: 'whip' }),
  repeat: count('Stitches of a repeat', between(1, 60), { begins: 6, usually: between(1, 12), when: isPlain }),
  edgeStitches: count('Edge stitches besides', between(-20, 40), {
    begins: 1, usually: between(-4, 6), when: isPlain, says: 'A row is repeats times repeat, and these; below 0 so many fewer.',
  }),
  stripes: STRIPES,
} as const

/** A flat piece in rows, folded below or at one side, and seamed (craft 5, flat and folded). */
export type FoldedSpec = FormSpec<'folded', typeof fields>

/** The repeats of a row, by the stitches around the mouth. */
function repeatsNow(spec: Answered, mouth: number): number {
  const { repeat, edge } = repeatOf(spec)
  return Math.round(((spec.fold === 'side' ? mouth : mouth / 2) - edge) / repeat)
}

/** What a row is made of: so many repeats of so many, and so many more. */
function repeatOf({ pattern, repeat, edgeStitches }: Answered): { readonly repeat: number, readonly edge: number } {
  return pattern === 'wave' ? { repeat: WAVE, edge: 1 } : { repeat, edge: edgeStitches }
}

/** The rows over and over, from the first up, each with what it is worked in. */
function cycleOf({ pattern, stitch }: FoldedSpec): readonly FlatRow[] {
  return pattern === 'wave' ? waveRows(stitch) : [plainRow(stitch)]
}

/** What a seam works into row ends: `1, 1, 1, 3 into the row ends of each 4 rows, over and over up all 28, 42 sts in all`. */
function perRowEnd(rows: readonly FlatRow[], count: number, gauge: Gauge): string {
  const into = Array.from({ length: count }, (_, i) => inRowEnd(rows[i % rows.length]!, gauge))
  const all = into.reduce((sum, n) => sum + n, 0)
  if (into.every(n => n === into[0])) return `${into[0]} into each of the ${many(count, 'row end')}, ${many(all, 'st')} in all`
  const cycle = rows.map((_, i) => into[i]).join(', ')
  return `${cycle} into the row ends of each ${rows.length} rows, over and over up all ${count}, ${many(all, 'st')} in all`
}

/** How the flat piece becomes a bag, and where the first round goes. */
function folding(spec: FoldedSpec, stitches: number, rows: number, heightCm: number, gauge: Gauge): string {
  const { by } = SEAMS.find(({ value }) => value === spec.seam)!
  const cycle = cycleOf(spec)
  const tight = 'Go between the stitches, never around them, and pull each one tight.'
  if (spec.fold === 'side') {
    return (
      'When the last row is done, and before the first round: fold the piece in half along its rows, right sides together. Up the open '
      + `side ${by} ${perRowEnd(cycle, rows, gauge)}; along the bottom ${by} one to each pair of ${many(stitches, 'ch', 'chs')} of the `
      + `first row. ${tight} Turn it right side out. Join the yarn at the seam with the right side facing: the first round goes into the `
      + `${many(stitches, 'st')} of the last row.`
    )
  }
  return (
    'When the last row is done, and before the first round: fold the piece in half across its rows, right sides together, and up both '
    + `sides ${by} ${perRowEnd(cycle, Math.floor(rows / 2), gauge)} a side, ${tape(heightCm)} each. ${tight} Turn it right side out; the `
    + 'fold is the bottom. Join the yarn at a side seam with the right side facing: the first round goes into the '
    + `${many(stitches, 'st')} of the last row, then into the ${many(stitches, 'ch', 'chs')} of the underside of the first.`
  )
}

/** What its row is made of, where it is to carry a repeat. */
function rowWords(spec: FoldedSpec, repeats: number): string {
  const { repeat, edge } = repeatOf(spec)
  const more = edge ? `, ${edge > 0 ? 'and' : 'less'} ${Math.abs(edge)}` : ''
  return `The row is ${repeats} repeats of ${repeat}${more}.`
}

/** How tall so many rows are. */
function tallOf(rows: readonly FlatRow[], count: number, gauge: Gauge): Length {
  const cycle = rows.map(one => riseCm(one.steps(1), gauge))
  return Array.from({ length: count }, (_, i) => cycle[i % cycle.length]!).reduce<Length>(plus, { cm: 0, plusMinusCm: 0 })
}

/** Repeats and rows, pinned or for a wanted size. */
function countsOf(spec: FoldedSpec, gauge: Gauge): { readonly repeats: number, readonly rows: number } {
  if ('pin' in spec.size) return spec.size.pin
  const { repeat, edge } = repeatOf(spec)
  const { widthCm, heightCm } = spec.size.want
  const [wide, tall] = spec.fold === 'side' ? [2 * widthCm, heightCm] : [widthCm, 2 * heightCm]
  const rows = cycleOf(spec)
  const cycleCm = tallOf(rows, rows.length, gauge).cm
  return {
    repeats: Math.max(1, Math.round((wide / gauge[spec.stitch].width.cm - edge) / repeat)),
    rows: Math.max(2, Math.round((tall * rows.length) / cycleCm)),
  }
}

/** Works the rows of a flat bag; its edge goes around the mouth, after folding and seaming. */
function workFolded(spec: FoldedSpec, setting: Setting): PartResult {
  const { gauge } = setting
  const stitch = gauge[spec.stitch]
  const { repeats, rows: wanted } = countsOf(spec, gauge)
  const { repeat, edge } = repeatOf(spec)
  const stitches = Math.max(2, repeats * repeat + edge)
  const sideways = spec.fold === 'side'
  const cycle = cycleOf(spec)
  const whole = tallOf(cycle, Math.min(wanted, MOST_ROUNDS), gauge)
  const height = times(whole, sideways ? 1 : 0.5)
  const width = times(stitch.width, sideways ? stitches / 2 : stitches)
  const size = { height, circumference: times(width, 2), floor: noFloor(width) }
  const chain = foundation('chain', stitches, false)
  if (wanted > MOST_ROUNDS || wanted * stitches > MOST_STITCHES) {
    return stopped(chain, size, {
      code: 'base-too-big', weight: 'stop',
      what: `This piece would take ${wanted} rows of ${stitches} stitches. Ask for a smaller one, or check the swatch.`,
    })
  }
  const { rounds, stop } = workUp(chain, wanted, setting, (i) => {
    const { steps, first } = cycle[i % cycle.length]!
    const made = steps(repeats, stitches)
    return row(setting, i, wanted, first, colourAt(spec, i), i === 0 ? [at('chains', made[0] as StitchStep)] : made)
  })
  const { begin } = rounds[0]!.round
  const [w, rowCm] = [stitch.width.cm, whole.cm / wanted]
  const mouth = sideways
    ? [{ kind: 'stitch', count: stitches } as const]
    : [
        { kind: 'stitch', count: stitches } as const, { kind: 'underside', count: stitches } as const,
      ]
  return {
    rounds, edge: withSides(foundationOf(mouth), [0, sideways ? Math.round(stitches / 2) : stitches]), size, findings: stop ? [stop] : [],
    start: rowStart(stitches, stitch, begin.chains), rises: rounds.map((_, i) => riseCm(cycle[i % cycle.length]!.steps(1), gauge).cm),
    layOut: (round, station) => ({ x: (stitches * w) / 2 - (station + 0.5) * w, y: (wanted / 2 - round - 1) * rowCm }),
    rising: sideways ? rounds.length : Math.ceil(rounds.length / 2), markers: rounds.map(() => []),
    seam: SEAMS.find(({ value }) => value === spec.seam)!.card,
    advice: [[folding(spec, stitches, wanted, height.cm, gauge), ...(repeat > 1 ? [rowWords(spec, repeats)] : [])].join(' ')],
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
  evidence: (spec, { repeats }, { lengthCm }) => ({
    kind: spec.stitch, width: perStitch(lengthCm, wideOf(spec, repeats)),
  }),
  choices: (spec, setting, toleranceCm) => {
    const stitchCm = setting.gauge[spec.stitch].width.cm
    const wide = (repeats: number) => wideOf(spec, repeats)
    const askedCm = 'want' in spec.size ? spec.size.want.widthCm : wide(spec.size.pin.repeats) * stitchCm
    const rows = 'pin' in spec.size ? spec.size.pin.rows : Math.max(1, workFolded(spec, setting).rounds.length)
    return flatChoices(askedCm, toleranceCm, stitchCm, 1, repeats => ({ ...spec, size: { pin: { repeats, rows } } }), wide)
  },
})

/** Stitches that a bag of so many repeats lies wide. */
function wideOf(spec: FoldedSpec, repeats: number): number {
  const { repeat, edge } = repeatOf(spec)
  return Math.max(2, repeats * repeat + edge) / (spec.fold === 'side' ? 2 : 1)
}

import { between, choice, count, countOr, length, pin, want, ways } from '../field/questions'
import { DIAMETER_CM, PINNED_ROUNDS } from '../field/bounds'
import { labelFrom } from '../field/field'
import { type QuestionContext, tenths } from '../field/context'
import type { ValuesOf } from '../field/spec'
import type { Gauge, StitchSize } from '../../things/gauge/gauge'
import { type Evidence, perStitch } from '../../things/gauge/refine'
import { times } from '../../things/measure/length'
import type { Finding } from '../part/finding'
import type { Floor } from '../part/floor'
import type { LayOut } from '../part/layOut'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type PartSize, type Setting, stopped, workUp } from '../part/part'
import type { Start } from '../part/start'
import { type Edge, foundation, halves } from '../../things/round/edge'
import { type Step, each, inOne, repeat } from '../../things/round/step'
import { fabricInStyle } from '../../things/round/style'
import type { WorkedRound } from '../../things/round/workedRound'
import type { FabricKind } from '../../things/stitch/dictionary'
import { type BaseChoice, countsWithin, increasesToTry, offBy } from './baseChoice'
import { flatness, flatnessFinding, gaugeIncreases, type NoneFlat } from './flatness'
import { noneFlatChoice } from './noneFlat'
import { type BaseStitch, form, type FormSpec, type Like, sizesLike, type TapeMeasurement } from './form'

const WANT_DOES = 'You say how large, the counts are found. A new gauge finds new counts.'
const PIN_DOES = 'You pin the counts, the size is told. A new gauge keeps the counts.'

/** How a size is decided, as it is offered. */
export const DECIDES = { want: WANT_DOES, pin: PIN_DOES } as const

/** How a group's increase lies in it, and groups above each other. */
export const GROWING = {
  placing: choice(
    'Increases lie',
    [
      { value: 'stacked', name: 'one above the other', does: 'Easy to keep count of; a round floor becomes a soft polygon.' },
      { value: 'staggered', name: 'staggered', does: 'Half a group apart every second round: the edge stays round.' },
    ],
    { begins: 'stacked' },
  ),
  increaseAt: choice(
    'In each group, the increase comes',
    [
      { value: 'first', name: 'first' },
      { value: 'last', name: 'last' },
    ],
    { begins: 'last' },
  ),
} as const

/** How groups lie, as a spec says it. */
export type Growing = ValuesOf<typeof GROWING>

/** Notes for the whole bag because of how its increases lie. */
export function growingNotes({ placing }: Pick<Growing, 'placing'>): string[] {
  return placing === 'stacked'
    ? ['Increases lie one above the other, so the floor becomes a soft polygon.']
    : ['Increases shift by half a group every second round, so the floor stays round.']
}

/** Answers that the questions look at of one another. */
interface CircleAnswers {
  readonly stitch: BaseStitch
  readonly increases: number | 'by-gauge'
}

const across = (_: object, { part }: QuestionContext) =>
  tenths(part?.size.floor?.length.cm ?? (part?.size.circumference.cm ?? 20) / 2, DIAMETER_CM)

/** Questions of discs; `rounds` is the one about their rounds, and `pins` how many of a worked base's rounds are one disc's. */
export function discFields(rounds: string, pins: (rounds: number) => number) {
  return {
    size: ways('You give', [
      want(
        'a diameter',
        { diameterCm: length('Across the floor', DIAMETER_CM, { usually: between(1, 40) }) },
        {
          does: WANT_DOES,
          from: (spec: object, now) => ({ diameterCm: across(spec, now) }),
        },
      ),
      want(
        'the bag lying flat',
        { flatWidthCm: length('Width lying flat', DIAMETER_CM, { usually: between(1, 60) }) },
        {
          does: 'You say how wide the bag lies, half its edge; the floor follows.',
          from: (_, { part }) => ({ flatWidthCm: tenths((part?.size.circumference.cm ?? 40) / 2, DIAMETER_CM) }),
        },
      ),
      pin(
        'counts',
        { rounds: count(rounds, PINNED_ROUNDS, { usually: between(1, 25) }) },
        {
          does: PIN_DOES, from: (_, { part }) => ({ rounds: Math.max(1, pins(part?.rounds.length ?? 1)) }),
          sets: (spec: CircleAnswers, { gauge }) => ({ increases: increasesOf(spec, gauge[spec.stitch]) }),
        },
      ),
    ]),
    increases: countOr('by-gauge', 'Increases a round', between(3, 48), {
      usually: between(3, 20), says: 'A school\'s number, or what lies flattest in the gauge.',
      orDoes: labelFrom((spec: CircleAnswers, { gauge }) =>
        `${increasesOf({ ...spec, increases: 'by-gauge' }, gauge[spec.stitch])} suit this gauge.`),
      taught: [
        { value: 6, name: '6', does: 'The school of six, usual for {sc.name}: soft hexagon, slow to grow.' },
        {
          value: 8, name: '8',
          does: 'The school of eight: grows faster, and in {sc.name} the edge often warps a little until the wall tames it.',
        },
        { value: 12, name: '12', does: 'Usual for {dc.name}, whose rounds are twice as tall.' },
      ],
    }),
    noneFlat: noneFlatChoice((spec: object) => (spec as CircleAnswers).increases === 'by-gauge'),
    start: choice(
      'Start with',
      [
        { value: 'ring', name: 'adjustable ring', does: 'Closes to no hole at all; weave its end in well.', card: 'ring' },
        { value: 'chain-ring', name: 'ring of chains', does: 'Quick and firm; leaves a small hole in the middle.' },
        { value: 'chain', name: 'one chain', does: 'The whole first round goes into one chain: nothing to pull closed.' },
      ],
      { begins: 'ring' },
    ),
    ...GROWING,
  } as const
}

const fields = discFields('Rounds', rounds => rounds)

/** A round floor as the maker asks for it (craft 5, circle). */
export type CircleSpec = FormSpec<'circle', typeof fields>
/** A disc, whether it is the whole floor or one of two. */
type DiscSpec = Omit<CircleSpec, 'form'>

/** The parts of a disc's document that its increases follow from. */
interface Increasing {
  readonly increases: number | 'by-gauge'
  readonly noneFlat?: NoneFlat
}

/** The increases a round that a spec comes to in this gauge. */
function increasesOf(spec: Increasing, stitch: StitchSize): number {
  return spec.increases === 'by-gauge' ? gaugeIncreases(stitch, 1, spec.noneFlat) : spec.increases
}

/**
 * The steps of round `r` of a disc: `increases` groups of one increase and `r - 2` plain stitches (craft 5).
 * Staggered discs shift the increase by half a group in every second round.
 */
function circleRound(r: number, increases: number, kind: FabricKind, { placing, increaseAt }: Growing): Step[] {
  if (r === 1) return [inOne(kind, increases)]
  const plain = r - 2
  const shift = placing === 'staggered' && r % 2 === 0 ? Math.floor(plain / 2) : 0
  const before = increaseAt === 'last' ? plain - shift : shift
  const group = [each(kind, before), inOne(kind, 2), each(kind, plain - before)]
  return [repeat(increases, ...group.filter(step => step.do !== 'stitch' || step.times > 0))]
}

/** Sizes of a disc of so many rounds. */
interface DiscSize extends PartSize {
  readonly floor: Floor
}

/**
 * The size of a disc. With edge enough or to spare it is as wide as its rounds reach; with too little it stands as a
 * shallow cone, as wide as its edge allows (craft 5). A floor adds nothing to the bag's height.
 */
export function discSize(rounds: number, increases: number, stitch: StitchSize): DiscSize {
  const circumference = times(stitch.width, increases * rounds)
  const across = flatness(increases, stitch).ratio < 1 ? times(circumference, 1 / Math.PI) : times(stitch.height, 2 * rounds)
  return { height: times(stitch.height, 0), circumference, floor: { shape: 'disc', length: across, width: across } }
}

/** The rounds whose disc comes nearest to a wanted diameter; a disc's diameter grows evenly with its rounds. */
export function roundsForDiameter(diameterCm: number, increases: number, stitch: StitchSize): number {
  return Math.max(1, Math.round(diameterCm / discSize(1, increases, stitch).floor.length.cm))
}

function startOf(spec: Pick<DiscSpec, 'start'>, increases: number, startingChains: number): Start {
  if (spec.start === 'ring') return { kind: 'ring', chains: 0 }
  if (spec.start === 'chain') return { kind: 'chain', chains: Math.max(2, startingChains + 1), firstInto: Math.max(2, startingChains + 1) }
  return { kind: 'chain-ring', chains: Math.max(4, Math.round(increases / 3)) }
}

function tooMany(rounds: number, increases: number): Finding | undefined {
  const total = (increases * rounds * (rounds + 1)) / 2
  if (rounds <= MOST_ROUNDS && total <= MOST_STITCHES) return undefined
  return {
    code: 'base-too-big', weight: 'stop',
    what:
      `This base would take ${rounds.toLocaleString('en')} rounds and ${total.toLocaleString('en')} stitches. Ask for a smaller `
      + 'base, or check the swatch: its stitches may be counted over too small a width.',
  }
}

/** The rounds whose edge, lying flat, comes nearest to a wanted width: half of `increases` stitches a round. */
function roundsForFlatWidth(flatWidthCm: number, increases: number, stitch: StitchSize): number {
  return Math.max(1, Math.round((2 * flatWidthCm) / (increases * stitch.width.cm)))
}

/** The rounds that a spec comes to. */
function roundsOf({ size }: DiscSpec, increases: number, stitch: StitchSize): number {
  if ('pin' in size) return size.pin.rounds
  return 'diameterCm' in size.want
    ? roundsForDiameter(size.want.diameterCm, increases, stitch)
    : roundsForFlatWidth(size.want.flatWidthCm, increases, stitch)
}

/** Works a disc from its middle out. */
export function workDisc(spec: DiscSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const increases = increasesOf(spec, stitch)
  const count = roundsOf(spec, increases, stitch)
  const middle = foundation(spec.start === 'chain' ? 'chain' : 'ring', 1)
  const size = discSize(count, increases, stitch)
  const tooBig = tooMany(count, increases)
  if (tooBig) return stopped(middle, size, tooBig)

  const { rounds, edge, stop } = workUp(middle, count, setting, i =>
    fabricInStyle(setting, i, spec.stitch, spec.colour, circleRound(i + 1, increases, spec.stitch, spec)),
  )
  return {
    rounds, edge: foldedAtStart(edge), size,
    findings: [flatnessFinding(increases, spec.stitch, stitch, stitch.height.cm * count), ...(stop ? [stop] : [])],
    start: startOf(spec, increases, rounds[0]?.round.begin.chains ?? 0),
    layOut: discLayOut(
      rounds,
      size.floor.length.cm / 2 / Math.max(1, count),
      spec.placing === 'stacked' ? { corners: increases, increaseAt: spec.increaseAt } : undefined,
    ),
    markers: rounds.map(() => [0]), bagNotes: growingNotes(spec), looks: FLOOR_LOOKS,
  }
}

/** Makers say so, because the worker worries (craft 13). */
export const FLOOR_LOOKS
  = 'It is meant to look like this: a floor just done may warp a little and look too small; it goes on growing a round or two into the '
    + 'wall.'

/** The polygon that increases one above the other make of a disc: a corner at each of them. */
interface Polygon {
  readonly corners: number
  readonly increaseAt: Growing['increaseAt']
}

/** How far a disc gives in to its polygon: fabric rounds the corners off (from memory). */
const GIVES_IN = 0.6

/**
 * How far out a polygon's edge lies, in radii of the disc with the same edge all round, at a share of the way from one
 * corner to the next. A regular polygon of `n` sides around an incircle of radius `ρ` has the edge `2nρ·tan(π/n)`.
 */
function outOnPolygon(corners: number, share: number): number {
  const inner = Math.PI / (corners * Math.tan(Math.PI / corners))
  return inner / Math.cos((share - 0.5) * ((2 * Math.PI) / corners))
}

/** Where a disc's stitches lie: ring after ring, each round's stitches evenly spread, starting at the top. */
export function discLayOut(rounds: readonly WorkedRound[], reachCm: number, polygon?: Polygon): LayOut {
  return (round, station) => {
    if (round < 0) return { x: 0, y: 0 }
    const count = rounds[round]!.edge.count
    const angle = ((station + 0.5) / count) * 2 * Math.PI
    const out
      = (round + 1) * reachCm * (polygon ? bulge(polygon, round + 1, (station + 0.5) / count, rounds[round]!.round.facing === 'wrong') : 1)
    return { x: -Math.sin(angle) * out, y: -Math.cos(angle) * out }
  }
}

/** How far a stacked disc reaches at a share of the way round, against a round one. Its corners are its increases. */
function bulge({ corners, increaseAt }: Polygon, r: number, wayRound: number, wrong: boolean): number {
  const worked = increaseAt === 'last' ? (r - 1) / r : Math.min(1, 1 / r)
  // A turned round meets its groups from the other end.
  const corner = wrong ? 1 - worked : worked
  const share = wayRound * corners - corner
  return 1 + GIVES_IN * (outOnPolygon(corners, share - Math.floor(share)) - 1)
}

/** A round floor has no sides of its own: the bag folds where its rounds start, and half way round. */
export function foldedAtStart(edge: Edge): Edge {
  return { ...edge, sides: halves(edge.count) }
}

/**
 * Evidence of a measured disc about its stitches: their height (its rounds reach its radius), or, where it has too little edge and
 * stands as a dish, their width.
 */
function discEvidence(
  spec: DiscSpec, { rounds }: { readonly rounds: number }, { lengthCm }: TapeMeasurement, { gauge }: Setting,
): Evidence {
  const kind = spec.stitch
  const increases = increasesOf(spec, gauge[kind])
  return flatness(increases, gauge[kind]).ratio < 1
    ? { kind, width: perStitch(Math.PI * lengthCm, increases * rounds) }
    : { kind, height: perStitch(lengthCm, 2 * rounds) }
}

/** How large a disc is wanted, or is. */
function discWantedCm({ size, ...spec }: DiscSpec, stitch: StitchSize): number {
  if ('pin' in size) return size.pin.rounds * discSize(1, increasesOf(spec, stitch), stitch).floor.length.cm
  return 'flatWidthCm' in size.want ? size.want.flatWidthCm : size.want.diameterCm
}

/** Every disc within a tolerance. */
function discChoices(spec: DiscSpec, { gauge }: Setting, toleranceCm: number): BaseChoice[] {
  const stitch = gauge[spec.stitch]
  const flat = 'want' in spec.size && 'flatWidthCm' in spec.size.want
  const wantedCm = discWantedCm(spec, stitch)
  return increasesToTry(spec.increases, stitch, false).flatMap((increases) => {
    const unit = flat ? (increases * stitch.width.cm) / 2 : discSize(1, increases, stitch).floor.length.cm
    return countsWithin(wantedCm, toleranceCm, unit).map((rounds): BaseChoice => ({
      base: { ...spec, increases, size: { pin: { rounds } } }, stitches: increases * rounds,
      ...offBy({ size: flat ? 'flat width' : 'across', cm: rounds * unit - wantedCm }),
    }))
  })
}

/** Common to both forms of disc. */
export const DISC = {
  begins: (like: Like) => ({ size: { want: { diameterCm: sizesLike(like).lengthCm } }, noneFlat: 'more' as const }),
  increases: (spec: DiscSpec, gauge: Gauge) => increasesOf(spec, gauge[spec.stitch]), nearestIncreases: (increases: number) => increases,
  measures: 'length', evidence: discEvidence, choices: discChoices,
} as const

/** A round floor (craft 5, circle). */
export const circle = form({
  form: 'circle', name: 'round', does: 'A disc, worked from its middle out.', fields, ...DISC, work: workDisc,
  withIncreases: (spec, increases) => ({ ...spec, increases }),
})

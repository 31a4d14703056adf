import type { Gauge, StitchSize } from '../../things/gauge/gauge'
import { type Evidence, perStitch } from '../../things/gauge/refine'
import type { Finding } from '../part/finding'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped, workUp } from '../part/part'
import type { Start } from '../part/start'
import { type Edge, foundation, halves } from '../../things/round/edge'
import { type Step, each, inOne, repeat } from '../../things/round/step'
import { fabricInStyle } from '../../things/round/style'
import type { FabricKind } from '../../things/stitch/dictionary'
import { type BaseChoice, countsWithin, increasesToTry, offBy } from './baseChoice'
import { flatness, flatnessFinding } from './flatness'
import { form, type FormSpec, type Like, sizesLike, type TapeMeasurement } from './form'
import { type Growing, discFields, discSize, increasesOf } from './discFields'
import { discLayOut } from './discLayOut'

/** Notes for the whole bag because of how its increases lie. */
export function growingNotes({ placing }: Pick<Growing, 'placing'>): string[] {
  return placing === 'stacked'
    ? ['Increases lie one above the other, so the floor becomes a soft polygon.']
    : ['Increases shift by half a group every second round, so the floor stays round.']
}

const fields = discFields('Rounds', rounds => rounds)

/** A round floor as the maker asks for it (craft 5, circle). */
export type CircleSpec = FormSpec<'circle', typeof fields>
/** A disc, whether it is the whole floor or one of two. */
type DiscSpec = Omit<CircleSpec, 'form'>

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

import type { Finding } from '../part/finding'
import type { Handle } from '../part/handle'
import type { PartResult, Setting, Size } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../round/edge'
import { between, markerPlan, middleWay, type OnRim, strapsTooWide } from './onRim'
import { placed, placesNear } from './placing'
import { facingBelow, gripBetween, offPlace, rimStitchCm, sts, wayOf } from './rim'
import { type Free, freePart, leastRows, type StrapLength, stripFromRim } from './strip'
import { nothingWorked } from './unworked'

/** How the end of a strap that grew from the rim is joined: sewn, or by slip stitches through both. */
export const STRAP_JOINS = ['sewn', 'slip'] as const
export type StrapJoin = (typeof STRAP_JOINS)[number]

/** A strap grown from the rim at one side, over the mouth to the other. */
export interface GrownStrapSpec extends OnRim {
  readonly band: 'grown-strap'
  /** Stitches of the rim that each end holds, and stitches across between. */
  readonly foot: number
  readonly wide: number
  readonly length: StrapLength
  readonly join: StrapJoin
}

/** A short and a long strap, each around one end of the bag: the long one passes through the short one. */
export interface KnotStrapsSpec extends OnRim {
  readonly band: 'knot-straps'
  readonly foot: number
  readonly wide: number
  /** How much of the rim each strap goes around, between its feet. */
  readonly width: Size<{ readonly widthCm: number }, { readonly stitches: number }>
  readonly short: StrapLength
  readonly long: StrapLength
  readonly join: StrapJoin
}

/** Sewing, in words: there, and back through the same holes. */
function sewingWords(join: StrapJoin, foot: number): string {
  return join === 'sewn'
    ? `Sew the last row to the ${foot} marked stitches, stitch by stitch: whip stitch there, and back again through the same holes.`
    : `Hold the last row to the ${foot} marked stitches and join them with {slst} through both, one for one; it is quicker than sewing and leaves a ridge.`
}

const NO_TWIST = 'Lay the strap over without a twist before you join it: run a finger along one edge from foot to foot; it must stay the same edge.'

/** Which of a strap's faces is seen, said where it begins. */
function leadWords(at: string, foot: number): string {
  return `Right side facing, join the yarn in the first of the ${foot} stitches marked (${at} of the last round). The first row faces as the bag does: the strap's right side is the bag's.`
}

/** Works a strap from side to side. */
export function grownStrap(spec: GrownStrapSpec, edge: Edge, setting: Setting): PartResult {
  const most = Math.floor((edge.count - 2) / 2)
  if (spec.foot > most) return nothingWorked(edge, setting, [strapsTooWide(`Two feet of ${spec.foot} stitches do not fit on ${edge.count}: at most ${most} each.`, { label: `Feet of ${most}`, changes: [{ path: ['foot'], value: most }, { path: ['wide'], value: Math.min(spec.wide, most) }] })])
  const wide = Math.min(spec.wide, spec.foot)
  const stitchCm = rimStitchCm(edge, setting)
  const placing = placed(edge, spec.foot, 'sides', spec.nudge)
  const gapCm = Math.min(...placing.gaps) * stitchCm
  const { gauge } = setting
  const free = longEnough(freePart(spec.length, gauge[spec.stitch].height.cm, gapCm), spec.foot, wide, gauge[spec.stitch].height.cm)
  const made = stripFromRim(spec.stitch, spec.foot, wide, free.count, spec.colour, gauge)
  const [one, other] = placing.firsts.map(first => sts(first, spec.foot, edge.count)) as [string, string]
  const piece: Piece = {
    id: 'strap', name: 'Strap', times: 1, ...made, along: false, colour: spec.colour, lead: leadWords(one, spec.foot),
    advice: spec.foot > wide ? [`It draws in to ${wide} stitches, runs at that, and opens out to ${spec.foot} again.`] : [],
    finish: [NO_TWIST, sewingWords(spec.join, spec.foot), `Its other end goes to ${other}.`],
  }
  const handle: Handle = {
    name: 'Strap', feet: [middleWay(edge, setting, placing.firsts[0], spec.foot), middleWay(edge, setting, placing.firsts[1], spec.foot)], lies: 'over',
    lengthCm: free.lengthCm, gapCm, widthCm: made.widthCm, strands: wide, aboveCm: 0, colour: spec.colour,
  }
  const runs: Finding = { code: 'strap-runs', weight: 'note', what: `Feet on ${one} and ${other}: ${between(placing)} between them. ${free.count} rows.` }
  return nothingWorked(edge, setting, [runs, ...offPlace(placing, spec, 'The feet'), ...(spec.wide > spec.foot ? [widerThanFoot(spec.foot)] : [])], { pieces: [piece], handles: [handle], grip: gripBetween(edge, setting, placing), advice: markerPlan([one, other], placing) })
}

function widerThanFoot(foot: number): Finding {
  return { code: 'strap-wider-than-foot', weight: 'watch', what: `A strap cannot be wider than its feet, so it is worked over ${foot} stitches.`, fix: { label: `${foot} stitches wide`, changes: [{ path: ['wide'], value: foot }] } }
}

/** A strap from the rim cannot have fewer rows than it takes to draw in and open out again. */
function longEnough(free: Free, foot: number, wide: number, stepCm: number): Free {
  const count = Math.max(free.count, leastRows(foot, wide))
  return { count, lengthCm: count * stepCm }
}

/** Works a knot bag's two straps. */
export function knotStraps(spec: KnotStrapsSpec, edge: Edge, setting: Setting): PartResult {
  const stitchCm = rimStitchCm(edge, setting)
  const spanned = 'pin' in spec.width ? spec.width.pin.stitches : placesNear(edge.count, spec.width.want.widthCm / stitchCm, 'sides')
  const most = Math.floor(edge.count / 2) - 2 * spec.foot - 1
  if (spanned > most) {
    return nothingWorked(edge, setting, [strapsTooWide(`Two straps that each go around ${spanned} stitches on feet of ${spec.foot} do not fit on ${edge.count} stitches: at most ${Math.max(0, most)}.`, most > 0 ? { label: `Around ${most} stitches`, changes: [{ path: ['width'], value: { pin: { stitches: most } } }] } : undefined)])
  }
  const wide = Math.min(spec.wide, spec.foot)
  const placing = placed(edge, spanned + 2 * spec.foot, 'sides', spec.nudge)
  const stepCm = setting.gauge[spec.stitch].height.cm
  const made = (['short', 'long'] as const).map((which, i) => {
    const first = placing.firsts[i]!
    const free = longEnough(freePart(spec[which], stepCm, 0), spec.foot, wide, stepCm)
    const worked = stripFromRim(spec.stitch, spec.foot, wide, free.count, spec.colour, setting.gauge)
    const [one, other] = [sts(first, spec.foot, edge.count), sts(first + spec.foot + spanned, spec.foot, edge.count)]
    const name = which === 'short' ? 'Short strap' : 'Long strap'
    const facing = facingBelow(setting)
    const piece: Piece = { id: which, name, times: 1, ...worked, along: false, colour: spec.colour, lead: leadWords(one, spec.foot), advice: [], finish: [NO_TWIST, sewingWords(spec.join, spec.foot), `Its other end goes to ${other}.`] }
    const handle: Handle = { name, feet: [wayOf(edge, first + spec.foot / 2, facing), wayOf(edge, first + 1.5 * spec.foot + spanned, facing)], lies: 'around', lengthCm: free.lengthCm, gapCm: 0, widthCm: worked.widthCm, strands: wide, aboveCm: 0, colour: spec.colour }
    return { piece, handle, one, other, free }
  })
  const [short, long] = made as [typeof made[0], typeof made[0]]
  return nothingWorked(edge, setting, [
    { code: 'strap-runs', weight: 'note', what: `Short strap on ${short.one} and ${short.other}, long strap on ${long.one} and ${long.other}: each goes around ${spanned} stitches at its side, and ${between(placing)} free on each face.` },
    ...offPlace(placing, spec, 'The straps'), ...(spec.wide > spec.foot ? [widerThanFoot(spec.foot)] : []), ...knotFindings(short.free, long.free),
  ], { pieces: made.map(({ piece }) => piece), handles: made.map(({ handle }) => handle), grip: gripBetween(edge, setting, placing), advice: [`Markers, counted from the start of the last round: ${short.one} and ${short.other} for the short strap, ${long.one} and ${long.other} for the long one. Flatten the bag: each pair lies one foot upon the other.`, 'To close the bag, pass the long strap through the short one and pull.'] })
}

function knotFindings(short: Free, long: Free): Finding[] {
  if (long.lengthCm >= 1.5 * short.lengthCm) return []
  const count = Math.ceil(short.count * 2)
  return [{
    code: 'knot-too-alike', weight: 'watch', what: 'The long strap has to pass through the short one and still be carried: make it about twice as long (common practice).',
    fix: { label: `A long strap of ${count} rows`, changes: [{ path: ['long'], value: { pin: { count } } }] },
  }]
}

import type { Finding } from '../part/finding'
import type { Handle } from '../part/handle'
import type { PartResult, Setting, Size } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../round/edge'
import { dropCm } from './drop'
import { type Placing, placed, placesNear, markedAnew } from './placing'
import { faces, facingBelow, gripOf, offPlace, rimStitchCm, sts, wayOf } from './rim'
import { type Free, freePart, growthCm, leastRows, type StrapLength, strip, stripFromRim, type StripStitch, type StripWay, stripWidthCm } from './strip'
import { nothingWorked, refusedOnHandles } from './unworked'

/** How the end of a strap that grew from the rim is joined: sewn, or by slip stitches through both. */
export const STRAP_JOINS = ['sewn', 'slip'] as const
export type StrapJoin = (typeof STRAP_JOINS)[number]

/** What makes a strap bear more: a patch of fabric behind each foot; a woven tape sewn along its back. */
export const REINFORCED = ['none', 'patch', 'tape'] as const
export type Reinforced = (typeof REINFORCED)[number]

/** What straps placed on the rim all say. */
interface OnRim {
  readonly stitch: StripStitch
  /** Stitches that everything is moved on from where it is centred; opposite feet mirror it. */
  readonly nudge: number
  /** Where the maker marked the first side anew: so many stitches on from the start of the round. */
  readonly sideAt?: number
  readonly colour: string
}

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

/** Straps worked on their own and sewn on, one on each face, or one alone. */
export interface SewnStrapsSpec extends OnRim {
  readonly band: 'sewn-straps'
  readonly number: 1 | 2
  readonly worked: StripWay
  /** Stitches across, or long rows side by side. */
  readonly wide: number
  readonly length: StrapLength
  /** How far in from each side of the bag its outer edges are sewn. */
  readonly inCm: number
  /** How much of each end lies on the bag. */
  readonly overlapCm: number
  /** Lines of stitching there and back, one inside the other. */
  readonly lines: 1 | 2
  readonly reinforced: Reinforced
}

/** A strap that runs under the whole bag and up both sides: the load hangs in it, not on the rim. */
export interface UnderStrapSpec extends OnRim {
  readonly band: 'under-strap'
  readonly worked: StripWay
  readonly wide: number
  readonly length: StrapLength
  readonly lines: 1 | 2
}

export const STRAP_KINDS = ['grown-strap', 'knot-straps', 'sewn-straps', 'under-strap'] as const
export type StrapSpec = GrownStrapSpec | KnotStrapsSpec | SewnStrapsSpec | UnderStrapSpec

/** The turn of a side that straps from side to side stand on, and what is between them. */
interface Feet {
  readonly placing: Placing
  readonly marked: Edge
}

function turnsNext({ rounds, turns }: Setting): boolean {
  return rounds.style === 'turned' && turns > 0
}

function feetAt(spec: OnRim, edge: Edge, setting: Setting, places: number, centred: 'faces' | 'sides'): Feet {
  const marked = markedAnew(edge, turnsNext(setting), spec.sideAt)
  return { marked, placing: placed(marked, places, centred, spec.nudge) }
}

/** How far round a span's middle lies. */
function middleWay(edge: Edge, setting: Setting, first: number, places: number): number {
  const way = wayOf(edge, first + places / 2, facingBelow(setting))
  return way - Math.floor(way)
}

const tooWide = (what: string, fix?: Finding['fix']): Finding => ({ code: 'straps-too-wide', weight: 'stop', what, ...(fix ? { fix } : {}) })

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
function grownStrap(spec: GrownStrapSpec, edge: Edge, setting: Setting): PartResult {
  const most = Math.floor((edge.count - 2) / 2)
  if (spec.foot > most) return nothingWorked(edge, setting, [tooWide(`Two feet of ${spec.foot} stitches do not fit on ${edge.count}: at most ${most} each.`, { label: `Feet of ${most}`, changes: [{ path: ['foot'], value: most }, { path: ['wide'], value: Math.min(spec.wide, most) }] })])
  const wide = Math.min(spec.wide, spec.foot)
  const stitchCm = rimStitchCm(edge, setting)
  const { placing } = feetAt(spec, edge, setting, spec.foot, 'sides')
  const gapCm = Math.min(...placing.gaps) * stitchCm
  const { gauge } = setting
  const free = longEnough(freePart(spec.length, gauge[spec.stitch].height.cm, gapCm), spec.foot, wide, gauge[spec.stitch].height.cm, gapCm)
  const made = stripFromRim(spec.stitch, spec.foot, wide, free.count, spec.colour, gauge)
  const [one, other] = placing.firsts.map(first => sts(first, spec.foot, edge.count)) as [string, string]
  const piece: Piece = {
    id: 'strap', name: 'Strap', times: 1, ...made, along: false, colour: spec.colour, lead: leadWords(one, spec.foot),
    advice: spec.foot > wide ? [`It draws in to ${wide} stitches, runs at that, and opens out to ${spec.foot} again.`] : [],
    finish: [NO_TWIST, sewingWords(spec.join, spec.foot), `Its other end goes to ${other}.`],
  }
  const handle: Handle = {
    name: 'Strap', feet: [middleWay(edge, setting, placing.firsts[0], spec.foot), middleWay(edge, setting, placing.firsts[1], spec.foot)], lies: 'over',
    lengthCm: free.lengthCm, gapCm, widthCm: made.widthCm, strands: wide, footStitches: spec.foot, aboveCm: 0, colour: spec.colour,
  }
  const runs: Finding = { code: 'strap-runs', weight: 'note', what: `Feet on ${one} and ${other}: ${between(placing)} between them. ${free.count} rows.` }
  return nothingWorked(edge, setting, [runs, ...offPlace(placing, spec, 'The feet'), ...(spec.wide > spec.foot ? [widerThanFoot(spec.foot)] : [])], { pieces: [piece], handles: [handle], advice: markerPlan([one, other], placing) })
}

function widerThanFoot(foot: number): Finding {
  return { code: 'strap-wider-than-foot', weight: 'watch', what: `A strap cannot be wider than its feet, so it is worked over ${foot} stitches.`, fix: { label: `${foot} stitches wide`, changes: [{ path: ['wide'], value: foot }] } }
}

function between({ gaps: [a, b] }: Placing): string {
  return a === b ? `${a} stitches lie` : `${Math.min(a, b)} and ${Math.max(a, b)} stitches lie`
}

function markerPlan(at: readonly string[], placing: Placing): string[] {
  return [`Markers: flatten the bag and mark ${at.join(' and ')}, counted from the start of the last round; ${between(placing)} between the feet. Count between them on both sides before you begin.`]
}

/** A strap from the rim cannot have fewer rows than it takes to draw in and open out again. */
function longEnough(free: Free, foot: number, wide: number, stepCm: number, gapCm: number): Free {
  const count = Math.max(free.count, leastRows(foot, wide))
  return count === free.count ? free : { count, lengthCm: count * stepCm, dropCm: dropCm(count * stepCm, gapCm) }
}

/** Works a knot bag's two straps. */
function knotStraps(spec: KnotStrapsSpec, edge: Edge, setting: Setting): PartResult {
  const stitchCm = rimStitchCm(edge, setting)
  const spanned = 'pin' in spec.width ? spec.width.pin.stitches : placesNear(edge.count, spec.width.want.widthCm / stitchCm, 'sides')
  const most = Math.floor(edge.count / 2) - 2 * spec.foot - 1
  if (spanned > most) {
    return nothingWorked(edge, setting, [tooWide(`Two straps that each go around ${spanned} stitches on feet of ${spec.foot} do not fit on ${edge.count} stitches: at most ${Math.max(0, most)}.`, most > 0 ? { label: `Around ${most} stitches`, changes: [{ path: ['width'], value: { pin: { stitches: most } } }] } : undefined)])
  }
  const wide = Math.min(spec.wide, spec.foot)
  const { placing } = feetAt(spec, edge, setting, spanned + 2 * spec.foot, 'sides')
  const stepCm = setting.gauge[spec.stitch].height.cm
  const made = (['short', 'long'] as const).map((which, i) => {
    const first = placing.firsts[i]!
    const free = longEnough(freePart(spec[which], stepCm, 0), spec.foot, wide, stepCm, 0)
    const worked = stripFromRim(spec.stitch, spec.foot, wide, free.count, spec.colour, setting.gauge)
    const [one, other] = [sts(first, spec.foot, edge.count), sts(first + spec.foot + spanned, spec.foot, edge.count)]
    const name = which === 'short' ? 'Short strap' : 'Long strap'
    const facing = facingBelow(setting)
    const piece: Piece = { id: which, name, times: 1, ...worked, along: false, colour: spec.colour, lead: leadWords(one, spec.foot), advice: [], finish: [NO_TWIST, sewingWords(spec.join, spec.foot), `Its other end goes to ${other}.`] }
    const handle: Handle = { name, feet: [wayOf(edge, first + spec.foot / 2, facing), wayOf(edge, first + 1.5 * spec.foot + spanned, facing)], lies: 'around', lengthCm: free.lengthCm, gapCm: 0, widthCm: worked.widthCm, strands: wide, footStitches: spec.foot, aboveCm: 0, colour: spec.colour }
    return { piece, handle, one, other, free }
  })
  const [short, long] = made as [typeof made[0], typeof made[0]]
  return nothingWorked(edge, setting, [
    { code: 'strap-runs', weight: 'note', what: `Short strap on ${short.one} and ${short.other}, long strap on ${long.one} and ${long.other}: each goes around ${spanned} stitches at its side, and ${between(placing)} free on each face.` },
    ...offPlace(placing, spec, 'The straps'), ...(spec.wide > spec.foot ? [widerThanFoot(spec.foot)] : []), ...knotFindings(short.free, long.free),
  ], { pieces: made.map(({ piece }) => piece), handles: made.map(({ handle }) => handle), advice: [`Markers, counted from the start of the last round: ${short.one} and ${short.other} for the short strap, ${long.one} and ${long.other} for the long one. Flatten the bag: each pair lies one foot upon the other.`, 'To close the bag, pass the long strap through the short one and pull.'] })
}

function knotFindings(short: Free, long: Free): Finding[] {
  if (long.lengthCm >= 1.5 * short.lengthCm) return []
  const count = Math.ceil(short.count * 2)
  return [{
    code: 'knot-too-alike', weight: 'watch', what: 'The long strap has to pass through the short one and still be carried: make it about twice as long (common practice).',
    fix: { label: `A long strap of ${count} rows`, changes: [{ path: ['long'], value: { pin: { count } } }] },
  }]
}

const LINES = { 1: 'one line of back stitch', 2: 'two lines of back stitch, one inside the other' } as const

function reinforcedWords(reinforced: Reinforced): string[] {
  switch (reinforced) {
    case 'patch': return ['Behind each foot sew a small square of fabric, worked double or cut from firm cloth, with the same stitches: the pull spreads over it.']
    case 'tape': return ['Sew a woven tape along the back of each strap, from the end of one foot to the end of the other, before you sew it on: the tape takes the pull, and the strap no longer lengthens.']
    case 'none': return []
  }
}

/** Works straps that are sewn on. */
function sewnStraps(spec: SewnStrapsSpec, edge: Edge, setting: Setting): PartResult {
  const size = setting.gauge[spec.stitch]
  const stitchCm = rimStitchCm(edge, setting)
  const widthCm = stripWidthCm(spec.worked, size, spec.wide)
  const foot = Math.max(1, Math.round(widthCm / stitchCm))
  const places = placesNear(edge.count, edge.count / 2 - (2 * spec.inCm) / stitchCm, 'faces')
  if (places < 2 * foot + 1 || 2 * places > edge.count) {
    const inCm = Math.max(0, Math.floor(((edge.count / 2 - 2 * foot - 3) * stitchCm) / 2 * 10) / 10)
    return nothingWorked(edge, setting, [tooWide(`Sewn so far in from the sides, the feet of a strap ${widthCm.toFixed(1)} cm wide would meet.`, { label: `${inCm} cm in from the sides`, changes: [{ path: ['inCm'], value: inCm }] })])
  }
  const { placing } = feetAt(spec, edge, setting, places, 'faces')
  const gap = places - 2 * foot
  const stepCm = growthCm(spec.worked, size)
  const free = freePart(spec.length, stepCm, gap * stitchCm)
  const count = free.count + 2 * Math.max(0, Math.round(spec.overlapCm / stepCm))
  const made = strip(spec.worked, spec.stitch, spec.wide, count, spec.colour, setting.gauge)
  const on = faces(edge, setting, placing.firsts, places).slice(0, spec.number)
  const at = placing.firsts.slice(0, spec.number).map(first => [sts(first, foot, edge.count), sts(first + places - foot, foot, edge.count)])
  const inStitches = Math.floor(placing.gaps[1] / 2)
  const piece: Piece = {
    id: 'strap', name: spec.number === 2 ? 'Straps' : 'Strap', times: spec.number, ...made, along: spec.worked !== 'across', colour: spec.colour,
    advice: [
      spec.worked === 'across' ? 'Short rows across: the edges are the row ends. An edging of {sc} along both keeps it from curling.' : spec.worked === 'bumps' ? 'The first row goes into the bumps on the back of the chain: both long edges then look alike.' : 'Long rows: chain loosely, or with a larger hook, or the first edge pulls.',
    ],
    finish: [
      `Right side out, lay ${(spec.overlapCm).toFixed(1)} cm of each end flat on the bag, its outer edge ${inStitches} stitches in from the side. Pin all ends and hold the bag up by them before you sew: they must hang level.`,
      `Sew around each foot: down one side, across, up the other and along the rim, there and back, with ${LINES[spec.lines]}. ${spec.lines === 1 ? 'A second line inside the first holds more.' : ''}`.trim(),
      ...reinforcedWords(spec.reinforced),
    ],
  }
  const inner = (foot / edge.count)
  const handles = on.map(({ name, feet }): Handle => ({
    name: spec.number === 2 ? `Strap, ${name}` : 'Strap', feet: [feet[0] + inner, feet[1] - inner], lies: 'along', lengthCm: free.lengthCm, gapCm: gap * stitchCm, widthCm: made.widthCm, strands: spec.wide, footStitches: foot, onBagCm: spec.overlapCm, aboveCm: 0, colour: spec.colour,
  }))
  return nothingWorked(edge, setting, [
    { code: 'strap-runs', weight: 'note', what: `Feet of ${foot} stitches, ${inStitches} in from the sides, ${gap} stitches between them: ${at.map(pair => pair.join(' and ')).join('; ')}.` },
    ...offPlace(placing, spec, 'The straps'),
  ], { pieces: [piece], handles, grip: gripOf(edge, setting, placing), advice: [`Markers, counted from the start of the last round: ${at.map((pair, i) => `${pair.join(' and ')}${spec.number === 2 ? ` on the ${on[i]!.name}` : ''}`).join('; ')}.`] })
}

/** What the two ends of a strap under the bag lie over each other (from memory). */
const SEAM_CM = 3

/** Works a strap that carries the bag from below. */
function underStrap(spec: UnderStrapSpec, edge: Edge, setting: Setting): PartResult {
  const size = setting.gauge[spec.stitch]
  const stitchCm = rimStitchCm(edge, setting)
  const widthCm = stripWidthCm(spec.worked, size, spec.wide)
  const foot = Math.max(1, Math.round(widthCm / stitchCm))
  if (2 * foot + 2 > edge.count) return nothingWorked(edge, setting, [tooWide(`A strap ${widthCm.toFixed(1)} cm wide does not fit twice on this rim. Make it narrower.`)])
  const { placing } = feetAt(spec, edge, setting, foot, 'sides')
  const gapCm = Math.min(...placing.gaps) * stitchCm
  const stepCm = growthCm(spec.worked, size)
  const free = freePart(spec.length, stepCm, gapCm)
  const below = 2 * (setting.tallCm ?? 0) + (setting.floor?.length.cm ?? 0)
  const count = free.count + Math.round((below + SEAM_CM) / stepCm)
  const made = strip(spec.worked, spec.stitch, spec.wide, count, spec.colour, setting.gauge)
  const [one, other] = placing.firsts.map(first => sts(first, foot, edge.count)) as [string, string]
  const piece: Piece = {
    id: 'strap', name: 'Strap', times: 1, ...made, along: spec.worked !== 'across', colour: spec.colour, advice: [],
    finish: [
      `Join its ends to a ring, ${SEAM_CM} cm one over the other, there and back with ${LINES[spec.lines]}; lay that seam under the floor.`,
      `Right side out, sew it across the floor from side to side, up one side to ${one} at the rim, and up the other to ${other}: both edges, there and back. ${free.lengthCm.toFixed(1)} cm stay free above the rim. See that it is not twisted.`,
    ],
  }
  const handle: Handle = {
    name: 'Strap', feet: [middleWay(edge, setting, placing.firsts[0], foot), middleWay(edge, setting, placing.firsts[1], foot)], lies: 'over', lengthCm: free.lengthCm, gapCm, widthCm: made.widthCm, strands: spec.wide, footStitches: foot, aboveCm: 0, onBagCm: setting.tallCm ?? 0, colour: spec.colour, under: true,
  }
  return nothingWorked(edge, setting, [
    { code: 'strap-runs', weight: 'note', what: `${made.lengthCm.toFixed(1)} cm in all: ${below.toFixed(1)} under the bag and up its sides, ${free.lengthCm.toFixed(1)} free, ${SEAM_CM} for the seam. It passes the rim at ${one} and ${other}.` },
    ...offPlace(placing, spec, 'The strap'),
  ], { pieces: [piece], handles: [handle], advice: [`Markers, counted from the start of the last round: ${one} and ${other}; ${between(placing)} between them. Mark the middles of the floor's two ends as well.`] })
}

/** Works straps of any kind; none on a rim that has handles worked in it. */
export function straps(spec: StrapSpec, edge: Edge, setting: Setting): PartResult {
  if (edge.free) return refusedOnHandles(edge, setting, 'These straps')
  switch (spec.band) {
    case 'grown-strap': return grownStrap(spec, edge, setting)
    case 'knot-straps': return knotStraps(spec, edge, setting)
    case 'sewn-straps': return sewnStraps(spec, edge, setting)
    case 'under-strap': return underStrap(spec, edge, setting)
  }
}

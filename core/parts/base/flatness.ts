import type { StitchSize } from '../../things/gauge/gauge'
import { tape } from '../../things/stitch/translate'
import { combinedShare, relativeUncertainty } from '../../things/measure/length'
import type { Finding } from '../part/finding'
import type { FabricKind } from '../../things/stitch/dictionary'

/** Effect of a number of increases a round on a disc. */
export interface Flatness {
  /** Edge there is to the edge a flat disc needs: `n·w / (2πh)` (craft 5). 1 lies flat. */
  readonly ratio: number
  readonly plusMinus: number
  readonly judgement: Judgement
}

export type Judgement = 'dish' | 'flat' | 'ripple' | 'ruffle'

/** Within these a base lies flat, or ripples so mildly that the wall tames it (craft 5; from memory). */
const FLAT_SHARE = 0.07
const RIPPLE_SHARE = 0.3

/** The shares of edge that lie flat: by the craft's rule of thumb, and beyond that where the maker's own floors did. */
function flatFor({ liesFlat }: Pick<StitchSize, 'liesFlat'>): readonly [number, number] {
  const [from, to] = liesFlat ?? [1, 1]
  return [Math.min(1 - FLAT_SHARE, from), Math.max(1 + FLAT_SHARE, to)]
}

function judge(ratio: number, stitch: StitchSize): Judgement {
  const [from, to] = flatFor(stitch)
  if (ratio < from) return 'dish'
  if (ratio <= to) return 'flat'
  return ratio <= 1 + RIPPLE_SHARE ? 'ripple' : 'ruffle'
}

/** The flatness of a disc that gains `increases` stitches of this size each round. */
export function flatness(increases: number, stitch: StitchSize): Flatness {
  const ratio = (increases * stitch.width.cm) / (2 * Math.PI * stitch.height.cm)
  const share = combinedShare(relativeUncertainty(stitch.width), relativeUncertainty(stitch.height))
  return { ratio, plusMinus: ratio * share, judgement: judge(ratio, stitch) }
}

/** The whole number of increases a round with which a disc of this stitch lies flattest. */
export function flatIncreases(stitch: StitchSize): number {
  return Math.max(3, Math.round((2 * Math.PI * stitch.height.cm) / stitch.width.cm))
}

/** The choice where no whole number of increases lies flat: the nearest, or the larger, which settles by patting. */
export type NoneFlat = 'nearest' | 'more'

/**
 * The number of increases a round that a gauge comes to, a multiple of `step`: the nearest, if that lies flat or is asked for; else the
 * larger of the two about it, whose edge warps a little where the smaller would cup (handbook 5).
 */
export function gaugeIncreases(stitch: StitchSize, step: 1 | 2, noneFlat: NoneFlat = 'nearest'): number {
  const flat = (2 * Math.PI * stitch.height.cm) / stitch.width.cm
  const nearest = Math.round(flat / step) * step
  const least = step === 1 ? 3 : 4
  if (noneFlat === 'nearest' || nearest / flat >= 1 - FLAT_SHARE) return Math.max(least, nearest)
  return Math.max(least, nearest + step)
}

/**
 * How deep a disc with too few increases stands, if the fabric were a rigid sheet: a cone whose slant is the worked
 * radius and whose rim has the edge that there is. 0 when there is edge enough.
 */
export function dishDepthCm(slantCm: number, ratio: number): number {
  return ratio >= 1 ? 0 : slantCm * Math.sqrt(1 - ratio * ratio)
}

/** The numbers of increases a round that makers teach for a stitch (craft 5; common practice, no source). */
const USUAL: Readonly<Partial<Record<FabricKind, readonly number[]>>> = { sc: [6, 8], hdc: [8, 10], dc: [12], tr: [16] }

/** How a disc lies as far as it is known: for certain, or perhaps. */
interface Verdict extends Flatness {
  readonly certain: boolean
}

/** A verdict is only certain where the ratio that speaks least for it would still come to the same. */
function verdictOf(increases: number, stitch: StitchSize): Verdict {
  const found = flatness(increases, stitch)
  const { ratio, plusMinus, judgement } = found
  const least = judgement === 'dish' ? ratio + plusMinus : judgement === 'flat' ? ratio : ratio - plusMinus
  return { ...found, certain: judge(least, stitch) === judgement }
}

const SAYS: Record<Judgement, (will: string, times: string, depth: string) => string> = {
  dish: (will, times, depth) =>
    `${will} cup: its edge is only ${times} of what a flat disc needs. A rigid sheet would stand ${depth} deep; fabric gives a little.`,
  flat: (will, times) => `${will} lie flat: its edge is ${times} of what a flat disc needs.`,
  ripple: (will, times) =>
    `${will} warp a little at the edge, which is ${times} of what a flat disc needs. Makers call that normal: it settles with patting, `
    + 'and the wall draws it in.',
  ruffle: (will, times) => `${will} ruffle: its edge is ${times} of what a flat disc needs.`,
}

/**
 * Weight of a verdict: a caution only where it is certain to cup or to ruffle; what is usual for the stitch, and does not certainly
 * ruffle, is normal practice.
 */
function weightOf({ judgement, certain }: Verdict, usual: boolean, best: boolean): Finding['weight'] {
  // What no other number mends is no warning.
  if (judgement === 'flat' || (best && judgement === 'ripple')) return 'note'
  if (judgement === 'ripple') return usual ? 'note' : 'watch'
  if (certain) return 'caution'
  return usual && judgement === 'ruffle' ? 'note' : 'watch'
}

/**
 * The finding on a disc's flatness, with the number of increases that would mend it.
 *
 * @param step what its numbers are multiples of: of two halves of a disc, 2
 */
export function flatnessFinding(increases: number, kind: FabricKind, stitch: StitchSize, slantCm: number, step: 1 | 2 = 1): Finding {
  const verdict = verdictOf(increases, stitch)
  const { ratio, plusMinus, judgement, certain } = verdict
  const usual = USUAL[kind]?.includes(increases) ?? false
  const times = `${ratio.toFixed(2)} ± ${Math.max(plusMinus, 0.01).toFixed(2)}`
  const depth = tape(dishDepthCm(slantCm, ratio))
  const [from, to] = flatFor(stitch)
  const own = stitch.liesFlat && (ratio < 1 - FLAT_SHARE || ratio > 1 + FLAT_SHARE) && judgement === 'flat'
  const rule = own
    ? `(Your own floors lay flat from ${from.toFixed(2)} to ${to.toFixed(2)}: from your logbook.)`
    : '(Flat within 7 %, mild to 30 %: rules of thumb.)'
  const school = usual && judgement !== 'flat' ? ` ${increases} a round is a usual number for {${kind}}.` : ''
  const what = `With ${increases} increases a round the base ${SAYS[judgement](certain ? 'will' : 'may', times, depth)}${school} ${rule}`
  const better = gaugeIncreases(stitch, step, 'more')
  const found = { code: `base-${judgement}`, weight: weightOf(verdict, usual, better === increases), what }
  if (judgement === 'flat' || better === increases) return found
  return { ...found, fix: { label: `Use ${better} increases a round`, changes: [{ path: ['increases'], value: better }] } }
}

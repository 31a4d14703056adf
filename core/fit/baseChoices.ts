import type { BaseSpec } from '../base/base'
import { workBase } from '../base/base'
import { discSize, increasesOf } from '../base/circle'
import { flatIncreases, flatness } from '../base/flatness'
import { ovalCounts, ovalFloor, perEndOf } from '../base/oval'
import { rectangleEdge, rectangleFloor } from '../base/rectangle'
import { pinned } from '../base/sizing'
import type { StitchSize } from '../gauge/gauge'
import type { Setting } from '../part/part'

/** A base with its counts pinned, the stitches its edge has, and how far its sizes are from the wanted ones. */
export interface BaseChoice {
  readonly base: BaseSpec
  readonly stitches: number
  /** Summed over its sizes; each is within the tolerance. */
  readonly errorCm: number
  /** How much larger each size is than wanted, by its name; below 0 smaller. */
  readonly off: readonly { readonly size: 'length' | 'width' | 'across' | 'flat width', readonly cm: number }[]
}

/** Whole numbers whose size, `unit` a piece from `start` at 0, lies within a tolerance of a wanted one. */
function within(wantedCm: number, toleranceCm: number, unit: number, start = 0, least = 1): number[] {
  const from = Math.max(least, Math.ceil((wantedCm - toleranceCm - start) / unit - 1e-9))
  const to = Math.floor((wantedCm + toleranceCm - start) / unit + 1e-9)
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i)
}

/** The numbers of increases worth trying: the maker's own, or those that lie flat in this gauge, or nearly. */
function increasesToTry(asked: number | 'by-gauge', stitch: StitchSize, half: boolean): number[] {
  if (asked !== 'by-gauge') return [asked]
  const best = half ? Math.max(2, Math.round(flatIncreases(stitch) / 2)) : flatIncreases(stitch)
  return [best - 1, best, best + 1].filter(n => n >= (half ? 2 : 3) && (n === best || ['flat', 'ripple'].includes(flatness(half ? 2 * n : n, stitch).judgement)))
}

function offBy(...off: BaseChoice['off']): Pick<BaseChoice, 'off' | 'errorCm'> {
  return { off, errorCm: off.reduce((sum, { cm }) => sum + Math.abs(cm), 0) }
}

type Of<F extends BaseSpec['form']> = Extract<BaseSpec, { form: F }>

function discs(spec: Of<'circle' | 'double-disc'>, stitch: StitchSize, toleranceCm: number): BaseChoice[] {
  return increasesToTry(spec.increases, stitch, false).flatMap((increases) => {
    const unit = discSize(1, increases, stitch).floor.length.cm
    const flatUnit = (increases * stitch.width.cm) / 2
    const flat = 'want' in spec.size && 'flatWidthCm' in spec.size.want
    const wantedCm = 'pin' in spec.size ? spec.size.pin.rounds * discSize(1, increasesOf(spec, stitch), stitch).floor.length.cm : 'flatWidthCm' in spec.size.want ? spec.size.want.flatWidthCm : spec.size.want.diameterCm
    return within(wantedCm, toleranceCm, flat ? flatUnit : unit).map((rounds): BaseChoice => ({
      base: { ...spec, increases, size: { pin: { rounds } } }, stitches: increases * rounds,
      ...offBy({ size: flat ? 'flat width' : 'across', cm: rounds * (flat ? flatUnit : unit) - wantedCm }),
    }))
  })
}

function ovals(spec: Of<'oval'>, setting: Setting, toleranceCm: number): BaseChoice[] {
  const stitch = setting.gauge[spec.stitch]
  const foundation = spec.start === 'foundation-sc' ? setting.gauge.sc.height : undefined
  const now = ovalFloor(ovalCounts(spec, setting), perEndOf(spec, stitch), stitch, foundation)
  const want = 'pin' in spec.size ? { lengthCm: now.length.cm, widthCm: now.width.cm } : spec.size.want
  return increasesToTry(spec.perEnd, stitch, true).flatMap((perEnd) => {
    const disc = ovalFloor({ sideStitches: 0, rounds: 1 }, perEnd, stitch).width.cm
    return within(want.widthCm, toleranceCm, disc, foundation?.cm ?? 0).flatMap(rounds => within(want.lengthCm, toleranceCm, stitch.width.cm, rounds * disc).map((sideStitches): BaseChoice => {
      const floor = ovalFloor({ sideStitches, rounds }, perEnd, stitch, foundation)
      return {
        base: { ...spec, perEnd, size: { pin: { sideStitches, rounds } } }, stitches: 2 * sideStitches + 2 * perEnd * rounds,
        ...offBy({ size: 'length', cm: floor.length.cm - want.lengthCm }, { size: 'width', cm: floor.width.cm - want.widthCm }),
      }
    }))
  })
}

function rectangles(spec: Of<'rectangle'>, stitch: StitchSize, toleranceCm: number): BaseChoice[] {
  const want = 'pin' in spec.size ? { lengthCm: spec.size.pin.stitches * stitch.width.cm, widthCm: spec.size.pin.rows * stitch.height.cm } : spec.size.want
  return within(want.widthCm, toleranceCm, stitch.height.cm).flatMap(rows => within(want.lengthCm, toleranceCm, stitch.width.cm, 0, 2).map((stitches): BaseChoice => {
    const floor = rectangleFloor({ stitches, rows }, stitch)
    return {
      base: { ...spec, size: { pin: { stitches, rows } } }, stitches: rectangleEdge(spec, { stitches, rows }, stitch),
      ...offBy({ size: 'length', cm: floor.length.cm - want.lengthCm }, { size: 'width', cm: floor.width.cm - want.widthCm }),
    }
  }))
}

/** Forms whose edge is so many stitches for every count, and as wide lying flat. */
function flats(spec: Of<'boat' | 'tube' | 'folded'>, setting: Setting, toleranceCm: number): BaseChoice[] {
  const w = setting.gauge[spec.stitch].width.cm
  const own = pinned(spec, setting, workBase(spec, setting))
  const wide = (count: number) => {
    if (spec.form === 'boat') return count + spec.perEnd
    return spec.form === 'tube' ? count / 2 : count * spec.repeat + spec.edgeStitches
  }
  const countOf = ({ size }: { size: { pin: object } }) => Object.values(size.pin)[0] as number
  const asked = 'want' in spec.size ? Object.values(spec.size.want)[0] as number : wide(countOf(own as never)) * w
  const name = Object.keys((own as { size: { pin: object } }).size.pin)[0]!
  const most = Math.ceil((2 * (asked + toleranceCm)) / w) + 24
  return Array.from({ length: most }, (_, i) => i + (spec.form === 'tube' ? 3 : 1)).filter(count => wide(count) >= 2 && Math.abs(wide(count) * w - asked) <= toleranceCm + 1e-9).map((count): BaseChoice => ({
    base: { ...own, size: { pin: { ...(own as { size: { pin: object } }).size.pin, [name]: count } } } as BaseSpec, stitches: 2 * wide(count), ...offBy({ size: 'flat width', cm: wide(count) * w - asked }),
  }))
}

/**
 * Every base of the same form whose sizes lie within a tolerance of what is wanted (or of what it is now, if its counts are
 * pinned); its own number of increases, or, by gauge, those beside the flattest that still lie well.
 */
export function baseChoices(spec: BaseSpec, setting: Setting, toleranceCm: number): BaseChoice[] {
  const stitch = setting.gauge[spec.stitch]
  switch (spec.form) {
    case 'circle':
    case 'double-disc': return discs(spec, stitch, toleranceCm)
    case 'oval': return ovals(spec, setting, toleranceCm)
    case 'rectangle': return rectangles(spec, stitch, toleranceCm)
    case 'bought': return [{ base: spec, stitches: workBase(spec, setting).edge.count, off: [], errorCm: 0 }]
    default: return flats(spec, setting, toleranceCm)
  }
}

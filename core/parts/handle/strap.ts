import { acrossShare, asksOfBands, countNear, type FlatPiece, type Until, workFlat } from '../flat/flat'
import { type Edging, edgingAddsCm, edgingOf } from '../flat/edging'
import { type FlatBand, stackedOr } from '../flat/kinds'
import type { Finding } from '../part/finding'
import type { Setting } from '../part/part'
import type { Piece } from '../part/piece'
import { foundation } from '../../things/round/edge'
import { startingChains } from '../../things/round/style'
import {
  freeCm, freePart, growthCm, runsAcross, type StrapLength, type Strip, strip, type StripStitch, type StripWay, stripWidthCm,
} from './strip'

/*
 * A strap worked on its own: plain rows along or across, or bands of any texture across; edged or not.
 */

/** Answers of a strap worked on its own. */
interface OwnStrap {
  readonly worked: StripWay | 'bands'
  /** Stitches across, or rows side by side. */
  readonly wide: number
  readonly stitch: StripStitch
  readonly length: StrapLength
  readonly bands?: readonly FlatBand[]
  readonly edged?: Edging
  readonly colour: string
}

/** A strap as it is made: its strip, its free part, and all of its width. */
interface MadeStrap {
  readonly strip: Strip
  readonly freeCm: number
  /** Why its bands do not come out, if they do not. */
  readonly stop?: Finding
}

function bandsOf({ bands, stitch, colour }: OwnStrap): readonly FlatBand[] {
  return stackedOr(bands, stitch, colour)
}

/** Stitches side by side across a strap: of bands the nearest count that all of them take; or why none does. */
export function acrossOf(
  spec: OwnStrap,
  { repeats = [] }: Pick<Setting, 'repeats'>,
): { readonly wide: number } | { readonly trouble: string } {
  if (spec.worked !== 'bands') return { wide: spec.wide }
  const found = asksOfBands(bandsOf(spec), repeats)
  return 'trouble' in found ? found : { wide: countNear(spec.wide, found.asks) }
}

/** How wide a strap is, its edging among it. */
export function strapWidthCm(spec: OwnStrap, wide: number, setting: Pick<Setting, 'gauge' | 'repeats'>): number {
  const { gauge } = setting
  const [way, share] = spec.worked === 'bands' ? ['across' as const, acrossShare(bandsOf(spec), setting)] : [spec.worked, 1]
  return share * stripWidthCm(way, gauge[spec.stitch], wide) + edgingAddsCm(spec.edged, gauge).wide
}

/** How many rows as tall as those of a piece are, one with another, lie over so much of the bag. */
function rowsOver(cm: number, { rows, height }: FlatPiece): number {
  return rows.length === 0 ? 0 : Math.round((cm * rows.length) / height.cm)
}

/**
 * Makes a strap for feet so far apart.
 *
 * @param onBagCm how much of it lies on the bag, stretch by stretch
 */
export function strapFor(spec: OwnStrap, wide: number, gapCm: number, onBagCm: readonly number[], setting: Setting): MadeStrap {
  const { gauge } = setting
  const lies = onBagCm.reduce((sum, cm) => sum + cm, 0)
  const edgingCm = edgingAddsCm(spec.edged, gauge).long
  if (spec.worked !== 'bands') {
    const stepCm = growthCm(spec.worked, gauge[spec.stitch])
    const free = freePart(spec.length, stepCm, gapCm, lies, edgingCm)
    const count = free.count + onBagCm.reduce((sum, cm) => sum + Math.max(0, Math.round(cm / stepCm)), 0)
    return { strip: strip(spec.worked, spec.stitch, wide, count, spec.colour, gauge), freeCm: free.lengthCm }
  }
  const rowCm = gauge[spec.stitch].height.cm
  const worked = (until: Until) => workFlat(bandsOf(spec), foundation('chain', wide, false), setting, { below: 0 }, until)
  const made = worked(
    'pin' in spec.length
      ? { rows: spec.length.pin.count + rowsOver(lies, worked({ rows: spec.length.pin.count })) }
      : { heightCm: Math.max(rowCm, freeCm(spec.length.want, gapCm, lies) + lies - edgingCm) },
  )
  const lengthCm = made.height.cm
  const stop = made.findings.find(({ weight }) => weight === 'stop')
  const turning = made.rows[0]?.round.begin.chains ?? startingChains(spec.stitch, false)
  return {
    ...(stop ? { stop } : {}), freeCm: Math.max(rowCm, lengthCm + edgingCm - lies),
    strip: {
      start: { kind: 'foundation-chain', chains: wide + turning, firstInto: turning + 1 }, rows: made.rows, lengthCm,
      widthCm: made.width.cm,
    },
  }
}

/** A strap and its edging, as pieces. */
export function withEdging(piece: Piece, spec: OwnStrap, wide: number, { gauge }: Pick<Setting, 'gauge'>): Piece[] {
  const { edged } = spec
  if (!edged || piece.rows.length === 0) return [piece]
  const first = runsAcross(spec) ? wide : piece.rows[0]!.edge.count
  return [piece, edgingOf(piece, first, edged, gauge)]
}

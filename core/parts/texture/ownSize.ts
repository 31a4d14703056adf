import { HEIGHT_CM } from '../field/bounds'
import type { Gauge } from '../../things/gauge/gauge'
import { combinedShare, type Length, relativeUncertainty, withUncertainty } from '../../things/measure/length'
import type { PartResult } from '../part/part'
import { meanRise, type Texture } from './texture'

/*
 * The gauge of a texture
 * ======================
 *
 * Three stitches crowded into one place, two skipped, do not rise like the mean of their heights (craft 4): a texture has a size of its
 * own, told as a share of what its stitches would make. It is known by a swatch of it, or by a stretch of it under the tape; until then
 * it is an estimate, and says so.
 */

/** A texture's own size, as a share of what the gauge makes of it: 1 is just that. */
export interface OwnShare {
  readonly rise?: Length
  readonly across?: Length
}

/** Counts on a swatch of a texture: repeats, or the stitches they stand on, over a width; rounds up a height. */
export interface TextureSwatch {
  readonly across: number
  readonly countedIn: 'repeats' | 'stitches'
  readonly overCm: number
  readonly rounds: number
  readonly tallCm: number
}

/** Identity of a texture, its kind and that kind's answers; not how large it is, how it goes, in which yarn and on which hook. */
export interface TextureSaid {
  readonly kind: string
  readonly [answer: string]: unknown
}

/** A texture of which a swatch is kept. */
export interface KeptTexture {
  readonly of: TextureSaid
  readonly counted: TextureSwatch
  /** Of a repeat of the maker's own: its lines. */
  readonly lines?: readonly string[]
}

/** Further doubt in a texture that was not measured: 15 to 20 % (craft 4; from memory). */
const TEXTURE_SHARE = 0.15

/** Of a side that was not measured yet: just what the gauge makes of it, in doubt. */
export const UNMEASURED: Length = { cm: 1, plusMinusCm: TEXTURE_SHARE }

/** Accuracy of a count on a swatch: half of what is counted (craft 4; common practice, no source). */
const COUNT_ERROR = 0.5

/**
 * A texture's share by a swatch of it: as wide as its repeats were counted over, as tall as its rounds.
 *
 * A repeat is told as wide as the stitches it stands on, a round as tall as the mean of those it is worked in over and over.
 */
export function shareBySwatch({ across, countedIn, overCm, rounds, tallCm }: TextureSwatch, texture: Texture, gauge: Gauge): OwnShare {
  const { asks: { multiple }, main } = texture
  const repeats = countedIn === 'repeats' ? across : across / multiple
  const toldCm = repeats * (texture.across ?? multiple) * gauge[main].width.cm
  const riseCm = rounds * meanRise(texture, gauge)
  return {
    across: withUncertainty(overCm / toldCm, COUNT_ERROR / across), rise: withUncertainty(tallCm / riseCm, COUNT_ERROR / rounds),
  }
}

/** A part in a pattern whose height or width nobody measured, in so much more doubt. */
export function inDoubt(result: PartResult, { rise, across }: OwnShare = {}): PartResult {
  const doubted = (length: Length, known: Length | undefined) =>
    known ? length : withUncertainty(length.cm, combinedShare(relativeUncertainty(length), TEXTURE_SHARE))
  const { height, circumference } = result.size
  return { ...result, size: { ...result.size, height: doubted(height, rise), circumference: doubted(circumference, across) } }
}

/** A length by a share, and as sure as that; as it was where the share is not known. */
function scaled(length: Length, share: Length | undefined): Length {
  if (!share) return length
  const cm = length.cm * share.cm
  return { cm, plusMinusCm: (cm * share.plusMinusCm) / share.cm }
}

/** A part told in the size of its texture. */
export function inOwnSize(result: PartResult, { rise: up, across }: OwnShare): PartResult {
  const { height, circumference } = result.size
  return {
    ...result,
    size: { ...result.size, height: scaled(height, up), circumference: scaled(circumference, across) },
    ...(result.rises && up ? { rises: result.rises.map(cm => cm * up.cm) } : {}),
    ...(result.arounds && across ? { arounds: result.arounds.map(cm => cm * across.cm) } : {}),
  }
}

/** The height to ask a texture for, by its stitches, that comes to so much in its own size. */
export function askedFor(heightCm: number, { rise }: OwnShare): number {
  return Math.min(HEIGHT_CM.most, Math.max(HEIGHT_CM.least, heightCm / (rise?.cm ?? 1)))
}

import type { Design, WallPart } from '../design/design'
import { seenIn } from '../design/seen'
import type { Gauge } from '../gauge/gauge'
import type { Seen } from '../kind/kind'
import { combinedShare, type Length, relativeUncertainty, withUncertainty } from '../measure/length'
import type { PartResult } from '../part/part'
import { isPlainly } from '../texture/mirrored'
import { meanRise, type Texture } from '../texture/texture'
import type { TextureSwatch } from '../band/textured'
import { kindOf, ownGauge } from '../wall/wall'

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

/** Further doubt in a texture that was not measured: 15 to 20 % (craft 4; from memory). */
const TEXTURE_SHARE = 0.15

/** Of a side that was not measured yet: just what the gauge makes of it, in doubt. */
export const UNMEASURED: Length = { cm: 1, plusMinusCm: TEXTURE_SHARE }

/** What a count on a swatch is good to: half of what is counted (craft 4; common practice, no source). */
const COUNT_ERROR = 0.5

/** What a texture is known by, wherever in a bag it stands: all that is said of it but how large it is, how it goes and in which yarn. */
export function textureOf(spec: WallPart): string {
  const { id: _id, size: _size, colour: _colour, stripes: _stripes, goes: _goes, swatch: _swatch, ...said }
    = spec as WallPart & Record<string, unknown>
  return JSON.stringify(said)
}

/** The share of a part's texture; nothing of one that is as its stitches are. */
export function shareOf({ textures }: { readonly textures: ReadonlyMap<string, OwnShare> }, spec: unknown): OwnShare | undefined {
  return textures.size > 0 ? textures.get(textureOf(spec as WallPart)) : undefined
}

/** The pattern that a part is worked in, if it is one of more than a stitch in every stitch. */
export function patternOfPart(spec: unknown, repeats: Design['repeats']): Texture | undefined {
  const texture = kindOf(spec as WallPart).texture?.(spec as WallPart, repeats)
  return texture && !isPlainly(texture) ? texture : undefined
}

/**
 * A texture's share by a swatch of it: as wide as its repeats were counted over, as tall as its rounds.
 *
 * A repeat is told as wide as the stitches it stands on, a round as tall as the mean of those it is worked in over and over.
 */
function shareBySwatch({ across, countedIn, overCm, rounds, tallCm }: TextureSwatch, texture: Texture, gauge: Gauge): OwnShare {
  const { asks: { multiple }, main } = texture
  const repeats = countedIn === 'repeats' ? across : across / multiple
  const toldCm = repeats * (texture.across ?? multiple) * gauge[main].width.cm
  const riseCm = rounds * meanRise(texture, gauge)
  return {
    across: withUncertainty(overCm / toldCm, COUNT_ERROR / across), rise: withUncertainty(tallCm / riseCm, COUNT_ERROR / rounds),
  }
}

/** The textures of a design that a swatch was made of. */
export function texturesBySwatch(design: Design, gauge: Gauge): ReadonlyMap<string, OwnShare> {
  const seen: Seen = seenIn(design, gauge)
  return new Map(design.wall.flatMap((spec): [string, OwnShare][] => {
    const swatch = 'swatch' in spec ? spec.swatch : undefined
    const texture = swatch && kindOf(spec).texture?.(spec, design.repeats)
    return texture ? [[textureOf(spec), shareBySwatch(swatch, texture, ownGauge(spec, seen))]] : []
  }))
}

/** A part in a pattern whose height or width nobody measured, in so much more doubt. */
export function inDoubt(result: PartResult, { rise, across }: OwnShare = {}): PartResult {
  const doubted = (length: Length, known: Length | undefined) =>
    known ? length : withUncertainty(length.cm, combinedShare(relativeUncertainty(length), TEXTURE_SHARE))
  const { height, circumference } = result.size
  return { ...result, size: { ...result.size, height: doubted(height, rise), circumference: doubted(circumference, across) } }
}

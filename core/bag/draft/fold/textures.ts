import type { Design, WallPart } from '../../design/design'
import { contextsIn } from '../../design/partContexts'
import type { Gauge } from '../../../things/gauge/gauge'
import type { PartContext } from '../../../parts/kind/kind'
import { isPlainly } from '../../../parts/texture/mirrored'
import { type OwnShare, shareBySwatch } from '../../../parts/texture/ownSize'
import type { Texture } from '../../../parts/texture/texture'
import { kindOf, ownGauge } from '../../../parts/wall/wall'

/*
 * Which textures of a bag have a size of their own: those of which a swatch was made, or a stretch measured.
 */

/** Key of a texture, wherever in a bag it stands: all that is said of it but how large it is, how it goes and in which yarn. */
export function textureOf(spec: WallPart): string {
  const { id: _id, size: _size, colour: _colour, stripes: _stripes, goes: _goes, swatch: _swatch, ...said }
    = spec as WallPart & Record<string, unknown>
  return JSON.stringify(Object.entries(said).sort(([a], [b]) => a < b ? -1 : 1))
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

/** The textures of a design that a swatch was made of. */
export function texturesBySwatch(design: Design, gauge: Gauge): ReadonlyMap<string, OwnShare> {
  const seen: PartContext = contextsIn(design, gauge)
  return new Map(design.wall.flatMap((spec): [string, OwnShare][] => {
    const swatch = 'swatch' in spec ? spec.swatch : undefined
    const texture = swatch && kindOf(spec).texture?.(spec, design.repeats)
    return texture ? [[textureOf(spec), shareBySwatch(swatch, texture, ownGauge(spec, seen))]] : []
  }))
}

import { same } from '../../things/measure/same'
import { beginnings } from '../../parts/kind/beginnings'
import type { AnyKind } from '../../parts/kind/kind'
import type { Change } from '../../parts/part/finding'
import type { Repeat } from '../../things/repeat/repeat'
import type { KeptTexture, TextureSaid, TextureSwatch } from '../../parts/texture/ownSize'
import { kindOf, type WallSpec } from '../../parts/wall/wall'
import type { Design, SwatchDocument } from './design'
import { hasTexture, isOfTexture, textureFields } from './textureFields'

/*
 * A swatch of a texture as it is kept: which texture it is, and what was counted on it. Bags in the same texture take it.
 */

/** A texture of a kind, as it begins. */
export function textureOfKind(kind: AnyKind): TextureSaid {
  return { kind: kind.kind, ...beginnings(textureFields(kind)), ...(kind.fields.repeat ? { repeat: 'own-1' } : {}) }
}

/** The texture of a part of a wall; nothing of one in none. */
function textureSaid(spec: WallSpec): TextureSaid | undefined {
  if (!hasTexture(kindOf(spec))) return undefined
  return { ...Object.fromEntries(Object.entries(spec).filter(([name]) => isOfTexture(name))), kind: spec.kind }
}

/** The lines of the repeat that a texture is made by. */
function linesOf({ repeat }: TextureSaid, repeats: readonly Repeat[]): readonly string[] | undefined {
  return repeats.find(({ id }) => id === repeat)?.lines
}

/** The swatch of a part's texture, as it is kept; nothing where nothing was counted. */
export function keptTexture(spec: WallSpec, repeats: readonly Repeat[]): KeptTexture | undefined {
  const of = textureSaid(spec)
  const { swatch } = spec as { readonly swatch?: TextureSwatch }
  if (!of || !swatch) return undefined
  const lines = linesOf(of, repeats)
  return { of, counted: swatch, ...(lines ? { lines } : {}) }
}

/** Whether a part of a wall is in the texture of a kept swatch. */
export function isInTexture(spec: WallSpec, { of, lines }: KeptTexture, repeats: readonly Repeat[]): boolean {
  const said = textureSaid(spec)
  if (!said) return false
  const told = ({ repeat: _, ...answers }: TextureSaid) => answers
  return same(told(said), told(of)) && same(linesOf(said, repeats) ?? [], lines ?? [])
}

/**
 * Takes into a bag what a kept swatch tells: its gauge, unless a texture alone was counted; and for all parts in its texture the count of
 * that.
 */
export function takenFrom({ gauge, texture }: SwatchDocument, { wall, repeats }: Pick<Design, 'wall' | 'repeats'>): Change[] {
  const plain: Change[] = texture && gauge.assumed ? [] : [{ path: ['gauge'], value: gauge }]
  const inIt = texture ? wall.filter(part => isInTexture(part, texture, repeats)) : []
  return [...plain, ...inIt.map(({ id }): Change => ({ path: ['wall', id, 'swatch'], value: texture!.counted }))]
}

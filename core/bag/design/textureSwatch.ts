import { SWATCH_OF_IT } from '../../parts/band/textured'
import { group, oneOfKinds, optional } from '../../parts/field/questions'
import type { Fields, LinesField } from '../../parts/field/field'
import { beginnings } from '../../parts/kind/beginnings'
import type { AnyKind } from '../../parts/kind/kind'
import type { Change } from '../../parts/part/finding'
import type { Repeat } from '../../things/repeat/repeat'
import type { KeptTexture, TextureSaid, TextureSwatch } from '../../parts/texture/ownSize'
import { kindOf, wallKinds, type WallKind, type WallSpec } from '../../parts/wall/wall'
import type { Design, SwatchDocument } from './design'

/*
 * A swatch of a texture, as the house keeps it: which texture it is, and what was counted on it. Bags in the same texture take it.
 */

export type { KeptTexture } from '../../parts/texture/ownSize'

/** Fields of a part besides its texture. */
const NOT_TEXTURE = ['id', 'size', 'colour', 'stripes', 'goes', 'swatch', 'hook']

/** Whether a kind has a texture to make a swatch of: the swatch of the bag's gauge is one of plain stitches. */
function hasTexture({ texture, fields, plain }: WallKind): boolean {
  return texture !== undefined && fields.swatch !== undefined && !plain
}

/** Kinds in a texture, those that are known. */
export function textureKinds(): readonly AnyKind[] {
  return wallKinds().filter(hasTexture) as unknown as readonly AnyKind[]
}

/** Questions of a kind about its texture. */
export function textureFields({ fields }: Pick<AnyKind, 'fields'>): Fields {
  return Object.fromEntries(Object.entries(fields).filter(([name]) => !NOT_TEXTURE.includes(name)))
}

/** Questions about the swatch of a texture. */
export function keptTextureField(lines: LinesField) {
  return optional(group('Texture', {
    of: oneOfKinds<TextureSaid>('Which texture', 'kind', textureKinds().map(one => ({ value: one.kind, fields: textureFields(one) }))),
    counted: group('Counted', SWATCH_OF_IT), lines: optional(lines),
  }, { says: 'The texture that the swatch is of, and what was counted on it; a repeat of the maker\'s own with its lines.' }))
}

/** A texture of a kind, as it begins. */
export function textureOfKind(kind: AnyKind): TextureSaid {
  return { kind: kind.kind, ...beginnings(textureFields(kind)), ...(kind.fields.repeat ? { repeat: 'own-1' } : {}) }
}

/** The texture of a part of a wall; nothing of one in none. */
function textureSaid(spec: WallSpec): TextureSaid | undefined {
  if (!hasTexture(kindOf(spec))) return undefined
  return Object.fromEntries(Object.entries(spec).filter(([name]) => !NOT_TEXTURE.includes(name))) as unknown as TextureSaid
}

/** The lines of the repeat that a texture is made by. */
function linesOf({ repeat }: TextureSaid, repeats: readonly Repeat[]): readonly string[] | undefined {
  return repeats.find(({ id }) => id === repeat)?.lines
}

/** The swatch of a part's texture, as the house keeps it; nothing where nothing was counted. */
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
  const told = ({ repeat: _, ...answers }: TextureSaid) => Object.entries(answers).sort(([a], [b]) => (a < b ? -1 : 1))
  return JSON.stringify([told(said), linesOf(said, repeats) ?? []]) === JSON.stringify([told(of), lines ?? []])
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

import { SWATCH_OF_IT } from '../../parts/band/textured'
import { group, oneOfKinds, optional } from '../../parts/field/questions'
import type { Fields, LinesField } from '../../parts/field/field'
import type { AnyKind } from '../../parts/kind/kind'
import type { TextureSaid } from '../../parts/texture/ownSize'
import { wallKinds, type WallKind } from '../../parts/wall/wall'

/*
 * Questions about the texture of a part, without its size, its yarn and its hook: a swatch of a texture asks them.
 */

/** Fields of a part besides its texture. */
const NOT_TEXTURE = ['id', 'size', 'colour', 'stripes', 'goes', 'swatch', 'hook']

/** Whether a field of a part says something of its texture. */
export function isOfTexture(field: string): boolean {
  return !NOT_TEXTURE.includes(field)
}

/** Whether a kind has a texture to make a swatch of: the swatch of the bag's gauge is one of plain stitches. */
export function hasTexture({ texture, fields, plain }: WallKind): boolean {
  return texture !== undefined && fields.swatch !== undefined && !plain
}

/** Kinds in a texture, those that are known. */
export function textureKinds(): readonly AnyKind[] {
  return wallKinds().filter(hasTexture)
}

/** Questions of a kind about its texture. */
export function textureFields({ fields }: Pick<AnyKind, 'fields'>): Fields {
  return Object.fromEntries(Object.entries(fields).filter(([name]) => isOfTexture(name)))
}

/** Questions about the swatch of a texture. */
export function keptTextureField(lines: LinesField) {
  return optional(group('Texture', {
    of: oneOfKinds<TextureSaid>('Which texture', 'kind', textureKinds().map(one => ({ value: one.kind, fields: textureFields(one) }))),
    counted: group('Counted', SWATCH_OF_IT), lines: optional(lines),
  }, { says: 'The texture that the swatch is of, and what was counted on it; a repeat of the maker\'s own with its lines.' }))
}

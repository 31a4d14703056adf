import type { Repeat } from '../repeat/repeat'
import type { Bandlike } from '../texture/bandlike'
import type { Texture } from '../texture/texture'
import { ownTexture } from './own'
import { boxes, groups, moss, pairs, rib, ridges, solid, sprigs, vees, waves } from './textures'

/** Stitches that a plain band can be worked in. */
export const SOLID_STITCHES = ['sc', 'hdc', 'dc'] as const
/** Stitches with a post tall enough to go around. */
export const RIB_STITCHES = ['hdc', 'dc'] as const

type InStitch<B extends string> = Bandlike & { readonly band: B, readonly stitch: (typeof SOLID_STITCHES)[number] }
export type SolidSpec = InStitch<'solid'> | InStitch<'ridges'>
export type RibSpec = Bandlike & { readonly band: 'rib', readonly stitch: (typeof RIB_STITCHES)[number], readonly front: number, readonly back: number }
type Pattern = 'pairs' | 'groups' | 'vees' | 'waves' | 'moss'
export type PatternSpec = { [B in Pattern]: Bandlike & { readonly band: B } }[Pattern]
export type SprigsSpec = Bandlike & { readonly band: 'sprigs', readonly seamStitch: boolean }
/** A box mesh: chains of a box, and whether a solid round closes it off. */
export type BoxesSpec = Bandlike & { readonly band: 'boxes', readonly chains: number, readonly finish: boolean }
/** A band in a repeat of the maker's own, by its id in the design. */
export type OwnSpec = Bandlike & { readonly band: 'own', readonly repeat: string }

/** A band of a wall: a texture, a height and a yarn. */
export type BandSpec = SolidSpec | RibSpec | PatternSpec | SprigsSpec | BoxesSpec | OwnSpec
export type BandKind = BandSpec['band']
export const BAND_KINDS = ['solid', 'ridges', 'rib', 'pairs', 'groups', 'vees', 'sprigs', 'waves', 'boxes', 'moss', 'own'] as const satisfies readonly BandKind[]

type Textures = { [B in BandKind]: (spec: Extract<BandSpec, { band: B }>, repeats: readonly Repeat[]) => Texture | undefined }

const TEXTURES: Textures = {
  solid: ({ stitch }) => solid(stitch),
  ridges: ({ stitch }) => ridges(stitch),
  rib: ({ stitch, front, back }) => rib(stitch, front, back),
  pairs: () => pairs,
  groups: () => groups,
  vees: () => vees,
  sprigs: ({ seamStitch }) => sprigs(seamStitch),
  waves: () => waves,
  boxes: ({ chains, finish }) => boxes(chains, finish),
  moss: () => moss,
  own: ({ repeat }, repeats) => {
    const own = repeats.find(({ id }) => id === repeat)
    return own && ownTexture(own)
  },
}

/** The texture of a band; none if it is in a repeat of the maker's that cannot be worked. */
export function textureOf<B extends BandKind>(spec: Extract<BandSpec, { band: B }>, repeats: readonly Repeat[]): Texture | undefined {
  return TEXTURES[spec.band as B](spec, repeats)
}

import type { Fields } from '../field/field'
import { between, choice, count, figure, group, maybe, optional, text, yarn } from '../field/questions'
import type { QuestionContext } from '../field/context'
import type { ValuesOf } from '../field/spec'
import type { Gauge } from '../../things/gauge/gauge'
import type { Hook } from '../../things/gauge/onHook'
import type { Demand } from '../part/asks'
import type { Fix } from '../part/finding'
import type { PartResult, WallSetting } from '../part/part'
import type { Repeat } from '../../things/repeat/repeat'
import type { Edge } from '../../things/round/edge'
import type { FabricKind } from '../../things/stitch/dictionary'
import type { Stripe } from '../texture/bandlike'
import type { Texture } from '../texture/texture'

/** Kinds are offered by what they are for, from the floor up. */
export const KIND_GROUPS = ['Fabric', 'Mesh', 'Mouth and edge', 'Handles', 'Closures', 'Shaping'] as const
export type KindGroup = (typeof KIND_GROUPS)[number]

/** The hook and the strands that something is worked with, where they are others than the bag's. */
export const OWN_HOOK = maybe(
  'Its hook',
  {
    hookMm: figure('Hook', between(0.5, 40), 'mm', { beside: true, usually: between(2, 8) }),
    strands: count('Strands', between(1, 12), { beside: true, usually: between(1, 3) }),
  },
  {
    without: { name: 'the bag\'s' },
    having: {
      name: 'another, or other strands',
      does: 'Its stitches are taken to be as much larger as the hook is thicker, an estimate, until a swatch of it says better.',
    },
    says: 'The hook and the strands that it is worked with, where they are others than the swatch\'s.',
    begin: (_: object, { hook }: QuestionContext) => ({ hookMm: hook?.hookMm ?? 4, strands: hook?.strands ?? 1 }),
  },
)

/** The size of a part that can take up as much yarn as there is. */
const GROWS_BY = [
  { value: 'rounds', name: 'in rounds' }, { value: 'across', name: 'in stitches across' }, { value: 'length', name: 'in length' },
  { value: 'cords', name: 'in the length of its cords' },
] as const
export type GrowsBy = (typeof GROWS_BY)[number]['value']

/** That a part takes up its yarn until so much is left: found by the yarn tool, and said in the pattern (craft 12). */
const USE_UP = optional(group(
  'Its yarn used up',
  { by: choice<GrowsBy>('It grows', GROWS_BY), leaveGrams: figure('Left over', between(0, 100_000), 'g', { usually: between(0, 50) }) },
  { unasked: true, says: 'The part grows until so much of its yarn is left; as it is drafted it has the size that was found for that.' },
))

/** The maker's name for a part; where it is asked is at its heading. */
export const CALLED = optional(text('Called', 1, 40, {
  unasked: true, says: 'What the maker calls the part, in headings and in the pattern; by what it is if left out.',
}))

/** Fields that every part of a wall has besides those of its own kind. */
const COMMON = { colour: yarn(), hook: OWN_HOOK, useUp: USE_UP, called: CALLED } as const

/** The spec of a part of the wall, from its kind's fields. */
export type PartSpec<B extends string, F> = ValuesOf<F & typeof COMMON> & { readonly kind: B }

/** Answers that a new part keeps of the one in whose place it comes, or that it comes upon. */
export interface Keeps {
  readonly stitch: 'sc' | 'hdc' | 'dc'
  readonly size: { readonly want: { readonly heightCm: number } } | { readonly pin: { readonly rounds: number } }
  readonly yarn: { readonly colour: string, readonly stripes?: readonly Stripe[] }
  readonly repeats: readonly Repeat[]
  /** How far round the part below it goes. */
  readonly aroundCm: number
}

/** Context to say the demand and the yield of a part, without working it. */
export interface PartContext {
  readonly gauge: Gauge
  readonly repeats: readonly Repeat[]
  /** The hook that the gauge is on. */
  readonly hook: Hook
}

/** Tools that some kinds need besides fields: how cords run, the maker's own repeat, stripes, where a part goes on the rim. */
export type Tool = 'threading' | 'own-repeat' | 'own-round' | 'stripes' | 'where-placed'

/** How a kind shows on its tile: on a piece of fabric, above one, or on the rim of a whole little bag. */
export interface Sample<S> {
  readonly on: 'itself' | 'fabric' | 'rim' | 'both-sides'
  /** The spec as a little piece shows it best. */
  spec?(spec: S): S
  /** Signs in the place of what has no fabric of its own: paths in centimetres on a rim 12 wide, and how thick they are. */
  readonly signs?: readonly { readonly path: string, readonly thick: number }[]
  /** Nothing lies behind it: it is drawn as a net. */
  readonly bare?: true
}

/** A kind of part of the wall: everything that the program knows of it. */
export interface PartKind<B extends string = string, F extends Fields = Fields, S = PartSpec<B, F>> {
  readonly kind: B
  readonly group: KindGroup
  readonly name: string
  readonly does: string
  /** Name of a part in headings; by the kind's name if left out, by its place alone if empty. */
  title?(spec: S, repeats: readonly Repeat[]): string
  readonly fields: F
  readonly tools?: readonly Tool[]
  readonly sample: Sample<S>
  /** How a new one begins from what stands there; what is left out begins as its field says. */
  begins(keeps: Keeps): Partial<S>
  /** Its demand on the count and its yield; nothing if it cannot be worked at all. */
  demand(spec: S, seen: PartContext): Demand | undefined
  /** The stitch that it is mostly worked in. */
  main(spec: S, seen: PartContext): FabricKind
  work(spec: S, edge: Edge, setting: WallSetting): PartResult
  /** Whether it comes to what everything above it can be worked on. */
  looksUp?(spec: S): boolean
  /** Of a band in a stitch pattern: the pattern; none where a repeat of the maker's cannot be worked. */
  texture?(spec: S, repeats: readonly Repeat[]): Texture | undefined
  /** Of one that can also be worked to and fro: its pattern then, with what stands at the ends of its rows. */
  inRows?(spec: S, repeats: readonly Repeat[]): Texture | undefined
  /** A stitch in every stitch: its rounds can be one more or fewer, and changed, without anything else. */
  readonly plain?: true
  /** Put on a count that it does not divide into, it brings an adjusting round of its own. */
  readonly bringsAdjusting?: true
  /** Its width is meant to differ from what lies below. */
  readonly shapes?: true
  /** Ways to make what hangs on it bear more: so many strands, if that can be told. */
  strengthen?(spec: S, strands: number | undefined): readonly Fix[]
  /** Ways to make its holes small enough to keep in a ball so large. */
  tighten?(spec: S, ballCm: number, gauge: Gauge): readonly Fix[]
}

/** A kind as it is declared: its own fields, and those that every kind has. */
export type Declared<B extends string, F extends Fields> = PartKind<B, F & typeof COMMON, PartSpec<B, F>>

/** Declares a kind of part, with what every kind says besides. */
export function kind<const B extends string, const F extends Fields>(declared: PartKind<B, F>): Declared<B, F> {
  // How it goes round and what it is worked with is asked last: most parts do as the bag does.
  const { goes, swatch, ...own } = declared.fields
  const worked = { ...(swatch ? { swatch } : {}), ...(goes ? { goes } : {}) }
  const { colour, ...common } = COMMON
  return { ...declared, fields: { ...own, colour, ...worked, ...common } } as never
}

/** The spec of a kind's parts. */
export type SpecOf<K> = K extends PartKind<infer _B, infer _F, infer S> ? S : never

/** A kind whose specs are not known: what a list of kinds is read as. */
export type AnyKind = PartKind<string, Fields, object>

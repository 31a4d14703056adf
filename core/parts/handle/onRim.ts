import { between as bounds, choice, count, length, optional } from '../field/questions'
import type { Fields } from '../field/field'
import { type Declared, type Keeps, kind, type PartSpec, type Sample, type Tool } from '../kind/kind'
import { AS_IT_WAS } from '../part/asks'
import type { Finding, Fix } from '../part/finding'
import type { PartResult, Setting } from '../part/part'
import type { Edge } from '../../things/round/edge'
import type { FabricKind } from '../../things/stitch/dictionary'
import type { Placing } from './placing'
import { fractionRound } from '../../things/round/fractionRound'
import { asMarked, rimStitchCm } from './rim'
import { facingBelow } from '../../things/round/style'
import { refusedOnHandles } from './unworked'

/** One, or one on each face. */
export function oneOrTwo(label: string, two: string) {
  return choice(
    label,
    [
      { value: 2, name: 'two', does: two },
      { value: 1, name: 'one', does: 'On one face alone.' },
    ],
    { begins: 2 },
  )
}

/** Of one alone: which face it is on. */
export const FACE = optional(
  choice(
    'It is on',
    [
      { value: 'front', name: 'the front' },
      { value: 'back', name: 'the back' },
    ],
    { when: (spec: object) => (spec as { readonly number: number }).number === 1 },
  ),
)

/** Questions of the tool that places something on the rim. */
export const PLACED = {
  nudge: count('Moved from the middle', bounds(-500, 500), {
    begins: 0, suffix: 'sts', usually: bounds(-6, 6),
    says: 'Stitches that it is moved on from where it is centred; what lies opposite mirrors it.',
  }),
  sideAt: count('From the round\'s start to a side', bounds(0, 2000), {
    suffix: 'sts', usually: bounds(0, 80),
    says: 'Where the maker marked the first side anew: so many stitches on from the start of the round.',
  }),
} as const

/** Where what is placed on the rim goes: in the middle or moved, by the sides as drafted or as the maker marked them anew. */
export const WHERE = { nudge: { ...PLACED.nudge, unasked: true }, sideAt: optional({ ...PLACED.sideAt, unasked: true }) } as const

/** Answers of what is placed on the rim about where. */
export interface Where {
  readonly nudge: number
  readonly sideAt?: number
}

/** A foot, or a strap's width, in centimetres instead of stitches: found by the rim's stitches and the strap's own. */
export const FOOT_CM = optional(
  length('Or a foot of', bounds(0.5, 40), { beside: true, usually: bounds(1, 6), says: 'A foot\'s width, instead of its stitches.' }),
)
export const WIDE_CM = optional(
  length('Or a width of', bounds(0.5, 40), {
    beside: true, usually: bounds(1, 6), says: 'The width, instead of stitches or rows side by side.',
  }),
)

/** Sizes that can be said in centimetres of feet and widths. */
interface InCm {
  readonly footCm?: number
  readonly wideCm?: number
  readonly worked?: string
  readonly stitch?: FabricKind
}

/** A spec with its feet and its width in stitches, or in rows side by side where it runs along. */
function inStitches<S extends object>(spec: S, edge: Edge, setting: Setting): S {
  const { footCm, wideCm, worked, stitch = 'sc' } = spec as InCm
  const { width, height } = setting.gauge[stitch]
  const sideBySideCm = worked === 'along' || worked === 'bumps' ? height.cm : width.cm
  return {
    ...spec, ...(footCm === undefined ? {} : { foot: Math.max(2, Math.round(footCm / rimStitchCm(edge, setting))) }),
    ...(wideCm === undefined ? {} : { wide: Math.max(2, Math.round(wideCm / sideBySideCm)) }),
  }
}

/** A part that works no round of the bag, and is only placed on its rim. */
interface RimFitting<B extends string, F extends Fields, S = PartSpec<B, F>> {
  readonly kind: B
  readonly name: string
  readonly does: string
  readonly fields: F
  readonly group?: 'Handles' | 'Closures'
  readonly tools?: readonly Tool[]
  readonly sample?: Partial<Sample<S>>
  begins(keeps: Keeps): Partial<S>
  /** Said where it would stand on handles that are worked in the round; left out, it can. */
  readonly refusedAs?: string
  place(spec: S, edge: Edge, setting: Setting): PartResult
  strengthen?(spec: S, strands: number | undefined): readonly Fix[]
}

/** Declares a strap or a closure: it leaves the edge as it was, with feet, pieces and advice. */
export function fitted<const B extends string, const F extends Fields>({
  place, refusedAs, sample, ...named
}: RimFitting<B, F>): Declared<B, F> {
  return kind<B, F>({
    group: 'Handles', ...named, sample: { on: 'rim', ...sample }, demand: () => AS_IT_WAS,
    main: ({ stitch = 'sc' }: PartSpec<B, F> & InCm) => stitch,
    work: (spec: PartSpec<B, F> & Where, edge, setting) => {
      if (refusedAs && edge.free) return refusedOnHandles(edge, setting, refusedAs)
      const { edge: marked, ...moved } = asMarked(edge, setting, spec.sideAt)
      return { ...place(inStitches(spec, marked, setting), marked, setting), ...moved }
    },
  })
}

/** How far round a span's middle lies. */
export function middleWay(edge: Edge, setting: Setting, first: number, places: number): number {
  const way = fractionRound(edge, first + places / 2, facingBelow(setting))
  return way - Math.floor(way)
}

/** Why straps do not fit. */
export function strapsTooWide(what: string, fix?: Fix): Finding {
  return { code: 'straps-too-wide', weight: 'stop', what, ...(fix ? { fix } : {}) }
}

/** The gap between two spans, in words. */
export function between({ gaps: [a, b] }: Placing): string {
  return a === b ? `${a} stitches lie` : `${Math.min(a, b)} and ${Math.max(a, b)} stitches lie`
}

/** Where markers go before feet are worked or sewn. */
export function markerPlan(at: readonly string[], placing: Placing): string[] {
  return [
    `Markers: flatten the bag and mark ${at.join(' and ')}, counted from the start of the last round; ${between(placing)} between `
    + 'the feet. '
    + 'Count between them on both sides before you begin.',
  ]
}

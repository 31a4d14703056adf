import type { WallPart } from '../../bag/design/design'
import type { Draft } from '../../bag/draft/draft'
import { type DraftPart, isStopped, wallPartOf } from '../../bag/draft/fold/draftPart'
import type { Field, Fields } from '../../parts/field/field'
import type { QuestionContext } from '../../parts/field/context'
import type { Gauge } from '../../things/gauge/gauge'
import type { GrowsBy } from '../../parts/kind/kind'
import type { Change } from '../../parts/part/finding'
import { heightAsked, kindOf } from '../../parts/wall/wall'

/** Something of a bag that can take up yarn. */
export interface Growing {
  readonly part: string
  readonly by: GrowsBy
  /** Its name: `Net, in rounds`. */
  readonly name: string
  /** As much of it as there is now: rounds, stitches across, rows or chains, centimetres of a cord. */
  readonly now: number
  readonly least: number
  readonly most: number
  /** Of a strap: its rows run along it, so that its length is counted in chains. */
  readonly along?: boolean
}

/** The size of a part that grows, from the least to the most, how it is said and where it is kept. */
interface Way {
  readonly by: GrowsBy
  readonly said: string
  readonly unit: (much: number, along: boolean) => string
  readonly least: number
  readonly most: number
  /** How much there is of it now; nothing if the part has none, or it is of another yarn. */
  readonly now: (part: DraftPart, spec: WallPart, yarn: string, gauge: Gauge) => number | undefined
  readonly sets: (spec: WallPart, much: number) => Omit<Change, 'path'> & { readonly path: readonly string[] }
}

const many = (one: string, more: string) => (much: number) => `${much} ${much === 1 ? one : more}`

interface Cords {
  readonly colour: string
}

const cordsOf = (spec: WallPart) => (spec as { readonly cords?: Cords }).cords

/** The present value of a size that can be pinned by a figure, as its question would begin with it; nothing of one that cannot. */
function pinnedNow(field: Field | undefined, figure: string, spec: WallPart, now: QuestionContext): number | undefined {
  const way = field?.is === 'ways' ? field.ways.find(({ under, fields }) => under === 'pin' && figure in fields) : undefined
  return way && (way.from(spec, now) as Record<string, number>)[figure]
}

/** The questions of the cords of a part, if it has any. */
function cordFields(spec: WallPart): Fields | undefined {
  const field = kindOf(spec).fields.cords as Field | undefined
  return field?.is === 'maybe' ? field.fields : undefined
}

const WAYS: readonly Way[] = [
  {
    by: 'rounds', said: 'rounds', unit: many('round', 'rounds'), least: 2, most: 600,
    now: ({ rounds }, spec, yarn) => {
      const size = heightAsked(spec)
      const counts = size && ('want' in size ? 'heightCm' in size.want : 'rounds' in size.pin)
      return counts && rounds.some(({ round }) => round.colour === yarn) ? rounds.length : undefined
    },
    sets: (_, rounds) => ({ path: ['size'], value: { pin: { rounds } } }),
  },
  {
    by: 'across', said: 'stitches across', unit: many('stitch across', 'stitches across'), least: 2, most: 60,
    now: ({ pieces }, spec, yarn) => {
      const { wide, wideCm } = spec as { readonly wide?: number, readonly wideCm?: number }
      return pieces.length > 0 && spec.colour === yarn && wideCm === undefined && typeof wide === 'number' ? wide : undefined
    },
    sets: (_, wide) => ({ path: ['wide'], value: wide }),
  },
  {
    by: 'length', said: 'length', least: 1, most: 1000,
    unit: (much, along) => (along ? many('chain', 'chains') : many('row', 'rows'))(much),
    now: (part, spec, yarn, gauge) =>
      (part.pieces.length > 0 && spec.colour === yarn ? pinnedNow(kindOf(spec).fields.length, 'count', spec, { part, gauge }) : undefined),
    sets: (_, count) => ({ path: ['length'], value: { pin: { count } } }),
  },
  {
    by: 'cords', said: 'length of its cords', unit: much => `cords of ${much} cm`, least: 10, most: 400,
    now: (part, spec, yarn, gauge) =>
      (part.casing && cordsOf(spec)?.colour === yarn ? pinnedNow(cordFields(spec)?.size, 'lengthCm', spec, { part, gauge }) : undefined),
    sets: (spec, lengthCm) => ({ path: ['cords'], value: { ...cordsOf(spec), size: { pin: { lengthCm } } } }),
  },
]

const wayOf = (by: GrowsBy): Way => WAYS.find(way => way.by === by)!

/** Sizes of a bag that can take up a yarn, from the floor up. */
export function growingIn({ parts, gauge }: Draft, yarn: string): Growing[] {
  return parts.flatMap((part) => {
    const spec = wallPartOf(part)
    if (!spec || isStopped(part)) return []
    return WAYS.flatMap(({ by, said, least, most, now }): Growing[] => {
      const there = now(part, spec, yarn, gauge)
      return there === undefined
        ? []
        : [
            { part: part.id, by, name: `${part.name}, in ${said}`, now: there, least, most, along: part.pieces[0]?.along ?? false },
          ]
    })
  })
}

/** How it is said how much there is of something that grows. */
export function muchWords({ by, along = false }: Pick<Growing, 'by' | 'along'>, much: number): string {
  return wayOf(by).unit(much, along)
}

/** The change by which there is so much of something that grows. */
export function changeTo({ part, by }: Growing, spec: WallPart, much: number): Change {
  const { path, value } = wayOf(by).sets(spec, much)
  return { path: ['wall', part, ...path], value }
}

/** Sizes of a bag that are meant to use a yarn up, as its parts say. */
export function meantToUseUp(drafted: Draft, yarn: string): { readonly growing: Growing, readonly leaveGrams: number }[] {
  return growingIn(drafted, yarn).flatMap((growing) => {
    const spec = wallPartOf(drafted.parts.find(({ id }) => id === growing.part)!)
    return spec?.useUp?.by === growing.by ? [{ growing, leaveGrams: spec.useUp.leaveGrams }] : []
  })
}

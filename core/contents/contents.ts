import type { BaseSpec } from '../base/base'
import type { BaseStitch } from '../base/circle'
import { startBase } from '../base/starters'
import type { Footprint } from '../part/floor'

export const CONTENT_KINDS = ['box', 'bottle', 'balls', 'cloth'] as const

/** What a bag must hold, as a maker would say it. */
export type Contents = (
  | { readonly kind: 'box', readonly lengthCm: number, readonly widthCm: number, readonly heightCm: number }
  | { readonly kind: 'bottle', readonly acrossCm: number, readonly heightCm: number }
  | { readonly kind: 'balls', readonly count: number, readonly acrossCm: number }
  | { readonly kind: 'cloth', readonly lengthCm: number, readonly widthCm: number, readonly heightCm: number }
) & {
  /** What all of it weighs, if the maker says. */
  readonly weightKg?: number
}

/** The room that contents take up, standing. */
export interface Room extends Footprint {
  readonly heightCm: number
  readonly round: boolean
  /** For balls: how many lie in a layer, and how many layers there are. */
  readonly layers?: { readonly each: number, readonly count: number }
}

/** Room to get things in and out: a centimetre all the way round, and two above (from memory). */
export const EASE_CM = 1
export const HEADROOM_CM = 2

/**
 * The circle that holds `n` equal circles, in diameters of one of them, for one to seven (Graham, Lubachevsky, Nurmela
 * and Östergård, "Congruent circles packed in a circle", 1998; from memory).
 */
export const CIRCLE_FOR = [0, 1, 2, 1 + 2 / Math.sqrt(3), 1 + Math.SQRT2, 2.7013, 3, 3] as const

/** Layers of balls nest: each further one adds this much of a diameter (the height of a regular tetrahedron). */
const NEST = Math.sqrt(2 / 3)

/** Balls in the layers that come nearest to as wide as tall. */
function stacked(count: number, acrossCm: number): Room {
  const choices = Array.from({ length: Math.min(count, 7) }, (_, i) => {
    const each = i + 1
    const layers = Math.ceil(count / each)
    const wide = CIRCLE_FOR[each]! * acrossCm
    return { each, layers, wide, tall: acrossCm * (1 + (layers - 1) * NEST) }
  })
  const best = choices.reduce((a, b) => Math.abs(Math.log(b.tall / b.wide)) < Math.abs(Math.log(a.tall / a.wide)) ? b : a)
  return { lengthCm: best.wide, widthCm: best.wide, heightCm: best.tall, round: true, layers: { each: best.each, count: best.layers } }
}

/** The room that contents take up. */
export function roomOf(contents: Contents): Room {
  switch (contents.kind) {
    case 'bottle': return { lengthCm: contents.acrossCm, widthCm: contents.acrossCm, heightCm: contents.heightCm, round: true }
    case 'balls': return stacked(contents.count, contents.acrossCm)
    default: return { lengthCm: Math.max(contents.lengthCm, contents.widthCm), widthCm: Math.min(contents.lengthCm, contents.widthCm), heightCm: contents.heightCm, round: false }
  }
}

/** What a bag for these contents would be: its base, and how tall its wall is. */
export interface Proposal {
  readonly base: BaseSpec
  readonly heightCm: number
  readonly why: string
}

function withEase(cm: number): number {
  return Math.round((cm + 2 * EASE_CM) * 10) / 10
}

/**
 * Proposes a base and a height for contents, with ease: round things stand on a disc, boxes on a rectangle, soft cloth
 * in an oval.
 */
export function propose(contents: Contents, stitch: BaseStitch, colour: string): Proposal {
  const room = roomOf(contents)
  const like = { stitch, colour, lengthCm: withEase(room.lengthCm), widthCm: withEase(room.widthCm), heightCm: room.heightCm }
  const heightCm = Math.round((room.heightCm + HEADROOM_CM) * 10) / 10
  if (room.round) return { base: startBase('circle', like), heightCm, why: 'Round things stand on a round floor.' }
  const square = room.widthCm > 0.9 * room.lengthCm
  const form = contents.kind === 'box' || square ? 'rectangle' : 'oval'
  const base = startBase(form, like)
  const size = { want: { lengthCm: like.lengthCm, widthCm: like.widthCm } }
  return { base: { ...base, size } as BaseSpec, heightCm, why: form === 'rectangle' ? 'A box stands on a floor with corners.' : 'Soft things settle into an oval.' }
}

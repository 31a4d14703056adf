import { between, count, length } from '../field/questions'
import { CONTENT_CM } from '../field/bounds'
import { content, ON_A_DISC, type Room } from './content'

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
  const best = choices.reduce((a, b) => (Math.abs(Math.log(b.tall / b.wide)) < Math.abs(Math.log(a.tall / a.wide)) ? b : a))
  return { lengthCm: best.wide, widthCm: best.wide, heightCm: best.tall, round: true, layers: { each: best.each, count: best.layers } }
}

/** Loose balls fill about this much of the room they are poured into (the random packing of equal spheres is about 0.64; from memory). */
const PACKED = 0.6

/** Apples, balls of yarn: equal round things. */
export const balls = content({
  kind: 'balls', name: 'apples, balls',
  fields: {
    count: count('How many', between(1, 200), { beside: true, usually: between(1, 40) }),
    acrossCm: length('Across', CONTENT_CM, { beside: true, usually: between(1, 20) }),
  },
  begins: { kind: 'balls', count: 6, acrossCm: 7 }, room: ({ count, acrossCm }) => stacked(count, acrossCm),
  leastThroughCm: ({ acrossCm }) => acrossCm, called: ({ count }) => (count === 1 ? 'The ball' : 'A ball'),
  pouredLitres: ({ count, acrossCm }) => (count * (Math.PI / 6) * acrossCm ** 3) / PACKED / 1000, standsOn: () => ON_A_DISC,
  drawn: 'balls',
})

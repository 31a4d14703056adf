import { between, length } from '../field/questions'
import { CONTENT_CM } from '../field/bounds'
import { content, ON_CORNERS, type Room } from './content'

/** Length, width and height of something with corners. */
export const BOX_FIELDS = {
  lengthCm: length('Length', CONTENT_CM, { beside: true, usually: between(1, 60) }),
  widthCm: length('Width', CONTENT_CM, { beside: true, usually: between(1, 60) }),
  heightCm: length('Height', CONTENT_CM, { beside: true, usually: between(1, 60) }),
} as const

interface Sides {
  readonly lengthCm: number
  readonly widthCm: number
  readonly heightCm: number
}

/** A box as it stands: its longer side along the bag. */
export function boxRoom({ lengthCm, widthCm, heightCm }: Sides): Room {
  return { lengthCm: Math.max(lengthCm, widthCm), widthCm: Math.min(lengthCm, widthCm), heightCm, round: false }
}

/** Of a box, a ball with the girth of its smallest side. */
function leastThroughCm({ lengthCm, widthCm, heightCm }: Sides): number {
  const [a, b] = [lengthCm, widthCm, heightCm].sort((x, y) => x - y) as [number, number, number]
  return (2 * (a + b)) / Math.PI
}

/** A box. */
export const box = content({
  kind: 'box', name: 'a box', fields: BOX_FIELDS, begins: { kind: 'box', lengthCm: 24, widthCm: 9, heightCm: 30 }, room: boxRoom,
  leastThroughCm, called: () => 'The box', standsOn: () => ON_CORNERS, drawn: 'block',
})

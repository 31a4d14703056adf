import type { Draft } from '../../bag/draft/draft'
import type { Piece } from '../../parts/part/piece'
import type { Closure } from '../../parts/part/roles'
import { type Course, elevation } from './elevation'

/** A closure as the front of the bag shows it, in centimetres, y downwards from the floor. */
export interface ClosureFront {
  readonly part: string
  readonly colour: string
  /** A strip down the front, or a line of zip along the rim; how wide it is. */
  readonly path: string
  readonly widthCm: number
  readonly teeth: boolean
  readonly button?: { readonly x: number, readonly y: number, readonly radiusCm: number }
}

/** A flat button lies so much above the end of its loop or tab. */
const END_CM = 0.8

/** How a closure is drawn, by what it closes with: hanging over from the middle of the back, at a rim so high and half so wide. */
type Drawing = (closure: Closure, piece: Piece, y: number, half: number) => Pick<ClosureFront, 'path' | 'widthCm' | 'button'>

function buttonUnder(buttonCm: number, y: number): NonNullable<ClosureFront['button']> {
  return { x: 0, y, radiusCm: buttonCm / 2 }
}

const strip: Drawing = ({ buttonCm = 0 }, { lengthCm, widthCm }, y) => ({
  path: `M0 ${y}v${lengthCm}`, widthCm, button: buttonUnder(buttonCm, y + lengthCm - END_CM - buttonCm / 2),
})

const loop: Drawing = ({ buttonCm = 0 }, { lengthCm, widthCm }, y) => {
  // The loop lies around the button, which keeps it where it is.
  const around = buttonCm / 2 + widthCm / 2
  const buttonY = y + Math.max(around + 0.2, lengthCm / 2 - around)
  const path = `M-0.3 ${y}L${-around} ${buttonY}A${around} ${around} 0 0 0 ${around} ${buttonY}L0.3 ${y}`
  return { path, widthCm, button: buttonUnder(buttonCm, buttonY) }
}

const teeth: Drawing = (_, __, y, half) => ({ path: `M${-half + 1} ${y + 0.3}H${half - 1}`, widthCm: 0.6 })

const DRAWN: Readonly<Record<Closure['by'], Drawing>> = { strip, loop, teeth }

/** Every closure of a bag as its front shows it, closed. */
export function closureFronts(draft: Draft, courses: readonly Course[] = elevation(draft)): ClosureFront[] {
  let tall = 0
  return draft.parts.flatMap((part): ClosureFront[] => {
    tall += part.size.height.cm
    const { closure, pieces: [piece] } = part
    if (!closure || !piece) return []
    const half = (courses.findLast(({ bottomCm }) => bottomCm <= tall)?.outline.lengthCm ?? 0) / 2
    return [{ part: part.id, colour: piece.colour, teeth: closure.by === 'teeth', ...DRAWN[closure.by](closure, piece, -tall, half) }]
  })
}

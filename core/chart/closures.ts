import type { Draft } from '../draft/draft'
import type { WallSpec } from '../wall/wall'
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

function buttonOf(spec: WallSpec, downCm: number, y: number): ClosureFront['button'] {
  return 'buttonCm' in spec ? { x: 0, y: y + downCm - END_CM - spec.buttonCm / 2, radiusCm: spec.buttonCm / 2 } : undefined
}

/** Every closure of a bag as its front shows it, closed: they hang over from the middle of the back. */
export function closureFronts(draft: Draft, courses: readonly Course[] = elevation(draft)): ClosureFront[] {
  let tall = 0
  return draft.parts.flatMap((part): ClosureFront[] => {
    tall += part.size.height.cm
    const spec = part.id.startsWith('wall.') ? draft.design.wall[Number(part.id.slice(5))] : undefined
    const [piece] = part.pieces
    const half = (courses.findLast(({ bottomCm }) => bottomCm <= tall)?.outline.lengthCm ?? 0) / 2
    const y = -tall
    const like = { part: part.id, colour: piece?.colour ?? '', teeth: false }
    if (!spec || !piece) return []
    if (spec.band === 'zip') return [{ ...like, path: `M${-half + 1} ${y + 0.3}H${half - 1}`, widthCm: 0.6, teeth: true }]
    if (spec.band === 'tab') return [{ ...like, path: `M0 ${y}v${piece.lengthCm}`, widthCm: piece.widthCm, button: buttonOf(spec, piece.lengthCm, y)! }]
    if (spec.band !== 'button-loop') return []
    const down = piece.lengthCm / 2
    // The loop lies around the button, which keeps it where it is.
    const around = spec.buttonCm / 2 + piece.widthCm / 2
    const buttonY = y + Math.max(around + 0.2, down - around)
    return [{ ...like, path: `M-0.3 ${y}L${-around} ${buttonY}A${around} ${around} 0 0 0 ${around} ${buttonY}L0.3 ${y}`, widthCm: piece.widthCm, button: { x: 0, y: buttonY, radiusCm: spec.buttonCm / 2 } }]
  })
}

import type { Casing } from '../../bag/draft/casing'
import { drawnBy } from '../../parts/mouth/drawn'
import type { Footprint, FloorShape } from '../../parts/part/floor'
import type { Pull } from './gather'
import { frontX, withinWay } from './elevation'

/** A cord as the front of the bag shows it: what lies over posts, and its two ends with their knot, hanging. */
interface CordFront {
  readonly colour: string
  readonly over: string
  readonly ends: string
  readonly knot: { readonly x: number, readonly y: number }
  readonly thickCm: number
}

/** A casing to be drawn: where it is and what it encloses, drawn together or not. */
interface CasingPlace {
  readonly heightCm: number
  readonly outline: Footprint
  readonly shape: FloorShape
  /** 1 for left hands, -1 for right. */
  readonly side: 1 | -1
  /** How far round the bag its front begins. */
  readonly turn: number
}

/** How a casing pulls its mouth together. */
export function pullOf({ gathered, mouthCm }: Casing, heightCm: number, share: number): Pull {
  const { aroundCm } = drawnBy(gathered, share)
  return { heightCm, share: aroundCm / mouthCm, reachCm: Math.max(2, ((mouthCm - aroundCm) / (2 * Math.PI)) * 1.6) }
}

function n(value: number): string {
  return String(Math.round(value * 1000) / 1000)
}

/**
 * A casing's cords from the front, as far as they are threaded and pulled. Eyelets lie evenly round from the start of the
 * round; those of the near half are seen.
 */
export function cordsFront(
  casing: Casing,
  { heightCm, outline, shape, side, turn }: CasingPlace,
  pulled: number,
  threaded: number,
): CordFront[] {
  const { threading, eyelets, cord, spec, gathered } = casing
  if (!threading.ok) return []
  const { tailCm } = drawnBy(gathered, pulled)
  const x = (way: number) => side * frontX(outline, shape, Math.min(1, Math.max(0, 2 * way)))
  const wayOf = (eyelet: number) => withinWay((eyelet + 0.5) / eyelets - turn)
  const y = -heightCm
  return threading.cords.map(({ over, start }, i): CordFront => {
    const done = Math.min(eyelets, Math.max(0, Math.round(threaded * threading.cords.length * eyelets) - i * eyelets))
    const shown = over.slice(0, Math.floor(done / 2)).filter(post => wayOf(post) < 0.5)
    const at = wayOf(start)
    // An end at the far side hangs by the nearer edge.
    const startX = at <= 0.5 ? x(at) : x(at > 0.75 ? 0 : 0.5)
    const away = startX < 0 ? -1 : 1
    const hang = Math.min(tailCm, heightCm * 0.9)
    const [knotX, knotY] = [startX + away * Math.min(1.2, hang * 0.2), y + hang]
    return {
      colour: spec.colour, thickCm: cord.thickCm, knot: { x: knotX, y: knotY },
      over: shown.map(post => `M${n(x(wayOf(post)))} ${n(y)}L${n(x(wayOf(post + 1)))} ${n(y)}`).join(''),
      ends:
        done === 0
          ? ''
          : `M${n(startX)} ${n(y)}Q${n(startX + away * 1.4)} ${n(y + hang * 0.4)} ${n(knotX)} ${n(knotY)}M${n(startX)} `
            + `${n(y)}Q${n(startX + away * 0.5)} ${n(y + hang * 0.5)} ${n(knotX)} ${n(knotY)}`,
    }
  })
}

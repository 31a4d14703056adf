/*
 * The round as a track about what is said: a rectangle with round corners that the hook runs along once a round, from the middle of its
 * foot, against the clock as right-handed rounds go.
 */

/** A spot on the track, in pixels. */
interface TrackSpot {
  readonly x: number
  readonly y: number
}

interface Track {
  readonly path: string
  /** The spot at a share of the way, 0 to 1. */
  readonly at: (share: number) => TrackSpot
}

type Leg = { readonly length: number, readonly at: (way: number) => TrackSpot }

/** A quarter of a circle about (x, y), against the clock from an angle in quarters. */
function corner(x: number, y: number, radius: number, from: number): Leg {
  return {
    length: (Math.PI / 2) * radius,
    at: (way) => {
      const angle = (Math.PI / 2) * (from + way)
      return { x: x + radius * Math.cos(angle), y: y - radius * Math.sin(angle) }
    },
  }
}

function line(ax: number, ay: number, bx: number, by: number): Leg {
  return { length: Math.hypot(bx - ax, by - ay), at: way => ({ x: ax + (bx - ax) * way, y: ay + (by - ay) * way }) }
}

/**
 * The track within a box.
 *
 * @param edge pixels that it keeps from the box's edge
 * @param mirrored with the clock, as left-handed rounds go
 */
export function trackIn(width: number, height: number, edge: number, mirrored: boolean): Track {
  const [left, top, right, bottom] = [edge, edge, width - edge, height - edge]
  const radius = Math.max(0, Math.min(right - left, bottom - top) / 2, 0) * 0.55
  const middle = (left + right) / 2
  const legs = [
    line(middle, bottom, right - radius, bottom), corner(right - radius, bottom - radius, radius, 3),
    line(right, bottom - radius, right, top + radius), corner(right - radius, top + radius, radius, 0),
    line(right - radius, top, left + radius, top), corner(left + radius, top + radius, radius, 1),
    line(left, top + radius, left, bottom - radius), corner(left + radius, bottom - radius, radius, 2),
    line(left + radius, bottom, middle, bottom),
  ]
  const whole = legs.reduce((sum, { length }) => sum + length, 0)
  const turned = ({ x, y }: TrackSpot): TrackSpot => ({ x: mirrored ? width - x : x, y })
  const at = (share: number): TrackSpot => {
    let way = Math.min(1, Math.max(0, share)) * whole
    for (const leg of legs) {
      if (way <= leg.length || leg === legs.at(-1)) return turned(leg.at(leg.length === 0 ? 0 : Math.min(1, way / leg.length)))
      way -= leg.length
    }
    return turned({ x: middle, y: bottom })
  }
  const n = (value: number) => value.toFixed(1)
  const x = (value: number) => n(mirrored ? width - value : value)
  const sweep = mirrored ? 1 : 0
  const arc = (toX: number, toY: number) => `A${n(radius)} ${n(radius)} 0 0 ${sweep} ${x(toX)} ${n(toY)}`
  const path = `M${x(middle)} ${n(bottom)}L${x(right - radius)} ${n(bottom)}${arc(right, bottom - radius)}V${n(top + radius)}`
    + `${arc(right - radius, top)}H${x(left + radius)}${arc(left, top + radius)}V${n(bottom - radius)}${arc(left + radius, bottom)}Z`
  return { path, at }
}

/** More groups than this are not drawn apart. */
const MOST_GROUPS = 60
const GAP = 0.16

/**
 * How a track of so many groups is dashed as far as it is done, with a `pathLength` of the number of groups.
 *
 * @param done groups that are done, with parts
 */
export function dashes(groups: number, done: number): string {
  if (done <= 0) return `0 ${groups + 1}`
  if (groups > MOST_GROUPS || groups <= 1) return `${done} ${groups + 1}`
  const whole = Math.floor(done)
  const part = Math.min(1 - GAP, done - whole)
  const segments = Array.from({ length: whole }, () => `${1 - GAP} ${GAP}`)
  // A list of dashes begins again at its end: what is left of the way is one long gap.
  return [...segments, `${part} ${groups + 1}`].join(' ')
}

/** How the whole track is dashed. */
export function allDashes(groups: number): string {
  return groups > MOST_GROUPS || groups <= 1 ? 'none' : `${1 - GAP} ${GAP}`
}

/** How tall small text comes out, in pixels: so many lines at most, each text with a little room about it. */
export function heightOfSmall(texts: readonly { readonly text: string, readonly lines: number }[], letters: number, width: number): number {
  const linesOf = (text: string) => Math.ceil((text.length * letters * 0.55) / width)
  return texts.reduce((sum, { text, lines }) => sum + Math.min(lines, linesOf(text)) * letters * 1.27 + 15, 0)
}

/** The largest letters, in pixels, that a text fits into a box with, words kept whole. */
export function lettersFor(text: string, width: number, height: number, most: number): number {
  const longest = Math.max(1, ...text.split(/\s+/).map(word => word.length))
  const area = Math.sqrt((width * height) / (text.length * 0.66 + 4))
  return Math.max(15, Math.min(most, area, width / (longest * 0.56), height / 1.3))
}

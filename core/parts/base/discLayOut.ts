import type { LayOut } from '../part/layOut'
import type { WorkedRound } from '../../things/round/workedRound'
import type { Growing } from './discFields'

/** The polygon that increases one above the other make of a disc: a corner at each of them. */
interface Polygon {
  readonly corners: number
  readonly increaseAt: Growing['increaseAt']
}

/** How far a disc gives in to its polygon: fabric rounds the corners off (from memory). */
const GIVES_IN = 0.6

/**
 * How far out a polygon's edge lies, in radii of the disc with the same edge all round, at a share of the way from one
 * corner to the next. A regular polygon of `n` sides around an incircle of radius `ρ` has the edge `2nρ·tan(π/n)`.
 */
function outOnPolygon(corners: number, share: number): number {
  const inner = Math.PI / (corners * Math.tan(Math.PI / corners))
  return inner / Math.cos((share - 0.5) * ((2 * Math.PI) / corners))
}

/** Where a disc's stitches lie: ring after ring, each round's stitches evenly spread, starting at the top. */
export function discLayOut(rounds: readonly WorkedRound[], reachCm: number, polygon?: Polygon): LayOut {
  return (round, station) => {
    if (round < 0) return { x: 0, y: 0 }
    const count = rounds[round]!.edge.count
    const angle = ((station + 0.5) / count) * 2 * Math.PI
    const out
      = (round + 1) * reachCm * (polygon ? bulge(polygon, round + 1, (station + 0.5) / count, rounds[round]!.round.facing === 'wrong') : 1)
    return { x: -Math.sin(angle) * out, y: -Math.cos(angle) * out }
  }
}

/** How far a stacked disc reaches at a share of the way round, against a round one. Its corners are its increases. */
function bulge({ corners, increaseAt }: Polygon, r: number, wayRound: number, wrong: boolean): number {
  const worked = increaseAt === 'last' ? (r - 1) / r : Math.min(1, 1 / r)
  // A turned round meets its groups from the other end.
  const corner = wrong ? 1 - worked : worked
  const share = wayRound * corners - corner
  return 1 + GIVES_IN * (outOnPolygon(corners, share - Math.floor(share)) - 1)
}

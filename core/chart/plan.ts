import type { Draft } from '../draft/draft'
import { blank, type Chart, type ChartRound, markOf, slotOf } from './chart'

/** How far a foot moves from under its own stitch to the stitch it stands on. */
const LEAN = 0.7

/** How far from a round's outer line its stitches' heads stay, as a share of the round. */
const HEAD = 0.06

/**
 * The floor seen from above, its middle at (0, 0), to scale: round `r` fills the ring between `r - 1` and `r` times a
 * round's reach. Rounds start at the top; right-handed work runs against the clock, left-handed with it.
 */
export function planOf(draft: Draft): Chart {
  const base = draft.parts[0]!
  const reach = base.rounds.length > 0 ? (base.size.diameter?.cm ?? 0) / 2 / base.rounds.length : 0
  const count = base.rounds.reduce((sum, worked) => sum + worked.edge.count, 0)
  const chart = blank(count)
  const rounds: ChartRound[] = []
  const side = draft.design.hands === 'left' ? 1 : -1
  let below = new Float32Array(1)
  let at = 0
  base.rounds.forEach((worked, r) => {
    const n = worked.edge.count
    const angles = new Float32Array(n)
    const inner = r * reach
    const outer = (r + 1 - HEAD) * reach
    const from = at
    for (let made = 0; made < n; made++, at++) {
      const angle = ((slotOf(made, n, worked) + 0.5) / n) * 2 * Math.PI
      angles[made] = angle
      const footAngle = r === 0 ? angle : leant(angle, (below[worked.edge.from[made]!]! + below[worked.edge.to[made]!]!) / 2)
      chart.kinds[at] = worked.stitches[made]!
      chart.marks[at] = r === 0 ? 0 : markOf(worked.edge, made)
      chart.headX[at] = side * Math.sin(angle) * outer
      chart.headY[at] = -Math.cos(angle) * outer
      chart.footX[at] = side * Math.sin(footAngle) * inner
      chart.footY[at] = -Math.cos(footAngle) * inner
    }
    below = angles
    rounds.push({ number: r + 1, part: base.id, from, to: at, colour: worked.round.colour, startX: 0, startY: -(r + 0.5) * reach })
  })
  const radius = reach * base.rounds.length
  return { ...chart, rounds, box: { left: -radius, top: -radius, width: 2 * radius, height: 2 * radius } }
}

/** An angle moved towards its parent's, the short way round. */
function leant(own: number, parent: number): number {
  let apart = parent - own
  if (apart > Math.PI) apart -= 2 * Math.PI
  if (apart < -Math.PI) apart += 2 * Math.PI
  return own + apart * LEAN
}

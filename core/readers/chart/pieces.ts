import type { LayOut } from '../../parts/part/layOut'
import type { Piece } from '../../parts/part/piece'
import { blank, type Chart, type ChartRound, footing, isAlongChain, markOf, shapes } from './chart'
import { planOfRounds } from './plan'
import { roundStartsOf } from './roundStarts'

/** The shares of a row's height that stitches leave free above and below. */
const FREE = 0.06

/** A piece in rounds, from above. */
function roundChart({ id, rows, lengthCm, widthCm }: Piece, layOut: LayOut, leftHanded: boolean): Chart {
  const exactly = (cm: number) => ({ cm, plusMinusCm: 0 })
  const floor = { shape: 'disc', length: exactly(lengthCm), width: exactly(widthCm) } as const
  const size = { height: exactly(0), circumference: exactly(Math.PI * lengthCm), floor }
  return planOfRounds({ id, rounds: rows, firstRound: 1, size, layOut }, leftHanded)
}

/**
 * A piece worked on its own, to scale, its first row at y = 0 and the others above it, each about x = 0; rows run from right to
 * left for right hands, turned ones back.
 */
export function pieceChart(piece: Piece, leftHanded: boolean): Chart {
  if (piece.layOut) return roundChart(piece, piece.layOut, leftHanded)
  const { rows, lengthCm, widthCm, along } = piece
  const chart = blank(rows.reduce((sum, { edge }) => sum + edge.count, 0))
  const most = Math.max(1, ...rows.map(({ edge }) => edge.count))
  const [stitchCm, rowCm] = along ? [lengthCm / most, widthCm / rows.length] : [widthCm / most, lengthCm / rows.length]
  const side = leftHanded ? 1 : -1
  const rounds: ChartRound[] = []
  let at = 0
  let below: { readonly way: Float32Array, readonly count: number } | undefined
  rows.forEach((worked, r) => {
    const { count } = worked.edge
    const { way } = roundStartsOf([worked])[0]!
    const x = (share: number, of: number) => side * (share - 0.5) * of * stitchCm
    const shaping = shapes(worked)
    for (let made = 0; made < count; made++) {
      const i = at + made
      const own = way[made]!
      const foot
        = below && !isAlongChain(worked, made) ? footing(own, below.way[worked.edge.from[made]!]!, below.way[worked.edge.to[made]!]!) : own
      chart.kinds[i] = worked.stitches[made]!
      chart.marks[i] = shaping ? markOf(worked, made) : 0
      chart.headX[i] = x(own, count)
      chart.headY[i] = -(r + 1 - FREE) * rowCm
      chart.footX[i] = x(foot, below?.count ?? count)
      chart.footY[i] = -(r + FREE) * rowCm
    }
    const starts = worked.round.facing === 'right' ? 0 : 1
    rounds.push({
      number: r + 1, part: piece.id, from: at, to: at + count, colour: worked.round.colour, roomCm: stitchCm, startX: x(starts, count),
      startY: -(r + 0.5) * rowCm,
    })
    at += count
    below = { way, count }
  })
  const width = most * stitchCm
  return { ...chart, rounds, box: { left: -width / 2, top: -rows.length * rowCm, width, height: rows.length * rowCm } }
}

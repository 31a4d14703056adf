import type { LayOut, Spot } from '../part/layOut'
import { FAR, NEAR, SIDE_ONE, SIDE_TWO, type Stretches } from './ends'

/** Running places of every station within its stretch, worked out once a round. */
function shares(stretches: Stretches): Float32Array {
  const of = [0, 0, 0, 0]
  for (const name of stretches) of[name]!++
  const rest = stretches.length - 1 - stretches.lastIndexOf(SIDE_TWO)
  const seen = [rest, 0, 0, 0]
  const found = new Float32Array(stretches.length)
  for (let station = 0; station < stretches.length; station++) {
    const name = stretches[station]!
    const at = name === NEAR && station >= stretches.length - rest ? station - (stretches.length - rest) : seen[name]!++
    found[station] = (at + 0.5) / of[name]!
  }
  return found
}

/** A spot on the stadium at distance `out` from its spine, which runs from `-half` to `half`. */
export function onStadium(name: number, share: number, half: number, out: number): Spot {
  const turn = share * Math.PI
  switch (name) {
    case SIDE_ONE: return { x: (2 * share - 1) * half, y: out }
    case FAR: return { x: half + out * Math.sin(turn), y: out * Math.cos(turn) }
    case SIDE_TWO: return { x: (1 - 2 * share) * half, y: -out }
    default: return { x: -half - out * Math.sin(turn), y: -out * Math.cos(turn) }
  }
}

/**
 * Lays out rounds about a foundation chain: side one below it, running to the right, the far end, side two above it,
 * running back, the near end.
 *
 * @param reachCm how far so many rounds reach
 */
export function stadiumLayOut(
  half: number,
  reachCm: (rounds: number) => number,
  counts: { sideStitches: number },
  stretches: readonly Stretches[],
): LayOut {
  // Worked out when a round is first drawn: a draft that nobody draws has no use for it.
  const known: Float32Array[] = []
  const along = (round: number) => known[round] ??= shares(stretches[round]!)
  const side = counts.sideStitches
  return (round, station) => {
    if (round >= 0) return onStadium(stretches[round]![station]!, along(round)[station]!, half, reachCm(round + 1))
    if (station === 0 || station > 2 * side + 1) return { x: -half, y: 0 }
    if (station === side + 1) return { x: half, y: 0 }
    const onward = station <= side ? (station - 0.5) / side - 0.5 : 0.5 - (station - side - 1.5) / side
    return { x: onward * 2 * half, y: 0 }
  }
}

import type { LayOut } from '../../../parts/part/layOut'
import type { PartResult } from '../../../parts/part/part'
import { type Edge, withSides } from '../../../things/round/edge'
import { countedPlaces } from '../../../things/round/recount'
import type { WorkedRound } from '../../../things/round/workedRound'

/**
 * The texts and findings of a part, for the counts that its rounds really have.
 *
 * @param top the edge that it leaves, as it should be where the next round is to put it right
 */
export function rescaled(result: PartResult, rounds: readonly WorkedRound[], top: Edge): Partial<PartResult> {
  const share = (i: number) => (rounds[i]?.edge.count ?? 1) / (result.rounds[i]?.edge.count ?? 1)
  const last = top.count / result.edge.count
  const { circumference } = result.size
  const { layOut, arounds, markers, casing } = result
  return {
    size: { ...result.size, circumference: { cm: circumference.cm * last, plusMinusCm: circumference.plusMinusCm * last } },
    ...(arounds ? { arounds: arounds.map((cm, i) => cm * share(i)) } : {}),
    ...(layOut ? { layOut: laidBetween(layOut, result.rounds, share) } : {}),
    ...(markers ? { markers: markers.map((own, i) => own.map(made => Math.min(Math.round(made * share(i)), lastOf(rounds[i])))) } : {}),
    ...(casing ? { casing: { ...casing, eyelets: eyeletsOf(casing.eyelets, result.rounds, rounds) } } : {}),
  }
}

function lastOf(worked: WorkedRound | undefined): number {
  return Math.max(0, (worked?.edge.count ?? 1) - 1)
}

/** Where stitches lie that are more or fewer than a base has places for: between those that it has. */
function laidBetween(layOut: LayOut, planned: readonly WorkedRound[], share: (round: number) => number): LayOut {
  return (round, station) => {
    if (round < 0 || share(round) === 1) return layOut(round, station)
    const { count } = planned[round]!.edge
    const at = station / share(round)
    const before = Math.min(count - 1, Math.floor(at))
    const [a, b] = [layOut(round, before), layOut(round, (before + 1) % count)]
    const part = at - before
    return { x: a.x + (b.x - a.x) * part, y: a.y + (b.y - a.y) * part }
  }
}

/** The eyelets that there really are: the spaces of the round that leaves as many as planned. */
function eyeletsOf(eyelets: number, planned: readonly WorkedRound[], real: readonly WorkedRound[]): number {
  const i = planned.findIndex(({ edge }) => countedPlaces(edge, 'spaces') === eyelets)
  return i < 0 || !real[i] ? eyelets : countedPlaces(real[i].edge, 'spaces')
}

/** The edge that a part leaves, for the places that its last round really has; its sides as far round as they were planned. */
export function leftEdge(result: PartResult, edge: Edge): Edge {
  if (edge.count === result.edge.count) return withSides(edge, result.edge.sides)
  const share = edge.count / result.edge.count
  return withSides(edge, [result.edge.sides[0] * share, result.edge.sides[1] * share])
}

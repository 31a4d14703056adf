import type { Finding } from '../part/finding'
import type { LayOut } from '../part/layOut'
import { MOST_ROUNDS, MOST_STITCHES, type Setting } from '../part/part'
import { type Edge, foundation } from '../../things/round/edge'
import type { WorkedRound } from '../../things/round/workedRound'
import { type MotifBand, motifKindOf, type Within } from './kinds'

/** A motif as it is worked from its ring outward. */
export interface Motif {
  readonly rounds: readonly WorkedRound[]
  readonly edge: Edge
  readonly radiusCm: number
  /** How much each round lies further out, in centimetres. */
  readonly rises: readonly number[]
  readonly findings: readonly Finding[]
}

/** Works a motif's rounds, each kind on what the one within left; one that cannot be worked ends it with a stop. */
export function workMotif(bands: readonly MotifBand[], setting: Setting): Motif {
  const rounds: WorkedRound[] = []
  const rises: number[] = []
  const findings: Finding[] = []
  let within: Within = { edge: foundation('ring', 1), radiusCm: 0 }
  for (const [i, band] of bands.entries()) {
    const outward = motifKindOf(band).work(band, within, { ...setting, index: setting.index + rounds.length })
    const where = bands.length > 1 ? `Band ${i + 1} of the motif: ` : ''
    findings.push(...outward.findings.map(({ code, weight, what }) => ({ code, weight, what: `${where}${what}` })))
    rounds.push(...outward.rounds)
    rises.push(...outward.rises)
    const last = rounds.at(-1)
    within = {
      edge: last?.edge ?? within.edge, ...(last ? { last } : {}),
      radiusCm: within.radiusCm + outward.rises.reduce((sum, cm) => sum + cm, 0),
    }
    if (outward.findings.some(({ weight }) => weight === 'stop')) break
    if (rounds.length > MOST_ROUNDS || rounds.reduce((sum, { edge }) => sum + edge.count, 0) > MOST_STITCHES) {
      findings.push({ code: 'motif-too-big', weight: 'stop', what: 'This motif is more than anybody could work. Take fewer rounds of it.' })
      break
    }
  }
  return { rounds, rises, findings, edge: within.edge, radiusCm: within.radiusCm }
}

/** How far out each round of a motif reaches, in centimetres. */
export function reachesOf({ rises }: Pick<Motif, 'rises'>): number[] {
  return rises.map((_, i) => rises.slice(0, i + 1).reduce((sum, cm) => sum + cm, 0))
}

/** Where a motif's stitches lie: ring after ring, each as far out as it reaches, starting at the top. */
export function motifLayOut(motif: Motif): LayOut {
  const reach = reachesOf(motif)
  return (round, station) => {
    if (round < 0) return { x: 0, y: 0 }
    const angle = ((station + 0.5) / motif.rounds[round]!.edge.count) * 2 * Math.PI
    return { x: -Math.sin(angle) * reach[round]!, y: -Math.cos(angle) * reach[round]! }
  }
}

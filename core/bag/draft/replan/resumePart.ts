import { same } from '../../../things/measure/same'
import type { WallPart } from '../../design/design'
import { times } from '../../../things/measure/length'
import { riseOf, risenCm } from '../../../parts/part/rise'
import type { PartResult } from '../../../parts/part/part'
import type { WorkedRound } from '../../../things/round/workedRound'
import { askedFor, inOwnSize, type OwnShare } from '../../../parts/texture/ownSize'
import { heightAsked } from '../../../parts/wall/wall'
import type { GaugeKnowledge } from './gaugeKnowledge'
import type { DraftPart } from '../fold/draftPart'

/*
 * A part that is half worked, or whose texture has a size of its own
 * ==================================================================
 *
 * Kinds of parts know nothing of either. What is worked stands as tall as it was measured, or is told anew; the height that is left is
 * what the rest is asked for. A kind works its part from the beginning all the same: it is asked for a height that leaves, beyond the
 * rounds that are worked, as many rounds as the height that is left takes. Where the worked rounds would then be others than they are,
 * as of a taper whose changes are shared out anew, the part keeps its counts.
 */

/** Works a part, in another height than its spec says if one is given, or in so many rounds. */
export type Rework = (instead?: { readonly heightCm: number } | { readonly rounds: number }) => PartResult

/** A part of a wall asked for another height, or pinned to so many rounds. */
export function asked(spec: WallPart, instead: Parameters<Rework>[0]): WallPart {
  if (!instead) return spec
  const size = 'rounds' in instead ? { pin: instead } : { want: instead }
  return { ...spec, size } as WallPart
}

/** The height that a part of a wall is asked for, if that is all that its size says. */
export function wantedCm(spec: unknown): number | undefined {
  const size = heightAsked(spec as WallPart)
  return size && 'want' in size ? size.want.heightCm : undefined
}

/** A part worked in the size of its texture, where that is known. */
export function inTexture(spec: unknown, share: OwnShare | undefined, work: Rework): PartResult {
  if (!share) return work()
  const cm = wantedCm(spec)
  return inOwnSize(work(cm === undefined ? undefined : { heightCm: askedFor(cm, share) }), share)
}

/** Whether the first rounds of a part are those that are worked already. */
export function beginsLike(rounds: readonly WorkedRound[], worked: readonly WorkedRound[], count: number): boolean {
  return rounds.length >= count && rounds.slice(0, count).every(({ edge, round }, i) => {
    const then = worked[i]!
    return edge.count === then.edge.count && round.colour === then.round.colour && same(round.steps, then.round.steps)
  })
}

/** How tall the first rounds of a part are: as the tape said, and what came on top of it since. */
function standing(result: PartResult, id: string, rounds: number, { stands }: GaugeKnowledge): number {
  if (stands?.part !== id || stands.rounds > rounds) return risenCm(result, 0, rounds)
  return stands.height.cm + risenCm(result, stands.rounds, rounds)
}

/** A part as tall as what is worked of it stands, and what is still to come. */
function standingOn(result: PartResult, id: string, known: GaugeKnowledge): PartResult {
  const { stands } = known
  if (stands?.part !== id) return result
  const rounds = Math.min(stands.rounds, result.rounds.length)
  const before = risenCm(result, 0, rounds)
  if (before <= 0) return result
  const { height } = result.size
  const left = height.cm - before
  return {
    ...result,
    size: {
      ...result.size,
      height: {
        cm: stands.height.cm + left,
        plusMinusCm: Math.hypot(stands.height.plusMinusCm, height.cm > 0 ? (height.plusMinusCm * left) / height.cm : 0),
      },
    },
    rises: result.rounds.map((_, i) => riseOf(result, i) * (i < rounds ? stands.height.cm / before : 1)),
  }
}

/**
 * A part of which so many rounds are worked, as it goes on from there by what is known now.
 *
 * @param work works the part on the edge below, in the present gauge
 */
export function resumedPart(
  { id, from }: Pick<DraftPart, 'id' | 'from'>,
  rounds: number,
  known: GaugeKnowledge,
  share: OwnShare | undefined,
  work: Rework,
): PartResult {
  const again: Rework = share ? instead => inOwnSize(work(instead), share) : work
  const cm = from.wall && wantedCm(from.wall)
  const inShare = (heightCm: number) => again({ heightCm: askedFor(heightCm, share ?? {}) })
  const asAsked = cm === undefined ? again() : inShare(cm)
  if (cm === undefined || asAsked.rounds.length === 0) return standingOn(asAsked, id, known)
  // As many rounds as are worked, however few the height would take by what is known now.
  const first = asAsked.rounds.length < rounds ? again({ rounds }) : asAsked
  const height = cm - standing(first, id, rounds, known) + risenCm(first, 0, rounds)
  const result = inShare(height)
  return standingOn(result.rounds.length < rounds ? again({ rounds }) : result, id, known)
}

/** A part that keeps its counts, told as tall as its rounds are by what is known now. */
export function keptCounts(part: DraftPart, rounds: number, known: GaugeKnowledge, ratio: number): DraftPart {
  const { findings, rising, size } = part
  const anew = standingOn({ ...part, rising, size: { ...size, height: times(size.height, ratio) } }, part.id, known)
  return {
    ...part, size: anew.size, ...(anew.rises ? { rises: anew.rises } : {}),
    findings: [
      ...findings.filter(({ code }) => code !== 'keeps-counts'),
      {
        code: 'keeps-counts', weight: 'note', part: part.id,
        what: `${part.name} keeps its counts: its changes were shared out over all its rounds, and ${rounds} of them are worked.`,
      },
    ],
  }
}

import { pinned } from '../../../parts/base/sizing'
import type { BaseSpec } from '../../../parts/base/base'
import type { Design } from '../../design/design'
import { baseSetting, contextsIn } from '../../design/partContexts'
import type { Gauge } from '../../../things/gauge/gauge'
import { drifted, type Evidence, refine, TAPE_CM } from '../../../things/gauge/refine'
import type { Length } from '../../../things/measure/length'
import { PLACE_CODE } from '../../../things/round/edge'
import type { FabricKind } from '../../../things/stitch/dictionary'
import { isPlain, kindOf, mainStitch } from '../../../parts/wall/wall'
import { aroundOf, type DraftPart, isBase } from '../fold/draftPart'
import { risenCm } from '../../../parts/part/rise'
import { holds, type Stop } from './measurements'
import { type OwnShare, UNMEASURED } from '../../../parts/texture/ownSize'
import { shareOf, textureOf, texturesBySwatch } from '../fold/textures'
import { type MeasuredFloor, baseEvidence, tapedFloor } from './measuredFloor'
import { type LengthComparison, newShare, scaledBy } from './lengthComparison'

/*
 * Knowledge of the maker's stitches, from the swatch on through all that was measured
 * ======================================================================================
 *
 * A stretch of finished work under the tape says more of a stitch than any swatch: it is weighed against what was known, each by how
 * sure it is. What is worked in one stitch refines that stitch, and all that follow it; a stitch pattern has a size of its own, told as
 * a share of what its stitches would make. Hands tighten over a bag: what was known loses a little of its weight with every round since,
 * so that later rounds weigh more; and of a part measured twice the rounds in between are what is looked at.
 */

/** How tall the rounds of a part really are that were worked when the tape was laid. */
interface StandingSize {
  readonly part: string
  readonly rounds: number
  readonly height: Length
}

/** Knowledge of the maker's stitches at a round of the bag. */
export interface GaugeKnowledge {
  readonly gauge: Gauge
  readonly textures: ReadonlyMap<string, OwnShare>
  readonly stands?: StandingSize
  /** Of a base that was measured when it was done: its counts, and what the tape said, which is how large it is. */
  readonly base?: { readonly spec: BaseSpec, readonly taped: MeasuredFloor }
  /** The round at which something was last learnt. */
  readonly learntAt?: number
}

/** Knowledge by swatches alone: that of the stitches, and those of textures. */
export function knowledgeFrom(gauge: Gauge, design: Design): GaugeKnowledge {
  return { gauge, textures: texturesBySwatch(design, gauge) }
}

/** Rounds between two measures of one part that are looked at on their own; fewer say too little. */
const ENOUGH_ROUNDS = 4

/** The one stitch that a part is worked in throughout; nothing of a stitch pattern. */
function onlyStitch({ from, rounds }: DraftPart, design: Design, gauge: Gauge): FabricKind | undefined {
  if (from.base) return from.stitch
  if (!from.wall || from.wall.hook) return undefined
  const kind = mainStitch(from.wall, contextsIn(design, gauge))
  if (isPlain(from.wall)) return kind
  const code = rounds[0]?.stitches[0]
  const plain = rounds.every(({ stitches, edge, loops }) =>
    stitches.every(one => one === code) && loops.every(one => one === loops[0]) && edge.kinds.every(one => one !== PLACE_CODE.space))
  return plain ? kind : undefined
}

/** How tall so many rounds of the part in hand really are, of all the bag's height or the part's own. */
function standsAt(parts: readonly DraftPart[], part: DraftPart, stop: Stop): Length | undefined {
  const cm = (what: string) => stop.taken.findLast(one => 'what' in one && one.what === what) as { cm: number } | undefined
  const own = cm('part-height')
  if (own) return { cm: own.cm, plusMinusCm: TAPE_CM }
  const whole = cm('height')
  if (!whole) return undefined
  const below = parts.slice(0, parts.indexOf(part)).map(({ size }) => size.height)
  const left = whole.cm - below.reduce((sum, { cm }) => sum + cm, 0)
  return left > 0 ? { cm: left, plusMinusCm: Math.hypot(TAPE_CM, ...below.map(({ plusMinusCm }) => plusMinusCm)) } : undefined
}

/** The rounds that the tape tells of: those since it was laid last, if they are enough, or all of the part's. */
function heightSeen(part: DraftPart, rounds: number, stands: Length, before: StandingSize | undefined): LengthComparison | undefined {
  const earlier = before?.part === part.id && rounds - before.rounds >= ENOUGH_ROUNDS ? before : undefined
  const from = earlier?.rounds ?? 0
  const told = risenCm(part, from, rounds)
  const real = stands.cm - (earlier?.height.cm ?? 0)
  if (told <= 0 || real <= 0) return undefined
  return { told, real: { cm: real, plusMinusCm: Math.hypot(stands.plusMinusCm, earlier?.height.plusMinusCm ?? 0) } }
}

/** Observations of the part in hand. */
interface SeenOfPart {
  readonly height: LengthComparison | undefined
  readonly width: LengthComparison | undefined
}

/** A stitch as large as finished work said it is, or as large as it came out in a stitch pattern. */
export interface StitchObservation {
  readonly kind: FabricKind
  /** Of a stitch pattern: what it is called. */
  readonly texture?: string
  readonly side: 'width' | 'height'
  readonly cm: number
  /** How sure that is, as a share. */
  readonly error: number
  readonly round: number
}

/** Knowledge after the tape was laid, and what it said of which stitch. */
interface Lesson {
  readonly known: GaugeKnowledge
  readonly seen: readonly StitchObservation[]
}

function refinedBy(known: GaugeKnowledge, design: Design, part: DraftPart, { height, width }: SeenOfPart, round: number): GaugeKnowledge {
  if (!height && !width) return known
  const since = known.learntAt === undefined ? 0 : Math.max(0, round - known.learntAt)
  const gauge = drifted(known.gauge, since)
  const kind = onlyStitch(part, design, gauge)
  if (kind) {
    const own = gauge[kind]
    const evidence: Evidence = {
      kind, ...(width ? { width: scaledBy(own.width, width) } : {}), ...(height ? { height: scaledBy(own.height, height) } : {}),
    }
    return { ...known, gauge: refine(gauge, evidence) }
  }
  const { wall } = part.from
  if (!wall) return known
  const stitch = gauge[mainStitch(wall, contextsIn(design, gauge))]
  const before = shareOf(known, wall)
  const share: OwnShare = {
    ...before, ...(height ? { rise: newShare(before?.rise ?? UNMEASURED, stitch.height, height) } : {}),
    ...(width ? { across: newShare(before?.across ?? UNMEASURED, stitch.width, width) } : {}),
  }
  return { ...known, textures: new Map([...known.textures, [textureOf(wall), share]]) }
}

/** Evidence of a stretch of a part of the wall about its stitches, in all. */
function stitchesSeen(known: GaugeKnowledge, design: Design, part: DraftPart, seen: SeenOfPart, round: number): StitchObservation[] {
  const { wall } = part.from
  if (!wall || wall.hook) return []
  const { gauge } = known
  const only = onlyStitch(part, design, gauge)
  const kind = only ?? mainStitch(wall, contextsIn(design, gauge))
  const share = shareOf(known, wall)
  const one = (side: 'width' | 'height', own: number, what: LengthComparison | undefined): StitchObservation[] =>
    what
      ? [
          {
            kind, ...(only ? {} : { texture: kindOf(wall).name }), side, round,
            cm: (gauge[kind][side].cm * own * what.real.cm) / what.told, error: what.real.plusMinusCm / what.real.cm,
          },
        ]
      : []
  return [...one('height', share?.rise?.cm ?? 1, seen.height), ...one('width', share?.across?.cm ?? 1, seen.width)]
}

/** Observations of a base: as evidence of its stitch, and how it is told from now on. */
function learntOfBase(known: GaugeKnowledge, design: Design, part: DraftPart, stop: Stop): Lesson {
  const evidence = baseEvidence(part, design, known.gauge, stop)
  const { base } = part.from
  if (!evidence || !base) return { known, seen: [] }
  const { kind, width, height } = evidence
  const whole = stop.round === part.firstRound + part.rounds.length - 1
  const taped = whole ? tapedFloor(part, stop) : undefined
  const sides = { width, height }
  return {
    known: {
      ...known, gauge: refine(known.gauge, evidence),
      ...(taped ? { base: { spec: pinned(base, baseSetting(design, known.gauge), part), taped } } : {}), learntAt: stop.round,
    },
    seen: (['width', 'height'] as const).flatMap((side) => {
      const length = sides[side]
      return length ? [{ kind, side, cm: length.cm, error: length.plusMinusCm / length.cm, round: stop.round }] : []
    }),
  }
}

/** Updates the knowledge by a measurement of a bag that was drafted from the knowledge before. */
export function learn(known: GaugeKnowledge, design: Design, parts: readonly DraftPart[], stop: Stop): Lesson {
  const part = parts.find(one => holds(one, stop.round))
  if (!part) return { known, seen: [] }
  const { base: _, ...now } = known
  if (isBase(part)) return learntOfBase(now, design, part, stop)
  const rounds = stop.round - part.firstRound + 1
  const stands = standsAt(parts, part, stop)
  const flat = stop.taken.findLast(one => 'what' in one && one.what === 'flat-width') as { cm: number } | undefined
  const seen = {
    height: stands && heightSeen(part, rounds, stands, known.stands),
    width: flat && { told: aroundOf(part, rounds - 1) / 2, real: { cm: flat.cm, plusMinusCm: TAPE_CM } },
  }
  const refined = refinedBy(now, design, part, seen, stop.round)
  return {
    known: {
      ...refined, ...(stands ? { stands: { part: part.id, rounds, height: stands } } : {}),
      ...(seen.height || seen.width ? { learntAt: stop.round } : {}),
    },
    seen: stitchesSeen(known, design, part, seen, stop.round),
  }
}

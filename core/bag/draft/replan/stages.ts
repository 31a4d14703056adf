import type { Design } from '../../design/design'
import { same } from '../../../things/measure/same'
import type { Gauge } from '../../../things/gauge/gauge'
import { type Fold, fold } from '../fold/fold'
import type { From } from './partlyWorked'
import type { CountCorrection } from './countCorrection'
import { type GaugeKnowledge, knowledgeFrom, learn, type StitchObservation } from './gaugeKnowledge'
import { type MeasurementPlace, awaitedPlaces, type Stop, stopAt, type Measurement, withMeasurements } from './measurements'

/*
 * A bag drafted from what was measured on the way
 * ===============================================
 *
 * At each stop where the tape was laid the bag as drafted until then says what was expected there; what was found instead refines what
 * is known of the stitches, and all above is drafted anew from the edge that is there. So a bag measured three times is folded four
 * times, each time from where the last one was measured.
 */

/** A stop on the way: how the bag was drafted until then, and what is known from there on. */
interface Stage {
  readonly fold: Fold
  readonly stop: Stop | undefined
  readonly after: { readonly design: Design, readonly known: GaugeKnowledge }
  /** The tape's verdict on each stitch. */
  readonly seen: readonly StitchObservation[]
}

/** A bag as it is drafted by everything that was measured. */
export interface Stages {
  readonly stages: readonly Stage[]
  readonly fold: Fold
  /** Measures of parts that are not there, or are others than were measured. */
  readonly unused: readonly MeasurementPlace[]
}

/** As far as a bag has to be drafted to be measured. */
function upTo(one: MeasurementPlace): number {
  if (!('of' in one)) return one.round
  return one.of.part === 'base' ? 1 : Infinity
}

/** Whether what was learnt at a stop is what would be learnt there again. */
function stillHolds(before: Stage | undefined, now: Fold, stop: Stop): before is Stage {
  if (!before?.stop || !same(before.stop, stop) || before.fold.known !== now.known) return false
  const { design } = before.fold
  if (design.repeats !== now.design.repeats || design.rounds !== now.design.rounds) return false
  return now.parts.every((part, i) => part.firstRound > stop.round || part === before.fold.parts[i])
}

/** The design from a stop on; what is the same as before is the very same, so that nothing is drafted twice. */
function designAfter(design: Design, stop: Stop, before: Stage | undefined): Design {
  const after = withMeasurements(design, stop.taken)
  const rounds = before?.after.design.rounds
  return after !== design && rounds && same(rounds, after.rounds) ? { ...after, rounds } : after
}

/** The part of a stop that the bag is drafted by: what was written down for the record alone only teaches. */
function redrafting({ round, taken }: Stop): Stop | undefined {
  const own = taken.filter(one => !('keepsPlan' in one))
  return own.length > 0 ? { round, taken: own } : undefined
}

function stageAt(one: MeasurementPlace, folded: Fold, before: Stage | undefined): Stage {
  const { design, known } = folded
  const stop = stopAt(folded.parts, one)
  if (!stop) return { fold: folded, stop, after: { design, known }, seen: [] }
  if (stillHolds(before, folded, stop))
    return { fold: folded, stop, after: { design: designAfter(design, stop, before), known: before.after.known }, seen: before.seen }
  const by = redrafting(stop)
  const { seen } = learn(known, design, folded.parts, stop)
  return {
    fold: folded, stop, seen,
    after: { design: designAfter(design, stop, before), known: by ? learn(known, design, folded.parts, by).known : known },
  }
}

/** Knowledge by swatches: the very same object as before, as long as the swatch is. */
function knownAtFirst(design: Design, gauge: Gauge, before: Stages | undefined): GaugeKnowledge {
  const now = knowledgeFrom(gauge, design)
  const earlier = before && (before.stages[0]?.fold ?? before.fold).known
  return earlier?.gauge === gauge && same([...earlier.textures], [...now.textures]) ? earlier : now
}

/** Counts and measurements from the hook, and an earlier outcome for what can be taken over. */
interface StageOptions {
  readonly found: readonly CountCorrection[]
  readonly taken: readonly Measurement[]
  readonly before: Stages | undefined
}

/** Folds a bag by what was measured of it. */
export function foldInStages(design: Design, gauge: Gauge, { found, taken, before }: StageOptions): Stages {
  const stages: Stage[] = []
  const unused: MeasurementPlace[] = []
  let now = { design, known: knownAtFirst(design, gauge, before) }
  let from: From<Fold> | undefined
  for (const one of awaitedPlaces(design, taken)) {
    const earlier = before?.stages[stages.length]
    const folded = fold(now.design, now.known, { before: earlier?.fold, found, from, upTo: upTo(one) })
    const stage = stageAt(one, folded, earlier)
    stages.push(stage)
    if (stage.stop && redrafting(stage.stop)) from = { fold: folded, round: Math.max(from?.round ?? 0, stage.stop.round) }
    if (!stage.stop) unused.push(one)
    now = stage.after
  }
  return { stages, unused, fold: fold(now.design, now.known, { before: before?.fold, found, from }) }
}

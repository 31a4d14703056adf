import type { Design } from '../design/design'
import { type Gauge, gaugeOf } from '../../things/gauge/gauge'
import type { Finding } from '../../parts/part/finding'
import type { Start } from '../../parts/part/start'
import { bagFindings } from './findings/bagFindings'
import { casingFindings } from './casing'
import { contentsFindings } from './findings/contentsFit'
import type { CountCorrection } from './replan/countCorrection'
import { gaugeFindings } from './findings/gaugeFindings'
import { handleFindings } from './findings/handleFindings'
import { hangingsOf } from './handles'
import { loadedHeightCm, meshFindings } from './findings/meshFindings'
import type { Bag, Judge } from './findings/judge'
import type { DraftPart, DraftRound } from './fold/draftPart'
import type { GaugeKnowledge } from './replan/gaugeKnowledge'
import { refinedFindings } from './replan/refined'
import { type BagSizes, sizesOf } from './sizes'
import { foldInStages, type Stages } from './replan/stages'
import type { Measurement } from './replan/measurements'
import { wallFindings } from './findings/wallFindings'
import { withWallFixes } from './findings/wallFixes'

export type { DraftPart, DraftRound } from './fold/draftPart'

/** Everything that follows from a design: a pure function of it, never saved. */
export interface Draft {
  /** The design that is drafted: with the lean of the seam and the stretch of straps as they were found on the way. */
  readonly design: Design
  /** The design as it was given. */
  readonly from: Design
  /** The gauge by all that was measured, and by the swatch alone. */
  readonly gauge: Gauge
  readonly swatchGauge: Gauge
  readonly start: Start
  readonly parts: readonly DraftPart[]
  readonly rounds: readonly DraftRound[]
  readonly sizes: BagSizes
  readonly findings: readonly Finding[]
  /** Knowledge of the stitches by all that was measured. */
  readonly known: GaugeKnowledge
  /** State that a later draft of the same bag can take over. */
  readonly stages: Stages
}

/** Judges of what takes more than one part to see, in the order it is told. */
const JUDGES: readonly Judge[] = [contentsFindings, bagFindings, wallFindings, meshFindings, casingFindings, handleFindings]

/** Findings said word for word the same of several parts are told once; a stop always is told. */
function once(findings: readonly Finding[]): Finding[] {
  const said = new Set<string>()
  return findings.filter(({ code, what, weight }) => weight === 'stop' || (!said.has(code + what) && said.add(code + what)))
}

/** The swatch's gauge: as long as the swatch stays, so does it. */
function gaugeFor(design: Design, before: Draft | undefined): Gauge {
  return before?.from.gauge === design.gauge ? before.swatchGauge : gaugeOf(design.gauge)
}

/** Things that a bag is drafted from besides its design. */
interface DraftOptions {
  /**
   * An earlier draft of the bag: what is the same up to the first change is taken over, not worked again; the outcome is the same with and
   * without it.
   */
  readonly before?: Draft | undefined
  /** Counts that rounds really have on the hook: all above is drafted from them. */
  readonly found?: readonly CountCorrection[]
  /** Measurements on the hook: what is worked stays, all above is drafted by them. */
  readonly taken?: readonly Measurement[]
}

/** Drafts a bag: the fold over its parts, each of which takes the edge that the one below left. */
export function draft(from: Design, { before, found = [], taken = [] }: DraftOptions = {}): Draft {
  const swatchGauge = gaugeFor(from, before)
  const stages = foldInStages(from, swatchGauge, { found, taken, before: before?.stages })
  const { fold: { parts, start, design, known } } = stages
  const { gauge } = known
  const sizes = sizesOf(parts, hangingsOf(design, parts), loadedHeightCm(design, parts))
  const bag: Bag = { design, parts, sizes, gauge }
  return {
    design, from, gauge, swatchGauge, known, start, parts,
    rounds: parts.flatMap(part => part.rounds.map((worked, i) => ({ number: part.firstRound + i, part: part.id, worked }))), sizes,
    findings: once([
      ...withWallFixes(design, parts, gauge), ...JUDGES.flatMap(judge => judge(bag)), ...refinedFindings(from, swatchGauge, stages),
      ...gaugeFindings(design, gauge, parts, known),
    ]),
    stages,
  }
}

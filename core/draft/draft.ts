import type { Design } from '../design/design'
import { type Gauge, gaugeOf } from '../gauge/gauge'
import type { Finding } from '../part/finding'
import type { Start } from '../part/start'
import { bagFindings } from './bagFindings'
import { casingFindings } from './casing'
import { contentsFindings } from './contentsFit'
import { type Fold, fold } from './fold'
import type { Found } from './found'
import { gaugeFindings } from './gaugeFindings'
import { handleFindings } from './handleFindings'
import { hangingsOf } from './handles'
import { loadedHeightCm, meshFindings } from './meshFindings'
import type { Bag, Judge } from './judge'
import type { DraftPart, DraftRound } from './part'
import { draftGauge, type Redone, refinedFindings } from './refined'
import { type BagSizes, sizesOf } from './sizes'
import { wallFindings } from './wallFindings'
import { withWallFixes } from './wallFixes'

export type { DraftPart, DraftRound } from './part'

/** Everything that follows from a design: a pure function of it, never saved. */
export interface Draft {
  readonly design: Design
  readonly gauge: Gauge
  readonly start: Start
  readonly parts: readonly DraftPart[]
  readonly rounds: readonly DraftRound[]
  readonly sizes: BagSizes
  readonly findings: readonly Finding[]
  /** What a later draft of the same bag can take over. */
  readonly fold: Fold
}

/** What takes more than one part to see, each by a judge of its own, in the order it is told. */
const JUDGES: readonly Judge[] = [contentsFindings, bagFindings, wallFindings, meshFindings, casingFindings, handleFindings]

/** What is said word for word the same of several parts is told once; a stop always is told. */
function once(findings: readonly Finding[]): Finding[] {
  const said = new Set<string>()
  return findings.filter(({ code, what, weight }) => weight === 'stop' || (!said.has(code + what) && said.add(code + what)))
}

/** What the measured base changed above it, against a draft by the swatch alone. */
function redoneBy(design: Design, parts: readonly DraftPart[]): Redone[] {
  if (!design.measuredBase) return []
  const before = fold(design, gaugeOf(design.gauge)).parts
  return parts.slice(1).map((part, i) => ({ name: part.name, before: before[i + 1]?.rounds.length ?? 0, now: part.rounds.length }))
}

/** The gauge depends on the swatch, and on the base once that was measured: as long as they stay, so does it. */
function gaugeFor(design: Design, before: Draft | undefined): Gauge {
  const same
    = before
      && before.design.gauge === design.gauge
      && before.design.measuredBase === design.measuredBase
      && (!design.measuredBase || (before.design.base === design.base && before.design.rounds === design.rounds))
  return same ? before.gauge : draftGauge(design)
}

/**
 * Drafts a bag: the fold over its parts, each of which takes the edge that the one below left.
 *
 * @param before an earlier draft of the bag: what is the same up to the first change is taken over, not worked again; the
 * outcome is the same with and without it
 * @param found counts that rounds really have on the hook: all above is drafted from them
 */
export function draft(design: Design, before?: Draft, found: readonly Found[] = []): Draft {
  const gauge = gaugeFor(design, before)
  const folded = fold(design, gauge, before?.fold, found)
  const { parts, start } = folded
  const sizes = sizesOf(parts, hangingsOf(design, parts), loadedHeightCm(design, parts))
  const bag: Bag = { design, parts, sizes, gauge }
  return {
    design, gauge, start, parts,
    rounds: parts.flatMap(part => part.rounds.map((worked, i) => ({ number: part.firstRound + i, part: part.id, worked }))), sizes,
    findings: once([
      ...withWallFixes(design, parts, gauge), ...JUDGES.flatMap(judge => judge(bag)),
      ...refinedFindings(design, gauge, redoneBy(design, parts)), ...gaugeFindings(design, gauge),
    ]),
    fold: folded,
  }
}

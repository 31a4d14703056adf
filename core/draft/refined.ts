import { evidenceOf } from '../base/evidence'
import type { Design } from '../design/design'
import { type Gauge, gaugeOf } from '../gauge/gauge'
import { refine } from '../gauge/refine'
import { formatCm } from '../measure/format'
import type { Finding } from '../part/finding'
import type { Setting } from '../part/part'

/** The gauge a bag is drafted in: the swatch's, refined by the finished base once that is measured. */
export function draftGauge(design: Design): Gauge {
  const gauge = gaugeOf(design.gauge)
  if (!design.measuredBase) return gauge
  const setting: Setting = { gauge, rounds: design.rounds, index: 0, turns: 0 }
  const evidence = evidenceOf(design.base, design.measuredBase, setting)
  return evidence ? refine(gauge, evidence) : gauge
}

/** How many rounds a part took by the swatch alone, and takes now. */
export interface Redone {
  readonly name: string
  readonly before: number
  readonly now: number
}

function redoneWords(redone: readonly Redone[]): string {
  const changed = redone.filter(({ before, now }) => before !== now).map(({ name, before, now }) => `${name} takes ${now} rounds instead of ${before}`)
  return changed.length > 0 ? `${changed.join('; ')}.` : 'No count above changes by it.'
}

/** What measuring the base changed: the gauge, and the counts above. */
export function refinedFindings(design: Design, gauge: Gauge, redone: readonly Redone[]): Finding[] {
  if (!design.measuredBase) return []
  const before = gaugeOf(design.gauge)
  const kind = design.base.stitch
  if (before[kind].width.cm === gauge[kind].width.cm && before[kind].height.cm === gauge[kind].height.cm) {
    return [{ code: 'measured-unused', weight: 'watch', part: 'base', what: 'The measured base says nothing of the gauge: pin its counts first, and for an oval give a length greater than its width.' }]
  }
  const from = (what: 'width' | 'height') => `${(before[kind][what].cm * 10).toFixed(2)} to ${(gauge[kind][what].cm * 10).toFixed(2)} mm ± ${((gauge[kind][what].plusMinusCm / gauge[kind][what].cm) * 100).toFixed(1)} %`
  return [{
    code: 'gauge-refined', weight: 'note', part: 'base',
    what: `Your base measured ${formatCm(design.measuredBase.lengthCm, design.units)}${design.measuredBase.widthCm ? ` by ${formatCm(design.measuredBase.widthCm, design.units)}` : ''}: a ${kind} goes from ${from('width')} wide, and from ${from('height')} tall. ${redoneWords(redone)}`,
  }]
}

import { workBase } from '../base/base'
import { fine, tape } from '../stitch/tell'
import { evidenceOf } from '../base/evidence'
import type { Design } from '../design/design'
import { type Gauge, gaugeOf } from '../gauge/gauge'
import { refine } from '../gauge/refine'
import type { Finding } from '../part/finding'
import { fromNothing, type Setting } from '../part/part'

/** The gauge a bag is drafted in: the swatch's, refined by the finished base once that is measured. */
export function draftGauge(design: Design): Gauge {
  const gauge = gaugeOf(design.gauge)
  if (!design.measuredBase) return gauge
  const setting = swatchSetting(design, gauge)
  const evidence = isMeasuredOne(design, setting) ? evidenceOf(design.base, design.measuredBase, setting) : undefined
  return evidence ? refine(gauge, evidence) : gauge
}

/** What the base is worked in by the swatch alone. */
function swatchSetting(design: Design, gauge: Gauge): Setting {
  return fromNothing(gauge, design.rounds)
}

/** Whether the base is still the one that was measured, by its rounds and stitches. */
function isMeasuredOne(design: Design, setting: Setting): boolean {
  const { rounds, edge } = workBase(design.base, setting)
  return rounds.length === design.measuredBase?.rounds && edge.count === design.measuredBase.stitches
}

/** Why a measured base says nothing. */
function unused(design: Design): Finding {
  const { rounds, stitches } = design.measuredBase!
  const other = !isMeasuredOne(design, swatchSetting(design, gaugeOf(design.gauge)))
  return {
    code: 'measured-unused', weight: 'watch', part: 'base',
    what: other
      ? `The base that was measured had ${rounds} rounds and ${stitches} stitches; this is another one, so the gauge is the swatch's `
      + 'alone again. Measure this one once it is worked.'
      : 'The measured base says nothing of the gauge: for an oval give a length greater than its width.',
    fix: { label: 'Forget the measured base', changes: [{ path: ['measuredBase'], value: undefined }] },
  }
}

/** How many rounds a part took by the swatch alone, and takes now. */
export interface Redone {
  readonly name: string
  readonly before: number
  readonly now: number
}

function redoneWords(redone: readonly Redone[]): string {
  const changed = redone
    .filter(({ before, now }) => before !== now)
    .map(({ name, before, now }) => `${name} takes ${now} rounds instead of ${before}`)
  return changed.length > 0 ? `${changed.join('; ')}.` : 'No count above changes by it.'
}

/** What measuring the base changed: the gauge, and the counts above. */
export function refinedFindings(design: Design, gauge: Gauge, redone: readonly Redone[]): Finding[] {
  if (!design.measuredBase) return []
  const before = gaugeOf(design.gauge)
  const kind = design.base.stitch
  if (before[kind].width.cm === gauge[kind].width.cm && before[kind].height.cm === gauge[kind].height.cm) {
    return [unused(design)]
  }
  const from = (what: 'width' | 'height') =>
    `${fine(before[kind][what].cm)} to ${fine(gauge[kind][what].cm)} ± `
    + `${((gauge[kind][what].plusMinusCm / gauge[kind][what].cm) * 100).toFixed(1)} %`
  return [
    {
      code: 'gauge-refined', weight: 'note', part: 'base',
      what: 'Your base measured '
        + `${tape(design.measuredBase.lengthCm)}`
        + `${design.measuredBase.widthCm ? ` by ${tape(design.measuredBase.widthCm)}` : ''}: `
        + `{${kind}} goes from ${from('width')} wide, and from ${from('height')} tall. ${redoneWords(redone)}`,
    },
  ]
}

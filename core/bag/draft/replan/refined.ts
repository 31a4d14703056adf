import { inSentence } from '../../design/partNames'
import type { Design } from '../../design/design'
import type { Gauge } from '../../../things/gauge/gauge'
import type { Finding } from '../../../parts/part/finding'
import { fine, tape } from '../../../things/stitch/translate'
import type { FabricKind } from '../../../things/stitch/dictionary'
import { fold } from '../fold/fold'
import { knowledgeFrom } from './gaugeKnowledge'
import type { DraftPart } from '../fold/draftPart'
import type { Stages } from './stages'
import { type MeasurementPlace, ownStops, type StopOf } from './measurements'

/*
 * Findings about the parts that the design tells were measured.
 */

/** How many rounds a part took before it was known better, and takes now. */
export interface Redone {
  readonly id: string
  readonly name: string
  readonly before: number
  readonly now: number
}

/** Differences between two drafts of one bag, part by part. */
export function redone(before: readonly DraftPart[], now: readonly DraftPart[]): Redone[] {
  return now.flatMap(({ id, name, rounds }): Redone[] => {
    const then = before.find(part => part.id === id)
    return then && then.rounds.length !== rounds.length ? [{ id, name, before: then.rounds.length, now: rounds.length }] : []
  })
}

/** That in words. */
function redoneWords(list: readonly Redone[]): string {
  const changed = list.map(({ name, before, now }) => `${name} takes ${now} rounds instead of ${before}`)
  return changed.length > 0 ? `${changed.join('; ')}.` : 'No count above changes by it.'
}

/** Takes a measure out of the design. */
function forgotten(design: Design, of: StopOf['of']): NonNullable<Finding['fix']> {
  if (of.part === 'base' && design.measuredBase)
    return { label: 'Forget the measured base', changes: [{ path: ['measuredBase'], value: undefined }] }
  const left = (design.measured ?? []).filter(({ part, rounds }) => part !== of.part || rounds !== of.rounds)
  return { label: 'Forget this measure', changes: [{ path: ['measured'], value: left.length > 0 ? left : undefined }] }
}

function nameOf(parts: readonly DraftPart[], id: string): string {
  return id === 'base' ? 'base' : inSentence(parts.find(part => part.id === id)?.name ?? 'part')
}

/** Why a measure says nothing: what was measured is not there any more, or its length cannot be. */
function unusedWords(name: string, { rounds, stitches }: StopOf['of'], gone: boolean): string {
  return gone
    ? `The ${name} that was measured had ${rounds} rounds and ${stitches} stitches; this is another one, so its measure changes nothing. `
    + 'Measure this one once it is worked.'
    : `The measured ${name} says nothing of the gauge: of an oval give a length greater than its width.`
}

function stitchWords(kind: FabricKind, before: Gauge, gauge: Gauge): string {
  const from = (what: 'width' | 'height') =>
    `${fine(before[kind][what].cm)} to ${fine(gauge[kind][what].cm)} ± `
    + `${((gauge[kind][what].plusMinusCm / gauge[kind][what].cm) * 100).toFixed(1)} %`
  return `{${kind}} goes from ${from('width')} wide, and from ${from('height')} tall.`
}

function lengthsWords(of: StopOf['of'], lengths: StopOf['lengths'], name: string): string {
  const cm = lengths.map(length => tape(length.cm)).join(' by ')
  return of.part === 'base' ? `Your base measured ${cm}` : `Your ${name} measured ${cm} after ${of.rounds} rounds`
}

const FABRICS: readonly FabricKind[] = ['sc', 'hdc', 'dc', 'tr']

/** The stitch that a measure refined the most; nothing of a stitch pattern, whose own size it is. */
function refinedKind(before: Gauge, gauge: Gauge): FabricKind | undefined {
  const changed = FABRICS.filter(kind => before[kind] !== gauge[kind])
  return changed.find(kind => gauge[kind].known === 'measured') ?? changed[0]
}

function learntFinding(one: StopOf, before: Gauge, gauge: Gauge, parts: readonly DraftPart[], changed: string): Finding {
  const name = nameOf(parts, one.of.part)
  const kind = refinedKind(before, gauge)
  const what = kind ? stitchWords(kind, before, gauge) : 'its stitch pattern is told in a size of its own from here on.'
  const lengths = lengthsWords(one.of, one.lengths, name)
  return { code: 'gauge-refined', weight: 'note', part: one.of.part, what: `${lengths}: ${what} ${changed}` }
}

/** Effects of measuring parts, for those that the design itself holds: the gauge, and the counts above. */
export function refinedFindings(design: Design, swatchGauge: Gauge, { stages, unused, fold: after }: Stages): Finding[] {
  if (!design.measuredBase && !design.measured) return []
  const isOwn = (one: MeasurementPlace): one is StopOf => 'of' in one
  const gone = unused.filter(isOwn)
  const bySwatch = fold(design, knowledgeFrom(swatchGauge, design)).parts
  const changed = redoneWords(redone(bySwatch.slice(1), after.parts.slice(1)))
  const own = ownStops(design)
  return own.flatMap((one, i): Finding[] => {
    const { fold: { known: before }, after: { known } } = stages[i]!
    const name = nameOf(after.parts, one.of.part)
    if (before !== known && (before.gauge !== known.gauge || before.textures !== known.textures))
      return [learntFinding(one, before.gauge, known.gauge, after.parts, i === own.length - 1 ? changed : '')]
    const lost = gone.some(({ of }) => of.part === one.of.part && of.rounds === one.of.rounds)
    return [
      {
        code: 'measured-unused', weight: 'watch', part: one.of.part, what: unusedWords(name, one.of, lost),
        fix: forgotten(design, one.of),
      },
    ]
  })
}

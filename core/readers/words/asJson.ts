import type { BagSizes } from '../../bag/draft/sizes'
import type { Draft } from '../../bag/draft/draft'
import type { Handle } from '../../parts/part/handle'
import type { Finding, Fix } from '../../parts/part/finding'
import type { Terms } from '../../things/stitch/dictionary'
import { translate, type TranslateOptions, type Value, valuesIn } from '../../things/stitch/translate'
import { type PatternLine, roundLines, rowLines } from './pattern'
import type { RepeatStyle } from './openingWords'

/** A round or row, with what it leaves: stitches, spaces, and the chains in those, apart. */
interface RowRecord {
  readonly number: number
  readonly stitches: number
  readonly spaces: number
  readonly chains: number
  readonly words: string
}

function countsOf({ stitches, spaces, chains }: PatternLine): Pick<RowRecord, 'stitches' | 'spaces' | 'chains'> {
  return { stitches, spaces, chains }
}

/** A finding told, with the values that stand in it apart. */
type FindingRecord = Finding & { readonly values: readonly Value[] }

function findingRecord(finding: Finding, told: TranslateOptions): FindingRecord {
  const toldFix = (fix: Fix): Fix => ({ ...fix, label: translate(fix.label, told) })
  const { fix, otherFixes, ...bare } = finding
  return {
    ...bare, what: translate(finding.what, told), values: valuesIn(finding.what), ...(fix ? { fix: toldFix(fix) } : {}),
    ...(otherFixes ? { otherFixes: otherFixes.map(toldFix) } : {}),
  }
}

/** A draft for other programs to read. */
interface DraftRecord {
  /** Whether it can be worked from end to end: no finding stops it. */
  readonly finished: boolean
  readonly rounds: readonly (RowRecord & { readonly part: string })[]
  /** A piece worked on its own, row by row. */
  readonly pieces: readonly {
    readonly part: string
    readonly name: string
    readonly times: number
    readonly lengthCm: number
    readonly widthCm: number
    readonly rows: readonly RowRecord[]
  }[]
  readonly handles: readonly (Omit<Handle, 'bears'> & { readonly part: string })[]
  readonly sizes: BagSizes
  readonly findings: readonly FindingRecord[]
}

/** A draft as plain values: each round with its words, the sizes in centimetres, the findings. */
export function asRecord(draft: Draft, terms: Terms, repeats: RepeatStyle = 'brackets'): DraftRecord {
  const rounds = roundLines(draft, terms, repeats).map((line, i) => ({
    number: line.from, part: draft.rounds[i]!.part, ...countsOf(line), words: line.words,
  }))
  const pieces = draft.parts.flatMap(part =>
    part.pieces.map(piece => ({
      part: part.id, name: piece.name, times: piece.times, lengthCm: piece.lengthCm, widthCm: piece.widthCm,
      rows: rowLines(piece, terms, repeats).map(line => ({ number: line.from, ...countsOf(line), words: line.words })),
    })),
  )
  const handles = draft.parts.flatMap(part => part.handles.map(({ bears: _, ...handle }) => ({ ...handle, part: part.id })))
  return {
    finished: !draft.findings.some(({ weight }) => weight === 'stop'), rounds, pieces, handles, sizes: draft.sizes,
    findings: draft.findings.map(finding => findingRecord(finding, { terms, units: draft.design.units })),
  }
}

import type { BagSizes } from '../draft/sizes'
import type { Draft } from '../draft/draft'
import type { Handle } from '../part/handle'
import type { Finding } from '../part/finding'
import type { Terms } from '../stitch/dictionary'
import { inTerms } from './inTerms'
import { roundLines, rowLines } from './pattern'

/** A draft for other programs to read. */
export interface DraftRecord {
  readonly rounds: readonly { readonly number: number, readonly part: string, readonly stitches: number, readonly words: string }[]
  /** What is worked on its own, row by row. */
  readonly pieces: readonly {
    readonly part: string
    readonly name: string
    readonly times: number
    readonly lengthCm: number
    readonly widthCm: number
    readonly rows: readonly { readonly number: number, readonly stitches: number, readonly words: string }[]
  }[]
  readonly handles: readonly (Omit<Handle, 'bears'> & { readonly part: string })[]
  readonly sizes: BagSizes
  readonly findings: readonly Finding[]
}

/** A draft as plain values: each round with its words, the sizes in centimetres, the findings. */
export function asRecord(draft: Draft, terms: Terms): DraftRecord {
  const rounds = roundLines(draft, terms).map((line, i) => ({
    number: line.from, part: draft.rounds[i]!.part, stitches: line.stitches, words: line.words,
  }))
  const pieces = draft.parts.flatMap(part =>
    part.pieces.map(piece => ({
      part: part.id, name: piece.name, times: piece.times, lengthCm: piece.lengthCm, widthCm: piece.widthCm,
      rows: rowLines(piece, terms).map(line => ({ number: line.from, stitches: line.stitches, words: line.words })),
    })),
  )
  const handles = draft.parts.flatMap(part => part.handles.map(({ bears: _, ...handle }) => ({ ...handle, part: part.id })))
  return {
    rounds, pieces, handles, sizes: draft.sizes,
    findings: draft.findings.map(finding => ({ ...finding, what: inTerms(finding.what, terms) })),
  }
}

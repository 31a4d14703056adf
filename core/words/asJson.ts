import type { BagSizes } from '../draft/sizes'
import type { Draft } from '../draft/draft'
import type { Finding } from '../part/finding'
import type { Terms } from '../stitch/dictionary'
import { inTerms } from './inTerms'
import { roundLines } from './pattern'

/** A draft for other programs to read. */
export interface DraftRecord {
  readonly rounds: readonly { readonly number: number, readonly part: string, readonly stitches: number, readonly words: string }[]
  readonly sizes: BagSizes
  readonly findings: readonly Finding[]
}

/** A draft as plain values: each round with its words, the sizes in centimetres, the findings. */
export function asRecord(draft: Draft, terms: Terms): DraftRecord {
  const rounds = roundLines(draft, terms).map((line, i) => ({
    number: line.from, part: draft.rounds[i]!.part, stitches: line.stitches, words: line.words,
  }))
  return { rounds, sizes: draft.sizes, findings: draft.findings.map(finding => ({ ...finding, what: inTerms(finding.what, terms) })) }
}

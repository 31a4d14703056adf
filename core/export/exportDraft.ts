import { asSvg } from '../chart/svg'
import type { Draft } from '../draft/draft'
import type { Terms } from '../stitch/dictionary'
import { asCsv } from '../words/asCsv'
import { asRecord } from '../words/asJson'
import { asMarkdown, asText } from '../words/asText'
import { patternOf } from '../words/pattern'

/** The forms a draft leaves the program in. */
export const EXPORTS = ['text', 'md', 'json', 'csv', 'svg'] as const
export type ExportAs = (typeof EXPORTS)[number]

/** A draft written out: its body, and what a browser or file system should take it for. */
export interface Exported {
  readonly body: string
  readonly type: string
  readonly extension: string
}

/** Writes a draft out in any of the forms. */
export function exportDraft(draft: Draft, as: ExportAs, terms: Terms): Exported {
  switch (as) {
    case 'text': return { body: asText(patternOf(draft, terms)), type: 'text/plain', extension: 'txt' }
    case 'md': return { body: asMarkdown(patternOf(draft, terms)), type: 'text/markdown', extension: 'md' }
    case 'json': return { body: JSON.stringify(asRecord(draft, terms), null, 2) + '\n', type: 'application/json', extension: 'draft.json' }
    case 'csv': return { body: asCsv(draft, terms), type: 'text/csv', extension: 'csv' }
    case 'svg': return { body: asSvg(draft), type: 'image/svg+xml', extension: 'svg' }
  }
}

import type { Draft } from '../../bag/draft/draft'
import type { Terms } from '../../things/stitch/dictionary'
import type { RepeatStyle } from '../words/openingWords'
import type { TaughtGrams } from '../../bag/yarn/grams'
import type { ExportKind } from './kind'
import { EXPORT_KINDS } from './kinds'

/** Forms of export by the word that asks for each. */
export const EXPORTS: readonly ExportAs[] = EXPORT_KINDS.map(({ as }) => as)
export type ExportAs = (typeof EXPORT_KINDS)[number]['as']

/** A draft written out: its body, and what a browser or file system should take it for. */
interface ExportFile {
  readonly body: string
  readonly type: string
  readonly extension: string
}

/** Writes a draft out in any of the forms. */
export function exportDraft(
  draft: Draft,
  as: ExportAs,
  terms: Terms,
  repeats: RepeatStyle = 'brackets',
  taught: TaughtGrams = {},
): ExportFile {
  const { write, type, extension }: ExportKind = EXPORT_KINDS.find(kind => kind.as === as)!
  return { body: write(draft, terms, repeats, taught), type, extension }
}

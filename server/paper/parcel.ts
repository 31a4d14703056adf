import { strToU8, zipSync } from 'fflate'
import type { Draft } from '../../core/bag/draft/draft'
import { EXPORT_KINDS } from '../../core/readers/export/kinds'
import type { ExportKind } from '../../core/readers/export/kind'
import type { Terms } from '../../core/things/stitch/dictionary'
import type { RepeatStyle } from '../../core/readers/words/openingWords'
import type { TaughtGrams } from '../../core/bag/yarn/grams'

/** Everything of a bag in one zip: the document, the pattern in every form, the tables, the chart. */
export function parcelOf(draft: Draft, pdf: Buffer, terms: Terms, repeats: RepeatStyle, taught: TaughtGrams): Buffer {
  const written = (EXPORT_KINDS as readonly ExportKind[]).map(({ extension, write }) => [
    `pattern.${extension}`,
    strToU8(write(draft, terms, repeats, taught)),
  ])
  const files = Object.fromEntries([
    ['bag.design.json', strToU8(JSON.stringify(draft.design, null, 2) + '\n')], ['pattern.pdf', new Uint8Array(pdf)], ...written,
  ]) as Record<string, Uint8Array>
  // The same bag gives the same parcel, whenever it is packed.
  return Buffer.from(zipSync(files, { level: 6, mtime: '2026-01-01T00:00:00' }))
}

import type { Design } from '../../core/bag/design/design'
import { type Portrait, portraitOf } from '../../core/readers/chart/portrait'
import { draft } from '../../core/bag/draft/draft'
import { type ExportAs, exportDraft } from '../../core/readers/export/exportDraft'
import type { OrderContext, LineAsked } from '../../core/household/plan/draftedBags'
import type { Terms } from '../../core/things/stitch/dictionary'
import { translate } from '../../core/things/stitch/translate'
import { patternOf } from '../../core/readers/words/pattern'
import type { RepeatStyle } from '../../core/readers/words/openingWords'
import type { TaughtGrams } from '../../core/bag/yarn/grams'
import { parcelOf } from '../paper/parcel'
import { patternPdf } from '../paper/patternPdf'
import type { Fonts, PaperWish } from '../paper/sheet'
import type { Reason } from '../library/retention'
import type { SalvageResult } from '../library/salvage'
import { type AtRecords, copied, returned, salvaged } from './recordsJobs'
import { looking, writing } from './recordsConnection'
import { logbookBrought, makeBrought, parcelBrought, yarnsBrought } from './importJobs'
import { type ByMaker, knownOfOrders } from './orderContext'
import { factsFound, logbookFile, skillIn } from './logbookJobs'
import { type OrderFile, orderFile, type OrderFileWish } from './orderFile'
import { packParcel } from './packParcel'

/*
 * Long work of the server: drafting, writing out, packing. It is done in workers beside it, so that nobody waits.
 */

/** How a bag is to be written out. */
interface ExportWish extends PaperWish {
  readonly as: ExportAs | 'pdf' | 'zip'
  readonly terms: Terms
  readonly repeats: RepeatStyle
}

/** A file's bytes or text, and what it is to be taken for. */
interface WrittenOut {
  readonly body: string | Uint8Array
  readonly type: string
  readonly extension: string
}

/** A job that is done by a function of its own. */
interface JobOf<F extends (takes: never) => unknown> {
  readonly takes: Parameters<F>[0]
  readonly gives: Awaited<ReturnType<F>>
}

/** The jobs of the worker pool: what each takes, and what comes of it. */
export interface Jobs {
  portrait: { readonly takes: { readonly design: Design }, readonly gives: Portrait }
  /** Whether a bag can be drafted at all, or why it asks for more than can be made. */
  weigh: { readonly takes: { readonly design: Design }, readonly gives: { readonly tooMuch?: string } }
  export: {
    readonly takes: { readonly design: Design, readonly wish: ExportWish, readonly fonts?: Fonts, readonly taught: TaughtGrams }
    readonly gives: WrittenOut
  }
  /** The facts of a make. */
  facts: JobOf<typeof factsFound>
  taught: JobOf<typeof skillIn>
  logbook: JobOf<typeof logbookFile>
  /** Context of some orders, as JSON. */
  known: { readonly takes: ByMaker & { readonly path: string, readonly lines: readonly LineAsked[] }, readonly gives: string }
  order: {
    readonly takes: { readonly path: string, readonly wish: OrderFileWish, readonly maker: ByMaker }
    readonly gives: OrderFile | undefined
  }
  /** Copies everything; gives the copy's name. */
  copy: { readonly takes: AtRecords & { readonly why: Reason }, readonly gives: string }
  /** Returns everything to a copy; gives the name of the copy of what there was. */
  restore: { readonly takes: AtRecords & { readonly copy: string }, readonly gives: string }
  salvage: { readonly takes: AtRecords, readonly gives: SalvageResult }
  /** Brings what was written ahead into the records themselves. */
  settle: { readonly takes: { readonly path: string }, readonly gives: unknown }
  pack: { readonly takes: { readonly path: string }, readonly gives: Uint8Array }
  /** Files that come in. */
  parcel: JobOf<typeof parcelBrought>
  bringLogbook: JobOf<typeof logbookBrought>
  bringMake: JobOf<typeof makeBrought>
  bringYarns: JobOf<typeof yarnsBrought>
}

export type JobKind = keyof Jobs

/** Findings that say that more was asked for than can be made. */
const TOO_MUCH = new Set(['too-much', 'base-too-big', 'band-too-tall'])

async function written({ design, wish, fonts, taught }: Jobs['export']['takes']): Promise<WrittenOut> {
  const { as, terms, repeats } = wish
  const drafted = draft(design)
  if (as !== 'pdf' && as !== 'zip') return exportDraft(drafted, as, terms, repeats, taught)
  const pdf = await patternPdf(drafted, patternOf(drafted, terms, repeats, taught), wish, fonts!)
  return as === 'pdf'
    ? { body: pdf, type: 'application/pdf', extension: 'pdf' }
    : { body: parcelOf(drafted, pdf, terms, repeats, taught), type: 'application/zip', extension: 'zip' }
}

/** How each job is done. */
export const DONE: { readonly [K in JobKind]: (takes: Jobs[K]['takes']) => Jobs[K]['gives'] | Promise<Jobs[K]['gives']> } = {
  portrait: ({ design }) => portraitOf(draft(design)),
  weigh: ({ design }) => {
    const found = draft(design).findings.find(({ code }) => TOO_MUCH.has(code))
    return found ? { tooMuch: translate(found.what, { terms: 'us', units: design.units }) } : {}
  },
  facts: factsFound, taught: skillIn, logbook: logbookFile,
  known: ({ path, lines, ...maker }) => looking(path, db => JSON.stringify(knownOfOrders(db, lines, maker) satisfies OrderContext)),
  order: ({ path, wish, maker }) => looking(path, db => orderFile(db, wish, maker)),
  copy: copied, restore: returned, salvage: salvaged,
  settle: ({ path }) => writing(path, db => db.pragma('wal_checkpoint(PASSIVE)')),
  export: written, pack: ({ path }) => packParcel(path),
  parcel: parcelBrought, bringLogbook: logbookBrought, bringMake: makeBrought, bringYarns: yarnsBrought,
}

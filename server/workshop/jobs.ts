import type { Design } from '../../core/design/design'
import { type Portrait, portraitOf } from '../../core/chart/portrait'
import { type Draft, draft } from '../../core/draft/draft'
import { isStopped } from '../../core/draft/part'
import { type ExportAs, exportDraft } from '../../core/export/exportDraft'
import { type BagFacts, bagFacts } from '../../core/log/facts'
import type { Hands } from '../../core/log/hands'
import type { MakeEvent } from '../../core/make/event'
import { type Progress, progressIn } from '../../core/make/plan'
import { type BagWork, bagWork } from '../../core/plan/bagWork'
import type { ShelfYarn } from '../../core/shelf/yarn'
import type { Terms } from '../../core/stitch/dictionary'
import { tell } from '../../core/stitch/tell'
import { patternOf } from '../../core/words/pattern'
import type { RepeatStyle } from '../../core/words/say'
import type { TaughtGrams } from '../../core/yarn/grams'
import { type OrderSheet, orderPdf } from '../paper/orderPdf'
import { parcelOf } from '../paper/parcel'
import { patternPdf } from '../paper/patternPdf'
import type { Fonts, PaperWish } from '../paper/sheet'
import { packHouse } from './packHouse'
import { type Unpacked, unpackHouse } from './unpackHouse'

/*
 * What the server does that may take long: drafting, writing out, packing. It is done in a workshop beside it, so that nobody waits.
 */

/** How a bag is to be written out. */
export interface ExportWish extends PaperWish {
  readonly as: ExportAs | 'pdf' | 'zip'
  readonly terms: Terms
  readonly repeats: RepeatStyle
}

/** A file's bytes or text, and what it is to be taken for. */
export interface WrittenOut {
  readonly body: string | Uint8Array
  readonly type: string
  readonly extension: string
}

/** The jobs of the workshop: what each takes, and what comes of it. */
export interface Jobs {
  portrait: { readonly takes: { readonly design: Design }, readonly gives: Portrait }
  /** Whether a bag can be drafted at all, or why it asks for more than can be made. */
  weigh: { readonly takes: { readonly design: Design }, readonly gives: { readonly tooMuch?: string } }
  export: {
    readonly takes: { readonly design: Design, readonly wish: ExportWish, readonly fonts?: Fonts, readonly taught: TaughtGrams }
    readonly gives: WrittenOut
  }
  /** How far makes are, from all their events; nothing of one that was never taken up. */
  progress: {
    readonly takes: { readonly makes: readonly (readonly MakeEvent[])[] }
    readonly gives: readonly (Progress | undefined)[]
  }
  /** What a make tells, from all its events; nothing of one that was never taken up. */
  facts: { readonly takes: { readonly events: readonly MakeEvent[] }, readonly gives: BagFacts | undefined }
  /** What each of some bags takes, or why it is not known. */
  works: {
    readonly takes: { readonly designs: readonly Design[], readonly hands: Hands, readonly yarns: readonly ShelfYarn[] }
    readonly gives: readonly { readonly takes?: BagWork, readonly unfinished?: string }[]
  }
  order: { readonly takes: { readonly sheet: OrderSheet, readonly wish: PaperWish, readonly fonts: Fonts }, readonly gives: Uint8Array }
  pack: { readonly takes: { readonly path: string }, readonly gives: Uint8Array }
  unpack: { readonly takes: { readonly path: string, readonly bytes: Uint8Array }, readonly gives: Unpacked }
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

/** What a bag takes; of one that stops it is not known. */
function workOf(drafted: Draft, hands: Hands, yarns: readonly ShelfYarn[]): Jobs['works']['gives'][number] {
  return drafted.parts.some(isStopped)
    ? { unfinished: 'Its pattern stops: finish it on the bench first.' }
    : { takes: bagWork(drafted, hands, yarns) }
}

/** How each job is done. */
export const DONE: { readonly [K in JobKind]: (takes: Jobs[K]['takes']) => Jobs[K]['gives'] | Promise<Jobs[K]['gives']> } = {
  portrait: ({ design }) => portraitOf(draft(design)),
  weigh: ({ design }) => {
    const found = draft(design).findings.find(({ code }) => TOO_MUCH.has(code))
    return found ? { tooMuch: tell(found.what, { terms: 'us', units: design.units }) } : {}
  },
  progress: ({ makes }) => makes.map(progressIn), facts: ({ events }) => bagFacts(events),
  works: ({ designs, hands, yarns }) => designs.map(design => workOf(draft(design), hands, yarns)),
  order: ({ sheet, wish, fonts }) => orderPdf(sheet, wish, fonts),
  export: written, pack: ({ path }) => packHouse(path), unpack: ({ path, bytes }) => unpackHouse(path, bytes),
}

import type { Units } from '../../core/things/measure/format'
import 'reflect-metadata'
import { validateSync } from 'class-validator'
import type { H3Event } from 'h3'
import { LRUCache } from 'lru-cache'
import { OneOf, Text, Whole, Word } from '../../core/bag/design/rules'
import { DAY_FORM, isDay } from '../../core/household/plan/days'
import { EXPORTS, type ExportAs } from '../../core/readers/export/exportDraft'
import type { Terms } from '../../core/things/stitch/dictionary'
import { REPEAT_STYLES, type RepeatStyle } from '../../core/readers/words/openingWords'
import { BAG_GROUPS, BAG_ORDERS, type BagGroup, type BagOrder } from '../db/bagList'
import { type Paper, PAPERS } from '../paper/sheet'
import { refuseProblems } from './refuse'

/** A save: which revision it started from, and the document. */
class SaveRequest {
  @Whole({ least: 1, most: Number.MAX_SAFE_INTEGER }) revision!: number
  document!: unknown
}

/** Forms that the server alone writes: the open document, the pattern on paper, everything in one parcel. */
const OWN_EXPORTS = ['design', 'pdf', 'zip'] as const
type OwnExport = (typeof OWN_EXPORTS)[number]

/** Events that a device sends, and up to which it has those of the others. */
export class EventsRequest {
  @Whole({ least: 0, most: Number.MAX_SAFE_INTEGER }) after: number = 0
  events!: unknown
  progress?: unknown
}

/** Which events are wanted: those after a number. */
export class EventsQuery {
  @Whole({ least: 0, most: Number.MAX_SAFE_INTEGER }) after: number = 0
}

/** As what a shelf of yarns is wanted. */
export class ShelfQuery {
  @OneOf(['json', 'csv']) as: 'json' | 'csv' = 'json'
}

/** Where and when a maker is: their time zone, and the day it is there. */
class WhenAsked {
  @Text(1, 64) zone: string = 'UTC'
  @Word(DAY_FORM) on: string = new Date().toISOString().slice(0, 10)
}

/** Request for the context of some orders. */
export class KnownRequest extends WhenAsked {
  lines: unknown = []
}

/** An order as a file, or all of them. */
export class OrderQuery extends WhenAsked {
  @OneOf(['order', 'list', 'table', 'calendar', 'pdf']) as: 'order' | 'list' | 'table' | 'calendar' | 'pdf' = 'order'
  @OneOf(Object.keys(PAPERS)) paper: Paper = 'a4'
  @OneOf(['no', 'yes']) large: 'no' | 'yes' = 'no'
  @OneOf(['cm', 'in']) units: Units = 'cm'
}

/** A maker's zone and day, if there are such. */
export function soundWhen<W extends WhenAsked>(when: W): W {
  if (!isDay(when.on)) refuseProblems([{ field: 'on', message: 'is no day of the calendar from 1900 to 2999' }])
  try {
    new Intl.DateTimeFormat('en', { timeZone: when.zone })
  }
  catch {
    refuseProblems([{ field: 'zone', message: 'is no time zone' }])
  }
  return when
}

/** A stretch of the list of bags: those that a word is found in, in some order, from the so many-th on. */
export class BagsQuery {
  @Text(0, 80) find: string = ''
  @OneOf(BAG_ORDERS) order: BagOrder = 'changed'
  @Whole({ least: 0, most: 1_000_000 }) from: number = 0
  @OneOf(BAG_GROUPS) group: BagGroup = 'all'
  @Text(0, 300) after: string = ''
}

/** An export: in which form, vocabulary and style of repeats; `design` is the open document itself. */
export class ExportQuery {
  @OneOf([...EXPORTS, ...OWN_EXPORTS]) as: ExportAs | OwnExport = 'text'
  @OneOf(['us', 'uk']) terms: Terms = 'us'
  @OneOf(REPEAT_STYLES) repeats: RepeatStyle = 'brackets'
  /** Of a PDF. */
  @OneOf(Object.keys(PAPERS)) paper: Paper = 'a4'
  @OneOf(['no', 'yes']) large: 'no' | 'yes' = 'no'
}

/** The logbook as a file: whole, or one bag of it. */
export class LogbookQuery {
  @OneOf(['json', 'csv']) as: 'json' | 'csv' = 'json'
  @Text(0, 64) bag: string = ''
}

/** The id that a page gave its save, so that it can send it again; a save without one is taken as it comes. */
export function saveIdOf(event: H3Event): string | undefined {
  const id = getRequestHeader(event, 'save-id')
  if (id === undefined) return undefined
  return /^[\w.-]{8,64}$/.test(id) ? id : refuseProblems([{ field: 'Save-Id', message: 'must be 8 to 64 letters, digits, dots or dashes' }])
}

/** A save as pages send it, which is seen at a glance; whatever else is sent goes to the class, which says what is off. */
export function askedToSave(input: unknown): Pick<SaveRequest, 'revision' | 'document'> {
  const { revision } = (input ?? {}) as { revision?: unknown }
  return Number.isSafeInteger(revision) && (revision as number) >= 1 ? (input as SaveRequest) : asked(SaveRequest, input)
}

/** Queries that were found sound, by their words: the same are asked again and again, and checking takes longer than answering. */
const sound = new LRUCache<string, object>({ max: 500 })

/** A query, checked by its class, or known to be sound; answers 422 naming the fields that are off. */
export function askedBefore<R extends object>(type: new () => R, query: object): Readonly<R> {
  const words = `${type.name} ${JSON.stringify(query)}`
  const request = sound.get(words) as R | undefined ?? Object.freeze(asked(type, query))
  sound.set(words, request)
  return request
}

/** A request's body, checked by its class; answers 422 naming the fields that are off. */
export function asked<R extends object>(type: new () => R, input: unknown): R {
  const plain = typeof input === 'object' && input !== null ? input : {}
  const request = new type()
  // Only the request's own fields are taken, each as it came: what lies in a document is read as such, and not before.
  for (const name of Object.keys(request))
    if (Object.hasOwn(plain, name)) (request as Record<string, unknown>)[name] = (plain as Record<string, unknown>)[name]
  const problems = validateSync(request).map(({ property, constraints }) => ({
    field: property,
    message: Object.values(constraints ?? {})[0] ?? 'is off',
  }))
  return problems.length > 0 ? refuseProblems(problems) : request
}

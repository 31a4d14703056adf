import type { CardId } from '../../things/entry/cards'
import type { Change } from '../part/finding'
import type { ChoiceField, CountField, Field, Fields, MaybeField, Option, StitchField, Label, WaysField } from './field'
import type { QuestionContext } from './context'
import { decisionOf } from './spec'

/*
 * A question as it is put to the maker now: its words, its answers to choose from, and what of the document an answer changes.
 * Paths start at the spec that is asked about.
 */

type Path = readonly (string | number)[]

/** A question in its place: where its answer goes, and what stands there now. */
export interface PlacedField {
  readonly name: string
  readonly field: Field
  readonly path: Path
  readonly value: unknown
}

/** An answer to choose from, and what it changes. */
interface Answerable {
  readonly name: string
  readonly does?: string
  /** How it is worked: a card with a drawing. */
  readonly card?: CardId
  readonly chosen: boolean
  readonly changes: readonly Change[]
}

/** Words of a question as they are now. */
export function said(told: Label, spec: object, now: QuestionContext): string {
  return typeof told === 'string' ? told : told.of(spec, now)
}

/** Value in a spec at a path; nothing if the way there ends before. */
export function valueAt(spec: object, path: Path): unknown {
  return path.reduce<unknown>((at, key) => (at as Record<string | number, unknown> | undefined)?.[key], spec)
}

/** Sorts of questions that have a field of their own in the page; the others are asked by tools. */
const FIELDED: readonly Field['is'][] = [
  'count', 'figure', 'length', 'choice', 'stitch', 'yarn', 'ways', 'maybe', 'group', 'kinds', 'list', 'text',
]

/** The questions that make sense now, in rows: those that stand beside each other in one. */
export function rowsOf(fields: Fields, spec: object, at: Path = [], skip: readonly string[] = []): PlacedField[][] {
  const rows: PlacedField[][] = []
  let beside = false
  for (const [name, field] of Object.entries(fields)) {
    if (field.unasked || !FIELDED.includes(field.is) || skip.includes(name) || field.when?.(spec) === false) continue
    const put: PlacedField = { name, field, path: [...at, name], value: valueAt(spec, [...at, name]) }
    if (beside && field.beside) rows.at(-1)!.push(put)
    else rows.push([put])
    beside = field.beside === true
  }
  return rows
}

function answers(
  options: readonly Option[],
  path: Path,
  value: unknown,
  spec: object,
  now: QuestionContext,
  to: (value: Option['value']) => readonly Change[],
): Answerable[] {
  return options.map(option => ({
    name: said(option.name, spec, now), ...(option.does === undefined ? {} : { does: said(option.does, spec, now) }),
    ...(option.card ? { card: option.card } : {}), chosen: option.value === value, changes: to(option.value),
  }))
}

/** One of a few: what is not so is left out of a document that may leave it out. */
function choiceAnswers(
  field: ChoiceField & { readonly optional?: true }, { path, value }: PlacedField, spec: object, now: QuestionContext,
): Answerable[] {
  // What a document leaves out is not so, or the first of what it may be.
  const stands = field.optional
    ? (value ?? (field.options.some(option => option.value === false) ? false : field.options[0]!.value))
    : value
  return answers(field.options, path, stands, spec, now, to => [{ path, value: field.optional && to === false ? undefined : to }])
}

function stitchAnswers({ kinds }: StitchField, { path, value }: PlacedField, spec: object, now: QuestionContext): Answerable[] {
  return answers(
    kinds.map(kind => ({ value: kind, name: `{${kind}}`, does: `{${kind}.name}` })),
    path,
    value,
    spec,
    now,
    to => [{ path, value: to }],
  )
}

/** How something is decided: each way with the answers that it begins with, and what else changes with it. */
function wayAnswers(field: WaysField, { path, value }: PlacedField, spec: object, now: QuestionContext): Answerable[] {
  const current = value === undefined ? undefined : decisionOf(field, value as object)
  const ways = field.ways.map((way): Answerable => ({
    name: said(way.name, spec, now), ...(way.does === undefined ? {} : { does: said(way.does, spec, now) }), chosen: way === current,
    changes: [
      { path, value: { [way.under]: way.from(spec, now) } },
      ...Object.entries(way.sets?.(spec, now) ?? {}).map(([name, to]): Change => ({ path: [name], value: to })),
    ],
  }))
  return field.none ? [{ name: field.none.name, chosen: current === undefined, changes: [{ path, value: undefined }] }, ...ways] : ways
}

/** Whether a group of questions is there at all; together with the choice that leads it, if one does. */
function maybeAnswers(field: MaybeField, { path, value }: PlacedField, spec: object, now: QuestionContext): Answerable[] {
  const begins = () => value ?? field.begin(spec, now)
  const without: Answerable = { ...field.without, chosen: value === undefined, changes: [{ path, value: undefined }] }
  if (field.lead === undefined) return [without, { ...field.having, chosen: value !== undefined, changes: [{ path, value: begins() }] }]
  const lead = field.lead
  const stands = (value as Record<string, unknown> | undefined)?.[lead]
  const led = (field.fields[lead] as ChoiceField).options
  const having = answers(led, path, stands, spec, now, to => [{ path, value: { ...(begins() as object), [lead]: to } }])
  return field.usuallyNot ? [without, ...having] : [...having, without]
}

function untaught(taught: readonly number[]): number {
  let number = Math.min(...taught)
  while (taught.includes(number)) number++
  return number
}

/** A number that makers teach several of: those, the word in its place, and any other. */
function taughtAnswers(
  { or, orDoes, taught = [] }: CountField, { path, value }: PlacedField, spec: object, now: QuestionContext,
): Answerable[] {
  const other = taught.every(one => one.value !== value) && value !== or
  // A number that nobody teaches, so that the maker is asked for theirs.
  const own = other ? value : untaught(taught.map(one => one.value))
  return [
    ...(or === undefined
      ? []
      : [
          {
            name: or.replaceAll('-', ' '), ...(orDoes === undefined ? {} : { does: said(orDoes, spec, now) }), chosen: value === or,
            changes: [{ path, value: or }],
          },
        ]),
    ...answers(taught, path, value, spec, now, to => [{ path, value: to }]),
    { name: 'another', does: 'Any number: what it will do is said below.', chosen: other, changes: [{ path, value: own }] },
  ]
}

/** The answers that a question lets choose from; none of one that asks for a figure alone. */
export function answersTo(put: PlacedField, spec: object, now: QuestionContext): Answerable[] {
  const { field } = put
  switch (field.is) {
    case 'choice':
      return choiceAnswers(field, put, spec, now)
    case 'stitch':
      return stitchAnswers(field, put, spec, now)
    case 'ways':
      return wayAnswers(field, put, spec, now)
    case 'maybe':
      return maybeAnswers(field, put, spec, now)
    case 'count':
      return field.taught ? taughtAnswers(field, put, spec, now) : []
    default:
      return []
  }
}

/** The questions that lie within one as it is answered now. */
interface Within {
  readonly fields: Fields
  readonly at: Path
  /** Asked together with the question itself. */
  readonly skip: readonly string[]
}

/** Further questions of a question, as it is answered now; none of one that asks no further. */
export function withinOf({ field, path, value }: PlacedField): Within | undefined {
  if (field.is === 'group') return { fields: field.fields, at: path, skip: [] }
  if (value === undefined) return undefined
  if (field.is === 'maybe') return { fields: field.fields, at: path, skip: field.lead === undefined ? [] : [field.lead] }
  const way = field.is === 'ways' ? decisionOf(field, value as object) : undefined
  return way && { fields: way.fields, at: [...path, way.under], skip: [] }
}

/** The present answers of a group of questions, in short: the chosen ones by their names. */
export function standsAt(fields: Fields, spec: object, now: QuestionContext, at: Path = []): string[] {
  return rowsOf(fields, spec, at)
    .flat()
    .flatMap((put) => {
      const within = withinOf(put)
      const chosen = answersTo(put, spec, now)
        .filter(answer => answer.chosen)
        .map(({ name }) => name)
      return [...chosen, ...(within ? standsAt(within.fields, spec, now, within.at) : [])]
    })
}

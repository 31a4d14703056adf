import 'reflect-metadata'
import { type BySort, readBy } from '../../parts/field/bySort'
import type { Field, Fields, KindsField, ListField, WaysField } from '../../parts/field/field'
import type { ValuesOf } from '../../parts/field/spec'
import { ID } from '../../parts/field/questions'
import { DESIGN_FIELDS, SWATCH_FIELDS } from './fields'
import { DESIGN_LIMITS, type Limits } from './limits'
import {
  AtLeast,
  AtMost,
  Between,
  EitherOr,
  IfGiven,
  Is,
  List,
  Lines,
  ListOf,
  OneOf,
  Part,
  type Rule,
  Text,
  UnlessWord,
  Whole,
  Word,
  YesNo,
} from './rules'
import { listsOf, soundObject } from './quickCheck'

/*
 * The open documents as class-validator sees them, made from their fields: a class an object, its rules by the sort of each field, and
 * what a document means that leaves a field out as the value its instances begin with. They exist to check what comes from people and
 * files; the program itself works with the plain types.
 */

/** The class of a group of fields. */
function documentClass<F extends Fields>(fields: F, also: Readonly<Record<string, Rule>> = {}): new () => ValuesOf<F> & object {
  const made = Object.entries(fields).map(([name, field]) => ({ name, field, ...ruled(field) }))
  function document(this: Record<string, unknown>): void {
    for (const { name, field, begins } of made) if (!field.optional) this[name] = begins?.()
  }
  for (const [name, rule] of Object.entries(also)) rule(document.prototype, name)
  for (const { name, field, rule } of made) {
    rule(document.prototype, name)
    if (field.optional) IfGiven()(document.prototype, name)
  }
  // A function that fills in what it begins with is a class, as class-transformer calls it with `new`.
  return document as unknown as new () => ValuesOf<F> & object
}

/** The rule of a field, and what it begins with. */
interface FieldRule {
  readonly rule: Rule
  readonly begins?: () => unknown
}

const anId: Rule = (target, property) => Word({ source: ID, message: 'must be 1 to 24 small letters, digits or dashes' })(target, property)

/** The rule of each sort of field, and what it begins with where its `begins` does not say it by itself. */
const RULES: BySort<FieldRule> = {
  count: ({ or, bounds }) => ({ rule: or === undefined ? Whole(bounds) : UnlessWord(or, Whole(bounds)) }),
  figure: ({ bounds, unit }) => ({ rule: Between(bounds, unit === 'sts' ? '' : unit) }),
  length: ({ bounds }) => ({ rule: Between(bounds, 'cm') }),
  choice: ({ options }) => ({ rule: chosen(options.map(({ value }) => value)) }), stitch: ({ kinds: all }) => ({ rule: OneOf(all) }),
  yarn: () => ({ rule: anId }), repeat: () => ({ rule: anId }), always: ({ value }) => ({ rule: Is(value) }),
  text: ({ pattern, least, most }) => ({ rule: pattern ? Word(pattern) : Text(least, most) }),
  lines: ({ most, longest }) => ({ rule: Lines(most, longest) }), ways: field => ({ rule: decided(field) }),
  maybe: ({ fields }) => groupOf(fields, false), group: ({ fields, begins }) => groupOf(fields, begins !== undefined), list: listed,
  kinds,
}

function ruled(field: Field): FieldRule {
  const begins = 'begins' in field && field.begins !== undefined ? { begins: (): unknown => field.begins } : {}
  return { ...begins, ...readBy(RULES, field) }
}

function chosen(values: readonly (string | number | boolean)[]): Rule {
  if (values.every(value => typeof value === 'boolean')) return YesNo()
  return OneOf(values.every(value => typeof value === 'number') ? [...values].sort() : values)
}

function groupOf(fields: Fields, begins: boolean): FieldRule {
  const type = documentClass(fields)
  return { rule: Part(() => type), ...(begins ? { begins: () => new type() } : {}) }
}

function listed({ of, one, all, least, most, begins }: ListField): FieldRule {
  const type = documentClass(of)
  const rule: Rule = (target, property) => {
    for (const each of [List(all), AtLeast(least, one), AtMost(most, all), ListOf(() => type)]) each(target, property)
  }
  return { rule, ...(begins ? { begins: () => (begins === 'one' ? [new type()] : []) } : {}) }
}

/** A choice between ways: `want` or `pin`, and where several ways go by one of them, one of their fields. */
function decided({ ways }: WaysField): Rule {
  const unders = [...new Set(ways.map(({ under }) => under))]
  const fields = Object.fromEntries(
    unders.map((under): [string, Field] => {
      const own = ways.filter(way => way.under === under).map(way => way.fields)
      const all = Object.assign({}, ...own) as Fields
      return [under, { is: 'group', label: under, optional: true, fields: own.length > 1 ? ownOptional(all, own) : all }]
    }),
  )
  const also = Object.fromEntries(
    unders.flatMap((under): [string, Rule][] => {
      const own = ways.filter(way => way.under === under).map(way => Object.keys(way.fields)[0]!)
      return own.length > 1 ? [[under, EitherOr(own[0]!, own[1]!)]] : []
    }),
  )
  const type = documentClass(fields, also)
  return (target, property) => {
    EitherOr('want', 'pin')(target, property)
    Part(() => type)(target, property)
  }
}

/** Only some of the ways ask it: may be left out; fields that all of them ask may not. */
function ownOptional(fields: Fields, ways: readonly Fields[]): Fields {
  return Object.fromEntries(Object.entries(fields).map(([name, field]) =>
    [name, ways.every(way => name in way) ? field : { ...field, optional: true as const }]))
}

/** One of several kinds, each checked by its own class; a kind that no class knows is refused by the one they have in common. */
function kinds({ by, kinds: all, list }: KindsField): FieldRule {
  const named = OneOf(all.map(({ value }) => value))
  const unknown = documentClass({}, { [by]: named })
  const options = {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: by,
      subTypes: all.map(({ value, fields }) => ({ name: value, value: documentClass(fields, { [by]: named }) })),
    },
  }
  if (!list) return { rule: Part(() => unknown, options) }
  return {
    ...(list.least ? {} : { begins: () => [] }),
    rule: (target, property) => {
      for (const each of [List(list.all), AtLeast(list.least ?? 0, list.all.replace(/s$/, '')), AtMost(list.most, list.all), ListOf(() => unknown, options)])
        each(target, property)
    },
  }
}

/** Checks of a sort of document: quickly, by its size, and by its class. */
export interface DocumentRules<D> {
  readonly type: new () => D & object
  readonly isSound: (input: unknown) => input is D
  readonly lists: ReturnType<typeof listsOf>
  readonly limits: Limits
}

/** The rules of documents with these fields. */
export function documentRules<F extends Fields>(fields: F, limits: Limits = DESIGN_LIMITS): DocumentRules<ValuesOf<F>> {
  const isSound = soundObject(fields)
  return { type: documentClass(fields), isSound: (input): input is ValuesOf<F> => isSound(input), lists: listsOf(fields), limits }
}

/** A design as it is written to a file. */
export const DESIGN_RULES = documentRules(DESIGN_FIELDS)

/** A swatch as it is written to a file. */
export const SWATCH_RULES = documentRules(SWATCH_FIELDS)

import { type BySort, readBy } from '../../parts/field/bySort'
import type { Bounds, Field, Fields, KindsField, TextField, WaysField } from '../../parts/field/field'
import { ID } from '../../parts/field/questions'
import { DESIGN_VERSION } from './versions'
import { DESIGN_FIELDS } from './fields'

/*
 * The open design document as JSON Schema (draft 07), made from its fields: docs/design.schema.json is written from here and never by
 * hand, and a test holds it to what the program takes.
 */

export type Schema = Readonly<Record<string, unknown>>

function number(type: 'integer' | 'number', { least, most }: Bounds): Schema {
  return { type, minimum: least, maximum: most }
}

/** An object with these fields and no others. */
export function object(fields: Fields, also: Readonly<Record<string, Schema>> = {}): Schema {
  const required = [...Object.keys(also), ...Object.keys(fields).filter(name => !mayBeLeftOut(fields[name]!))]
  const properties = { ...also, ...Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, described(field)])) }
  return { type: 'object', additionalProperties: false, ...(required.length > 0 ? { required } : {}), properties }
}

function mayBeLeftOut(field: Field): boolean {
  return field.optional === true || ('begins' in field && field.begins !== undefined) || (field.is === 'kinds' && field.list !== undefined)
}

function described(field: Field): Schema {
  const begins
    = 'begins' in field && ['string', 'number', 'boolean'].includes(typeof field.begins) && field.is !== 'group' && field.is !== 'list'
  return { ...readBy(SCHEMAS, field), ...(begins ? { default: field.begins } : {}), ...(field.says ? { description: field.says } : {}) }
}

const anId: Schema = { type: 'string', pattern: ID }

const SCHEMAS: BySort<Schema> = {
  count: ({ or, bounds }) => (or === undefined ? number('integer', bounds) : { oneOf: [{ const: or }, number('integer', bounds)] }),
  figure: ({ bounds }) => number('number', bounds), length: ({ bounds }) => number('number', bounds),
  choice: ({ options }) => chosen(options.map(({ value }) => value)), stitch: ({ kinds: all }) => ({ enum: all }), yarn: () => anId,
  repeat: () => anId, always: ({ value }) => ({ const: value }), text: written,
  lines: ({ most, longest }) => ({ type: 'array', minItems: 1, maxItems: most, items: { type: 'string', maxLength: longest } }), ways,
  maybe: ({ fields }) => object(fields),
  group: ({ fields, least }) => ({ ...object(fields), ...(least ? { minProperties: least } : {}) }),
  list: ({ least, most, of }) => ({ type: 'array', minItems: least, maxItems: most, items: object(of) }), kinds,
}

function chosen(values: readonly (string | number | boolean)[]): Schema {
  return values.every(value => typeof value === 'boolean') ? { type: 'boolean' } : { enum: values }
}

/** The schema's patterns know no flags: what may be written large or small says both. */
function written({ pattern, least, most }: TextField): Schema {
  if (!pattern) return { type: 'string', minLength: least, maxLength: most }
  const source = pattern.flags === 'i' ? pattern.source.replaceAll('a-z', 'A-Za-z').replaceAll('a-f', 'A-Fa-f') : pattern.source
  return { type: 'string', pattern: source }
}

function ways({ ways: all }: WaysField): Schema {
  return { oneOf: all.map(({ under, fields }) => object({}, { [under]: object(fields) })) }
}

function kinds({ by, kinds: all, list }: KindsField): Schema {
  const one = { oneOf: all.map(({ value, fields }) => object(fields, { [by]: { const: value } })) }
  return list ? { type: 'array', ...(list.least ? { minItems: list.least } : {}), maxItems: list.most, items: one } : one
}

const ABOUT
  = 'A crocheted bag as its maker wants it. Lengths are in centimetres, hooks in millimetres. A size is either wanted (the program '
    + 'finds the count) or pinned (a count, and the program tells the size).'

/** The schema of a design of this version. */
export function designSchema(): Schema {
  const own = object(DESIGN_FIELDS)
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    $id: `fair-hollow-design-${DESIGN_VERSION}`,
    title: `Fair Hollow design, version ${DESIGN_VERSION}`,
    description: ABOUT,
    ...own,
    properties: { ...(own.properties as object), version: { const: DESIGN_VERSION } },
  }
}

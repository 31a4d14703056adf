import fc from 'fast-check'
import type { Bounds, Field, Fields, KindsField, WaysField } from '../../core/field/field'

/*
 * Random answers to the questions of the documents, made from their fields: a kind of part brings its own. Numbers keep within what
 * makers usually answer, so that a test can afford what is drafted from them.
 */

/** Ids that the random designs have. */
export const YARN_IDS = ['main', 'moss'] as const
export const REPEAT_IDS = ['nubs', 'slants'] as const

function whole({ least, most }: Bounds): fc.Arbitrary<number> {
  return fc.integer({ min: least, max: most })
}

function broken({ least, most }: Bounds): fc.Arbitrary<number> {
  return fc.double({ min: least, max: most, noNaN: true })
}

/** Any answers to a group of questions; those that may be left out are, as often as not. */
export function anyOf(fields: Fields): fc.Arbitrary<Record<string, unknown>> {
  const required = Object.entries(fields).filter(([, field]) => !field.optional).map(([name]) => name)
  return fc.record(Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, anyAnswer(field)])), { requiredKeys: required as never[] })
}

/** Any answer to a question. */
export function anyAnswer(field: Field): fc.Arbitrary<unknown> {
  switch (field.is) {
    case 'count': return field.or === undefined ? whole(field.usually ?? field.bounds) : fc.oneof(fc.constant(field.or), whole(field.usually ?? field.bounds))
    case 'figure': return field.unit === '' ? whole(field.usually ?? field.bounds) : broken(field.usually ?? field.bounds)
    case 'length': return broken(field.usually ?? field.bounds)
    case 'choice': return fc.constantFrom(...field.options.map(({ value }) => value))
    case 'stitch': return fc.constantFrom(...field.kinds)
    case 'yarn': return fc.constantFrom(...YARN_IDS)
    case 'repeat': return fc.constantFrom(...REPEAT_IDS)
    case 'always': return fc.constant(field.value)
    case 'ways': return anyWay(field)
    case 'maybe':
    case 'group': return anyOf(field.fields)
    case 'list': return fc.array(anyOf(field.of), { minLength: field.least, maxLength: Math.min(3, field.most) })
    case 'kinds': return anyKind(field)
    case 'text': return fc.string({ minLength: field.least, maxLength: Math.min(30, field.most) })
    case 'lines': return fc.constant(['sc in next'])
  }
}

function anyWay({ ways }: WaysField): fc.Arbitrary<unknown> {
  return fc.oneof(...ways.map(({ under, fields }) => anyOf(fields).map(answers => ({ [under]: answers }))))
}

/** One of any kind, or of those that a test is about. */
export function anyKind({ by, kinds }: KindsField, wanted: (value: string) => boolean = () => true): fc.Arbitrary<Record<string, unknown>> {
  return fc.oneof(...kinds.filter(({ value }) => wanted(value)).map(({ value, fields: { id: _, ...fields } }) =>
    anyOf(fields).map(answers => ({ ...answers, [by]: value }))))
}

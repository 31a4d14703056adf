import fc from 'fast-check'
import { type BySort, readBy } from '../../core/field/bySort'
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
  const required = Object.entries(fields)
    .filter(([, field]) => !field.optional)
    .map(([name]) => name)
  return fc.record(Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, anyAnswer(field)])), {
    requiredKeys: required as never[],
  })
}

const ANSWERS: BySort<fc.Arbitrary<unknown>> = {
  count: ({ or, usually, bounds }) => (or === undefined ? whole(usually ?? bounds) : fc.oneof(fc.constant(or), whole(usually ?? bounds))),
  figure: ({ unit, usually, bounds }) => (unit === '' ? whole(usually ?? bounds) : broken(usually ?? bounds)),
  length: ({ usually, bounds }) => broken(usually ?? bounds),
  choice: ({ options }) => fc.constantFrom(...options.map(({ value }) => value)), stitch: ({ kinds }) => fc.constantFrom(...kinds),
  yarn: () => fc.constantFrom(...YARN_IDS), repeat: () => fc.constantFrom(...REPEAT_IDS), always: ({ value }) => fc.constant(value),
  ways: anyWay, maybe: ({ fields }) => anyOf(fields), group: ({ fields }) => anyOf(fields),
  list: ({ of, least, most }) => fc.array(anyOf(of), { minLength: least, maxLength: Math.min(3, most) }), kinds: field => anyKind(field),
  text: ({ least, most }) => fc.string({ minLength: least, maxLength: Math.min(30, most) }), lines: () => fc.constant(['sc in next']),
}

/** Any answer to a question. */
export function anyAnswer(field: Field): fc.Arbitrary<unknown> {
  return readBy(ANSWERS, field)
}

function anyWay({ ways }: WaysField): fc.Arbitrary<unknown> {
  return fc.oneof(...ways.map(({ under, fields }) => anyOf(fields).map(answers => ({ [under]: answers }))))
}

/** One of any kind, or of those that a test is about. */
export function anyKind({ by, kinds }: KindsField, wanted: (value: string) => boolean = () => true): fc.Arbitrary<Record<string, unknown>> {
  return fc.oneof(
    ...kinds
      .filter(({ value }) => wanted(value))
      .map(({ value, fields: { id: _, ...fields } }) => anyOf(fields).map(answers => ({ ...answers, [by]: value }))),
  )
}

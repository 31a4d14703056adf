import fc from 'fast-check'
import { type BySort, readBy } from '../../core/parts/field/bySort'
import type { Bounds, Field, Fields, KindsField, WaysField } from '../../core/parts/field/field'

/*
 * Random answers to the questions of the documents, made from their fields: a kind of part brings its own. Numbers keep within what
 * makers usually answer, so that a test can afford what is drafted from them.
 */

/** Ids that the random designs have. */
export const YARN_IDS = ['main', 'moss'] as const
export const REPEAT_IDS = ['nubs', 'slants', 'rounds'] as const

/** How far numbers go: as makers usually answer, or to everything that a document may hold. */
export type Reach = 'usual' | 'legal'

function whole({ least, most }: Bounds): fc.Arbitrary<number> {
  return fc.integer({ min: least, max: most })
}

function broken({ least, most }: Bounds): fc.Arbitrary<number> {
  return fc.double({ min: least, max: most, noNaN: true })
}

/** Legal numbers: usual ones most often, the least and the most, and anything between. */
function within<F extends { readonly bounds: Bounds, readonly usually?: Bounds }>(
  { bounds, usually = bounds }: F,
  number: (bounds: Bounds) => fc.Arbitrary<number>,
  reach: Reach,
): fc.Arbitrary<number> {
  if (reach === 'usual') return number(usually)
  return fc.oneof(
    { weight: 6, arbitrary: number(usually) },
    { weight: 1, arbitrary: fc.constantFrom(bounds.least, bounds.most) },
    { weight: 1, arbitrary: number(bounds) },
  )
}

/** Any answers to a group of questions; those that may be left out are, as often as not. */
export function anyOf(fields: Fields, reach: Reach = 'usual'): fc.Arbitrary<Record<string, unknown>> {
  const required = Object.entries(fields)
    .filter(([, field]) => !field.optional)
    .map(([name]) => name)
  return fc.record(Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, anyAnswer(field, reach)])), {
    requiredKeys: required as never[],
  })
}

const answersOf = (reach: Reach): BySort<fc.Arbitrary<unknown>> => ({
  count: field => (field.or === undefined ? within(field, whole, reach) : fc.oneof(fc.constant(field.or), within(field, whole, reach))),
  figure: field => within(field, field.unit === '' ? whole : broken, reach), length: field => within(field, broken, reach),
  choice: ({ options }) => fc.constantFrom(...options.map(({ value }) => value)), stitch: ({ kinds }) => fc.constantFrom(...kinds),
  yarn: () => fc.constantFrom(...YARN_IDS), repeat: () => fc.constantFrom(...REPEAT_IDS), always: ({ value }) => fc.constant(value),
  ways: field => anyWay(field, reach), maybe: ({ fields }) => anyOf(fields, reach), group: ({ fields }) => anyOf(fields, reach),
  list: ({ of, least, most }) => fc.array(anyOf(of, reach), { minLength: least, maxLength: Math.min(3, most) }),
  kinds: field => field.list
    ? fc.array(anyKind(field, () => true, reach), { minLength: field.list.least ?? 0, maxLength: Math.min(3, field.list.most) })
    : anyKind(field, () => true, reach),
  text: ({ least, most }) => fc.string({ minLength: least, maxLength: Math.min(30, most) }), lines: () => fc.constant(['sc in next']),
})

const ANSWERS = { usual: answersOf('usual'), legal: answersOf('legal') }

/** Any answer to a question. */
export function anyAnswer(field: Field, reach: Reach = 'usual'): fc.Arbitrary<unknown> {
  return readBy(ANSWERS[reach], field)
}

function anyWay({ ways }: WaysField, reach: Reach): fc.Arbitrary<unknown> {
  return fc.oneof(...ways.map(({ under, fields }) => anyOf(fields, reach).map(answers => ({ [under]: answers }))))
}

/** One of any kind, or of those that a test is about. */
export function anyKind(
  { by, kinds }: KindsField,
  wanted: (value: string) => boolean = () => true,
  reach: Reach = 'usual',
): fc.Arbitrary<Record<string, unknown>> {
  return fc.oneof(
    ...kinds
      .filter(({ value }) => wanted(value))
      // What a part is called changes nothing that is worked: names have tests of their own.
      .map(({ value, fields: { id: _, called: __, ...fields } }) => anyOf(fields, reach).map(answers => ({ ...answers, [by]: value }))),
  )
}

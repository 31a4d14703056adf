import type {
  AlwaysField,
  ChoiceField,
  CountField,
  Field,
  Fields,
  GroupField,
  KindsField,
  LinesField,
  ListField,
  MaybeField,
  RepeatField,
  StitchField,
  TextField,
  Way,
  WaysField,
  YarnField,
} from './field'

/*
 * The type of a spec, from its fields: a part's type is never written beside its declaration.
 */

type Simplified<T> = { readonly [K in keyof T]: T[K] }

type WayValue<W> = W extends Way<infer U, infer F> ? { readonly [K in U]: ValuesOf<F> } : never

/** Type of the document's value for a question. */
type ValueOf<F>
  = F extends ChoiceField<infer V>
    ? V
    : F extends StitchField<infer K>
      ? K
      : F extends AlwaysField<infer V>
        ? V
        : F extends WaysField<infer W>
          ? WayValue<W[number]>
          : F extends MaybeField<infer G>
            ? ValuesOf<G>
            : F extends ListField<infer G>
              ? readonly ValuesOf<G>[]
              : F extends GroupField<infer G>
                ? ValuesOf<G>
                : F extends KindsField<infer T>
                  ? T
                  : F extends TextField<infer T>
                    ? T
                    : F extends LinesField
                      ? readonly string[]
                      : F extends YarnField | RepeatField
                        ? string
                        : F extends CountField<infer N>
                          ? N | (F extends { readonly or: infer O extends string } ? O : never)
                          : number

type OptionalKeys<F> = { [K in keyof F]: F[K] extends { readonly optional: true } ? K : never }[keyof F]

/** Type of the document's values for a group of questions. */
export type ValuesOf<F> = Simplified<
  { readonly [K in Exclude<keyof F, OptionalKeys<F>>]: ValueOf<F[K]> } & { readonly [K in OptionalKeys<F>]?: ValueOf<F[K]> }
>

/** Every field that lies in a group, with the path of its answer in a spec that gives one. */
export interface Answer {
  readonly field: Field
  readonly path: readonly (string | number)[]
  readonly value: unknown
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null
}

/** The answers that a spec gives to its questions, those within ways, groups and lists included. */
export function answersOf(fields: Fields, spec: object, above: readonly (string | number)[] = []): Answer[] {
  return Object.entries(fields).flatMap(([name, field]): Answer[] => {
    const value = (spec as Record<string, unknown>)[name]
    if (value === undefined) return []
    const path = [...above, name]
    return [{ field, path, value }, ...within(field, value, path)]
  })
}

function within(field: Field, value: unknown, path: readonly (string | number)[]): Answer[] {
  if (!isObject(value)) return []
  switch (field.is) {
    case 'group':
    case 'maybe':
      return answersOf(field.fields, value, path)
    case 'list':
      return (Array.isArray(value) ? value : []).flatMap((one: object, i) => answersOf(field.of, one, [...path, i]))
    case 'ways': {
      const way = decisionOf(field, value)
      return way ? answersOf(way.fields, value[way.under] as object, [...path, way.under]) : []
    }
    case 'kinds':
      return withinKinds(field, value, path)
    default:
      return []
  }
}

/** The answers of one of several kinds, or of a list of them; a word that tells no kind apart has none. */
function withinKinds({ by, kinds, list }: KindsField, value: object, path: readonly (string | number)[]): Answer[] {
  const of = (one: object, at: readonly (string | number)[]) => {
    const kind = kinds.find(known => known.value === (one as Record<string, unknown>)[by])
    return kind ? answersOf(kind.fields, one, at) : []
  }
  return list ? (value as readonly object[]).flatMap((one, i) => of(one, [...path, i])) : of(value, path)
}

/** The way that an answer goes by: its `want` or `pin` holds this way's fields. */
export function decisionOf({ ways }: WaysField, value: object): Way | undefined {
  return ways.find(({ under, fields }) => {
    const held = (value as Record<string, unknown>)[under]
    return isObject(held) && Object.keys(fields).every(name => held[name] !== undefined || fields[name]!.optional)
  })
}

import { ID } from '../../parts/field/questions'
import { type BySort, readBy } from '../../parts/field/bySort'
import type { Bounds, Field, Fields } from '../../parts/field/field'

/*
 * Whether a document is sound and whole, quickly: what a program of this version wrote is, and need not be checked by its classes (which
 * take fifty times as long, but can say what is wrong and what a field that was left out means). What is not found sound here is looked
 * at by them; a test holds that nothing is taken here that they would refuse.
 */

/** Whether a value is what it should be. */
export type Sound = (value: unknown) => boolean

const OBJECT = Object.prototype

function fieldsOf(value: unknown): Record<string, unknown> | undefined {
  const plain = typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === OBJECT
  return plain ? (value as Record<string, unknown>) : undefined
}

function number({ least, most }: Bounds, whole: boolean): Sound {
  return value => typeof value === 'number' && value >= least && value <= most && (!whole || Number.isInteger(value))
}

function oneOf(values: readonly unknown[]): Sound {
  const known = new Set(values)
  return value => known.has(value)
}

function written(pattern: RegExp): Sound {
  return value => typeof value === 'string' && pattern.test(value)
}

function text(least: number, most: number): Sound {
  return value => typeof value === 'string' && value.length >= least && value.length <= most
}

/** Objects with these fields and no others, all there but what may be left out. */
export function soundObject(fields: Fields, also: Readonly<Record<string, Sound>> = {}): Sound {
  const rules = new Map<string, Sound>([
    ...Object.entries(fields).map(([name, field]): [string, Sound] => [name, readBy(SOUND, field)]), ...Object.entries(also),
  ])
  const needed = [...Object.keys(also), ...Object.keys(fields).filter(name => !fields[name]!.optional)]
  return (value) => {
    const object = fieldsOf(value)
    if (!object) return false
    for (const name of needed) if (object[name] === undefined) return false
    for (const name of Object.keys(object)) {
      const rule = rules.get(name)
      if (!rule?.(object[name])) return false
    }
    return true
  }
}

/** Lists of so many of a thing. */
export function listOf(one: Sound, least: number, most: number): Sound {
  return value => Array.isArray(value) && value.length >= least && value.length <= most && value.every(one)
}

/**
 * Objects of one of several kinds, told apart by a word.
 *
 * @param fieldsBy what a kind asks, looked up when it is first met; nothing of one that is not known
 */
export function oneKind(by: string, fieldsBy: (word: string) => Fields | undefined): Sound {
  const met = new Map<string, Sound>()
  return (value) => {
    const word = fieldsOf(value)?.[by]
    const fields = typeof word === 'string' && !met.has(word) ? fieldsBy(word) : undefined
    if (fields) met.set(word as string, soundObject(fields, { [by]: oneOf([word]) }))
    return met.get(word as string)?.(value) ?? false
  }
}

const anId = written(new RegExp(ID))

const SOUND: BySort<Sound> = {
  count: ({ bounds, or }) => {
    const counts = number(bounds, true)
    return or === undefined ? counts : value => value === or || counts(value)
  },
  figure: ({ bounds }) => number(bounds, false), length: ({ bounds }) => number(bounds, false),
  choice: ({ options }) => oneOf(options.map(({ value }) => value)), stitch: ({ kinds }) => oneOf(kinds), yarn: () => anId,
  repeat: () => anId, always: ({ value }) => oneOf([value]),
  text: ({ pattern, least, most }) => (pattern ? written(new RegExp(pattern.source, pattern.flags)) : text(least, most)),
  lines: ({ most, longest }) => listOf(text(0, longest), 1, most),
  ways: ({ ways }) => {
    const sound = ways.map(({ under, fields }) => soundObject({}, { [under]: soundObject(fields) }))
    return value => sound.some(one => one(value))
  },
  maybe: ({ fields }) => soundObject(fields), group: ({ fields }) => soundObject(fields),
  list: ({ of, least, most }) => listOf(soundObject(of), least, most),
  kinds: ({ by, kinds, list }) => {
    const one = oneKind(by, word => kinds.find(({ value }) => value === word)?.fields)
    return list ? listOf(one, list.least ?? 0, list.most) : one
  },
}

/** Lists of a document by their names, with how many things each may hold at most and what those are called. */
export function listsOf(fields: Fields): readonly { readonly name: string, readonly most: number, readonly all: string }[] {
  return Object.entries(fields).flatMap(([name, field]: [string, Field]) => {
    if (field.is === 'list') return [{ name, most: field.most, all: field.all }]
    return field.is === 'kinds' && field.list ? [{ name, ...field.list }] : []
  })
}

import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { plainToInstance, instanceToPlain } from 'class-transformer'
import { validateSync } from 'class-validator'
import { anyDesign, SEED } from '../../../tests/arbitraries/designs'
import { anyLegalDesign } from '../../../tests/arbitraries/legal'
import tote from '../../../demo/apple-tote.json'
import swatch from '../../../demo/swatch-cone-cotton.json'
import { DESIGN_RULES } from './classes'
import { readDesign, readSwatch } from './read'
import { problemLines } from './problem'
import { listOf } from './quickCheck'

type Loose = Record<string, unknown>

function problems(change: (document: Loose) => void) {
  const document = structuredClone(tote) as Loose
  change(document)
  const reading = readDesign(document)
  return reading.ok ? [] : reading.problems
}

/** Every place of a document, by its path. */
function placesOf(value: unknown, above: readonly string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, inside]) => [[...above, key], ...placesOf(inside, [...above, key])])
}

function put(document: unknown, path: readonly string[], value: unknown): unknown {
  const copy = structuredClone(document)
  const holder = path.slice(0, -1).reduce<Loose>((at, key) => at[key] as Loose, copy as Loose)
  holder[path.at(-1)!] = value
  return copy
}

const ODD: readonly unknown[] = [
  null, {}, [], [null], '', 'x', -1, 1e300, 0.5, true, '__proto__', 'constructor', { constructor: 1 }, { toString: 1 },
  JSON.parse('{"__proto__": {"a": 1}}'),
]

describe('what is refused before it is looked at closely', () => {
  it('takes nothing where something should be, whatever stands in its place, and never throws', () => {
    const taken: string[] = []
    for (const [document, read] of [[tote, readDesign], [swatch, readSwatch]] as const)
      for (const path of placesOf(document))
        for (const odd of ODD) {
          const reading = read(put(document, path, odd))
          if (reading.ok && odd === null) taken.push(path.join('.'))
        }
    expect(taken).toEqual([])
  })

  it('stops at the first fifty problems, and its answer is short', () => {
    const many = problems((document) => {
      for (let i = 0; i < 20_000; i++) document[`field${i}`] = i
    })
    expect(problemLines(many)).toEqual([expect.stringContaining('document: holds 2')])
    const bands = problems((document) => {
      document.wall = Array.from({ length: 40 }, (_, i) => ({ id: `part-${i}`, kind: 'solid', stitch: 7, colour: 8, size: 9, x: 1 }))
    })
    expect(bands.length).toBe(50)
    expect(JSON.stringify(bands).length).toBeLessThan(20_000)
  })

  it('caps lists before it looks at what is in them', () => {
    const found = problems(document => (document.wall = Array(100_000).fill({ kind: 'solid' })))
    expect(problemLines(found)).toEqual(['wall: must hold at most 40 bands'])
    expect(problemLines(problems(document => (document.stretch = { beforeCm: Array(1000).fill(1) })))).toEqual([
      'stretch.beforeCm: holds 1000 things; at most 100 are taken',
    ])
  })

  it('bounds how deep things lie, and how long a name it says again', () => {
    let deep: unknown = 1
    for (let i = 0; i < 5_000; i++) deep = { in: deep }
    expect(problems(document => (document.contents = deep))[0]!.message).toContain('more than 16 levels deep')
    expect(problems(document => (document['x'.repeat(100_000)] = { constructor: 1 }))[0]!.field.length).toBeLessThan(60)
    const wide: unknown[] = Array.from({ length: 60 }, () => Array(90).fill(Array(90).fill(1)))
    expect(problems(document => (document.contents = { list: wide }))[0]!.message).toContain('more than 20000 values')
  })

  it('does not take names that every object answers to for fields', () => {
    const given = JSON.parse('{"__proto__": {"polluted": 1}}') as Loose
    for (const name of ['constructor', 'toString', 'hasOwnProperty']) {
      expect(problems(document => (document[name] = 1))).toEqual([{ field: name, message: 'is not a field of this document; remove it' }])
    }
    expect(problems(document => (document.base = { ...(document.base as Loose), inner: given }))[0]!.field).toBe('base.inner.__proto__')
    expect(({} as Loose).polluted).toBeUndefined()
  })
})

/** Reading by the classes alone. */
function byClasses(input: object): unknown {
  const instance = plainToInstance(DESIGN_RULES.type, input, { exposeDefaultValues: true })
  const errors = validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true })
  return errors.length > 0 ? undefined : instanceToPlain(instance, { exposeUnsetFields: false })
}

describe('the quick look', () => {
  it('takes what a program of this version wrote', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const reading = readDesign(design)
        if (reading.ok) expect(DESIGN_RULES.isSound(JSON.parse(JSON.stringify(reading.document)))).toBe(true)
      }),
      { ...SEED, numRuns: 150 },
    )
  })

  it('takes no list that is longer or shorter than it may be', () => {
    const list = listOf(value => value === 'x', 1, 3)
    expect([0, 1, 3, 4].map(many => list(Array(many).fill('x')))).toEqual([false, true, true, false])
    expect([list(['x', 'y']), list('xx')]).toEqual([false, false])
  })

  it('takes nothing that the classes would refuse or change', () => {
    fc.assert(
      fc.property(fc.oneof(anyDesign, anyLegalDesign), fc.nat(), fc.constantFrom(...ODD), (design, at, odd) => {
        const places = placesOf(design)
        const input = put(design, places[at % places.length]!, odd) as object
        for (const document of [design, input]) if (DESIGN_RULES.isSound(document)) expect(byClasses(document)).toEqual(document)
      }),
      { ...SEED, numRuns: 400 },
    )
    // Half a minute on a machine that has other things to do.
  }, 120_000)
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { same } from './same'

const value = fc.jsonValue({ maxDepth: 3 })

describe('the same values', () => {
  it('are those that are written alike with their fields in order', () => {
    const inOrder = (one: unknown): unknown => {
      if (Array.isArray(one)) return one.map(inOrder)
      if (typeof one !== 'object' || one === null) return one === 0 ? 0 : one
      return Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)).map(([name, own]) => [name, inOrder(own)]).concat([['', 'fields']])
    }
    fc.assert(fc.property(value, value, (a, b) => {
      expect(same(a, b)).toBe(JSON.stringify(inOrder(a)) === JSON.stringify(inOrder(b)))
      expect(same(a, structuredClone(a))).toBe(true)
    }), { seed: 7 })
  })

  it.each([
    ['a list and its fields', [1], { 0: 1 }], ['fields and a list', { 0: 1 }, [1]], ['a longer list', [1], [1, 2]],
    ['a field more', { a: 1 }, { a: 1, b: 2 }], ['another field', { a: undefined }, { b: undefined }], ['nothing and no fields', null, {}],
  ])('are not %s', (_, a, b) => expect(same(a, b)).toBe(false))

  it('may have their fields in another order, deep down too', () => {
    expect(same({ a: 1, b: [{ c: 2, d: 3 }] }, { b: [{ d: 3, c: 2 }], a: 1 })).toBe(true)
  })
})

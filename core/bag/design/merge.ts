import { same } from '../../things/measure/same'
import type { Design } from './design'
import { unsoundness } from './consistency'

/*
 * Two states of a bag that come from one: what was changed in each is put together where it does not touch. Where both changed the same
 * thing, nobody but the maker can say which is meant.
 */

type Loose = Readonly<Record<string, unknown>>
interface WithId {
  readonly id: string
}

/** Both changed the same thing. */
class Clash extends Error {}

function isObject(value: unknown): value is Loose {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function areThings(value: unknown): value is readonly (Loose & WithId)[] {
  return Array.isArray(value) && value.every(one => isObject(one) && typeof one.id === 'string')
}

function merged(base: unknown, mine: unknown, theirs: unknown): unknown {
  if (same(mine, theirs) || same(base, theirs)) return mine
  if (same(base, mine)) return theirs
  if (areThings(base) && areThings(mine) && areThings(theirs)) return thingsMerged(base, mine, theirs)
  if (isObject(base) && isObject(mine) && isObject(theirs)) return fieldsMerged(base, mine, theirs)
  throw new Clash()
}

function fieldsMerged(base: Loose, mine: Loose, theirs: Loose): Loose {
  const names = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])]
  const entries = names.map(name => [name, merged(base[name], mine[name], theirs[name])] as const)
  return Object.fromEntries(entries.filter(([, value]) => value !== undefined))
}

/** Lists of things known by their ids: each merged on its own; the order is that of whoever changed it. */
function thingsMerged(base: readonly WithId[], mine: readonly WithId[], theirs: readonly WithId[]): WithId[] {
  const of = (list: readonly WithId[], id: string) => list.find(one => one.id === id)
  const ids = (list: readonly WithId[]) => list.map(({ id }) => id)
  const left = new Map<string, WithId>()
  for (const id of new Set([...ids(theirs), ...ids(mine)])) {
    const value = merged(of(base, id), of(mine, id), of(theirs, id))
    if (value !== undefined) left.set(id, value as WithId)
  }
  const [first, second] = same(ids(base), ids(theirs)) ? [mine, theirs] : [theirs, mine]
  const order = ids(first).filter(id => left.has(id))
  // What only the other one has comes after what it follows there.
  ids(second).forEach((id, i) => {
    if (order.includes(id) || !left.has(id)) return
    const before = ids(second).slice(0, i).findLast(one => order.includes(one))
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id)
  })
  return order.map(id => left.get(id)!)
}

/**
 * Puts two states of a bag together that were both changed from `base`.
 *
 * @returns nothing where both changed the same thing, or where together they make no sound bag
 */
export function mergedDesign(base: Design, mine: Design, theirs: Design): Design | undefined {
  try {
    const design = merged(base, mine, theirs) as Design
    return unsoundness(design) ? undefined : design
  }
  catch (error) {
    if (error instanceof Clash) return undefined
    throw error
  }
}

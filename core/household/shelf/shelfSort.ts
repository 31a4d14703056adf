import { stockOf } from './stock'
import type { ShelfYarn } from './yarn'

/** How the yarns of a shelf can be put in order. */
export const ORDERS = [
  { value: 'name', name: 'name' }, { value: 'class', name: 'weight class' }, { value: 'left', name: 'most left' },
  { value: 'least', name: 'least left' }, { value: 'place', name: 'where it lies' },
] as const
export type ShelfSort = (typeof ORDERS)[number]['value']

const byName = (a: ShelfYarn, b: ShelfYarn) => a.name.localeCompare(b.name, 'en')

const COMPARE: Readonly<Record<ShelfSort, (a: ShelfYarn, b: ShelfYarn) => number>> = {
  name: byName, class: (a, b) => a.weightClass - b.weightClass || byName(a, b),
  left: (a, b) => stockOf(b).grams - stockOf(a).grams || byName(a, b), least: (a, b) => stockOf(a).grams - stockOf(b).grams || byName(a, b),
  place: (a, b) => a.place.localeCompare(b.place, 'en') || byName(a, b),
}

/** Texts that a search looks at: name, fibre, place, notes, lots, and its class as `class 3`. */
function textOf({ name, fibre, place, note, balls, weightClass }: ShelfYarn): string {
  return [name, fibre, place, note, `class ${weightClass}`, ...balls.flatMap(({ lot }) => (lot ? [lot] : []))].join(' ').toLowerCase()
}

/** Yarns with every word of a search in them, in an order. */
export function found<Y extends { readonly document: ShelfYarn }>(all: readonly Y[], search: string, order: ShelfSort): Y[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  return all
    .filter(({ document }) => words.every(word => textOf(document).includes(word)))
    .sort((a, b) => COMPARE[order](a.document, b.document))
}

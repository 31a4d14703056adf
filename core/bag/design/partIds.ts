import type { WallSpec } from '../../parts/wall/wall'
import type { WallPart } from './design'

/*
 * Parts of a wall are known by ids of their own, so that what is selected, mended and logged stays with its part when the part is
 * moved. The base and the turn-up have their names.
 */

/** An id that no part of a wall has yet. */
function freshId(wall: readonly { readonly id: string }[]): string {
  const taken = new Set(wall.map(({ id }) => id))
  let number = wall.length + 1
  while (taken.has(`part-${number}`)) number++
  return `part-${number}`
}

/** A wall of new parts, numbered from the floor up. */
export function stacked(specs: readonly WallSpec[]): WallPart[] {
  return specs.map((spec, i): WallPart => ({ ...spec, id: `part-${i + 1}` }))
}

/** A new part, as one of a wall. */
export function asPartOf(wall: readonly WallPart[], spec: WallSpec): WallPart {
  return { ...spec, id: freshId(wall) }
}

/** A wall with new parts put in: each where it says, before the part that stands there now. */
export function withParts(wall: readonly WallPart[], added: readonly { readonly at: number, readonly spec: WallSpec }[]): WallPart[] {
  const all = [...wall]
  const placed = added.map(({ at, spec }) => {
    const part = asPartOf(all, spec)
    all.push(part)
    return { at, part }
  })
  return Array.from({ length: wall.length + 1 }, (_, i) => i)
    .flatMap(i => [...placed.filter(({ at }) => at === i).map(({ part }) => part), ...wall.slice(i, i + 1)])
}

import type { Change, Finding } from './finding'

/** Where the maker is asked for what a finding speaks of: the part, or the whole `bag`, and the place in the design if a field asks. */
export interface AskedAt {
  readonly part: string
  /** From the design down, with points between: `wall.part-2.width`. */
  readonly path?: string
}

/** The place of one answer that a change gives; nothing for one that lays out the bag anew. */
function placeOf({ path: [first, ...rest] }: Change): AskedAt | undefined {
  if (first === 'repeats' || first === 'yarns' || first === undefined) return undefined
  if (first === 'wall') return rest.length > 1 ? { part: String(rest[0]), path: ['wall', ...rest].join('.') } : undefined
  return { part: first === 'base' || first === 'turnUp' ? first : 'bag', path: [first, ...rest].join('.') }
}

/** Where what a finding speaks of is asked: what its fixes would answer, or at least the part that it is about. */
export function askedAt({ part, fix, otherFixes = [] }: Finding): AskedAt | undefined {
  const changes = [...(fix ? [fix] : []), ...otherFixes].flatMap(one => one.changes)
  const place = changes.map(placeOf).find(one => one !== undefined)
  return place ?? (part === undefined ? undefined : { part })
}

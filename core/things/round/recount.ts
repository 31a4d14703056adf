import { reserve, record } from './stitchBudget'
import { type Edge, type FreeRun, PLACE_CODE } from './edge'
import type { WorkedRound } from './workedRound'

/*
 * An edge as it really is
 * =======================
 *
 * A maker counts another number than planned. Nobody knows where the stitch was lost or won, so it is shared out evenly: the places of
 * the planned edge are kept in their order, and some of the counted ones are left out or doubled. What lies between two counted places
 * (the stitches between two spaces) goes with the one after it. Sides, handles and the place of the hook move along.
 */

/** The places of an edge that makers count. */
export type CountedSort = 'stitches' | 'spaces' | 'loops'

/** Of an edge of several sorts the tops of stitches alone: no row ends, no chains. */
type Sort = CountedSort | 'tops'

/** Whether a place is one that is counted. */
function counts(kind: number, sort: Sort): boolean {
  if (sort === 'tops') return kind === PLACE_CODE.stitch
  return (kind === PLACE_CODE.space) === (sort !== 'stitches')
}

/** How often each of so many counted places is there if there are `wanted` of them: most of them once. */
function multiplicities(number: number, wanted: number): Uint32Array {
  const times = new Uint32Array(number)
  // The end of a round is where most are lost and won (handbook 13); its very last place is kept, for it may close the round.
  const spread = wanted < number ? Math.floor : Math.ceil
  const nth = (i: number) => Math.max(0, Math.min(number - 2, spread((i * number) / wanted)))
  for (let i = 0; i < wanted - 1; i++) times[nth(i)]!++
  times[number - 1]!++
  return times
}

/** For each place of the new edge the one of the old edge that it is like. */
function likeOld(edge: Edge, sort: Sort, wanted: number): number[] {
  const { kinds } = edge
  const times = multiplicities(countedPlaces(edge, sort), wanted)
  const old: number[] = []
  let nth = 0
  // The places since the last counted one, which go with the next where spaces are counted.
  let waiting: number[] = []
  for (let place = 0; place < kinds.length; place++) {
    waiting.push(place)
    const counted = counts(kinds[place]!, sort)
    if (!counted && (sort === 'spaces' || sort === 'loops')) continue
    for (let again = counted ? times[nth++]! : 1; again > 0; again--) old.push(...waiting)
    waiting = []
  }
  return [...old, ...waiting]
}

/** Where the boundaries of an edge have moved to: so many of the new places stand before each. */
function movedBoundaries(old: readonly number[], count: number): (boundary: number) => number {
  const before = new Int32Array(count + 1)
  for (const place of old) before[place + 1]!++
  for (let i = 1; i <= count; i++) before[i]! += before[i - 1]!
  return boundary => before[boundary]! % Math.max(1, old.length)
}

/** An edge made of the places of another, in order. */
function edgeLike(edge: Edge, old: readonly number[]): Edge {
  const moved = movedBoundaries(old, edge.count)
  const free = edge.free?.map((run): FreeRun => ({ ...run, from: moved(run.from), to: moved(run.to) }))
  const start = edge.start === 0 ? 0 : Math.max(0, old.lastIndexOf(edge.start))
  return {
    ...edge, count: old.length, kinds: Uint8Array.from(old, i => edge.kinds[i]!), chains: Uint16Array.from(old, i => edge.chains[i]!),
    from: Int32Array.from(old, i => edge.from[i]!), to: Int32Array.from(old, i => edge.to[i]!),
    sides: [moved(edge.sides[0]), moved(edge.sides[1])], start, ...(free ? { free } : {}),
  }
}

/** How many places of an edge are counted. */
export function countedPlaces({ kinds }: Pick<Edge, 'kinds'>, sort: Sort): number {
  let number = 0
  for (const kind of kinds) if (counts(kind, sort)) number++
  return number
}

/** Kinds of the places of an edge if another number of them is there; nothing where none is left, or none was counted. */
function recounted(edge: Edge, sort: Sort, wanted: number): readonly number[] | undefined {
  const number = countedPlaces(edge, sort)
  if (wanted < 1 || number < 1) return undefined
  // A number that was mistyped asks for as much as one that was meant.
  const more = Math.max(0, wanted - number)
  reserve(more)
  record(more)
  return likeOld(edge, sort, wanted)
}

/**
 * An edge with another number of counted places.
 *
 * @param wanted how many of them there really are
 * @returns nothing for a count that leaves none
 */
export function recountEdge(edge: Edge, sort: Sort, wanted: number): Edge | undefined {
  if (wanted === countedPlaces(edge, sort)) return wanted < 1 ? undefined : edge
  const old = recounted(edge, sort, wanted)
  return old && edgeLike(edge, old)
}

/** A round that came out with another number of counted places than it was worked to. */
export function recountWorked(worked: WorkedRound, sort: Sort, wanted: number): WorkedRound | undefined {
  const { edge } = worked
  if (wanted === countedPlaces(edge, sort)) return wanted < 1 ? undefined : worked
  const old = recounted(edge, sort, wanted)
  if (!old) return undefined
  const bytes = (list: Uint8Array) => Uint8Array.from(old, i => list[i]!)
  return { ...worked, edge: edgeLike(edge, old), stitches: bytes(worked.stitches), loops: bytes(worked.loops), aims: bytes(worked.aims) }
}

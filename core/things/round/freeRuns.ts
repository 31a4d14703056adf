import type { Edge, FreeRun } from './edge'

/** Places in a free run of an edge with so many. */
export function lengthOf({ from, to }: FreeRun, count: number): number {
  return (to - from + count) % count
}

/** Which free run each place of an edge belongs to, counted from 1; 0 for the bag itself. */
export function runAt({ count, free = [] }: Edge): Uint8Array {
  const at = new Uint8Array(count)
  free.forEach((run, i) => {
    for (let k = 0; k < lengthOf(run, count); k++) at[(run.from + k) % count] = i + 1
  })
  return at
}

/** How many stitches wide an edge lies with its handles flat upon the rim: each counts for what it bridges. */
export function liesOver({ count, free = [] }: Edge): number {
  return free.reduce((sum, run) => sum - lengthOf(run, count) + run.bridges, count)
}

/** The runs of an edge whose places are marked with the run they belong to; `bridges` by run. */
export function runsFrom(at: ArrayLike<number>, bridges: readonly number[]): FreeRun[] {
  const count = at.length
  return bridges.flatMap((own, i): FreeRun[] => {
    const mine = (place: number) => at[(place + count) % count] === i + 1
    for (let place = 0; place < count; place++) {
      if (!mine(place) || mine(place - 1)) continue
      let to = place
      while (mine(to)) to++
      return [{ from: place, to: to % count, bridges: own }]
    }
    return []
  })
}

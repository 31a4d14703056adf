import { riseOfLoop } from './diamond'

/** A row of loops as it hangs: how far round it goes and how much it rises. */
export interface LoopRow {
  readonly aroundCm: number
  readonly riseCm: number
}

/** Something round or angular within a net, standing on the floor below it. */
interface Inside {
  readonly aroundCm: number
  /** How far it stands up above where the net begins. */
  readonly heightCm: number
}

/** Support of a net: the edge it grows from, the rim above it, and what is inside; without a rim it goes straight up. */
interface NetSupport {
  readonly belowCm: number
  readonly aboveCm?: number
  readonly inside?: Inside
}

/** No row is stretched quite flat. */
const MOST_STRETCHED = 0.98

/** A net bellies out from its floor no flatter than this: so much wider in radius as it rises (from memory). */
const STEEPEST = 1.3

/**
 * How a net hangs: its rows lie evenly between the edge below and the rim above, as wide as those hold it open; where
 * something stands inside, as wide as that, easing in above it to the rim. No row is wider than its loops reach.
 *
 * @param loopsCm the length of each row's loops, from below up
 * @param loops how many loops there are in a row
 */
export function hang(loopsCm: readonly number[], loops: number, { belowCm, aboveCm = belowCm, inside }: NetSupport): LoopRow[] {
  const rows: LoopRow[] = []
  const count = loopsCm.length
  let tall = 0
  /** The row at which what is inside ends, and how wide the net is there. */
  let end = { at: 0, aroundCm: belowCm }
  for (const [i, loopCm] of loopsCm.entries()) {
    const free = end.aroundCm + ((aboveCm - end.aroundCm) * (i + 0.5 - end.at)) / (count - end.at)
    const filled = inside !== undefined && tall < inside.heightCm
    const widest = (rows[i - 1]?.aroundCm ?? belowCm) + 2 * Math.PI * STEEPEST * (rows[i - 1]?.riseCm ?? loopCm / 4)
    const row = rowOf(loopCm, loops, filled ? Math.max(free, Math.min(inside.aroundCm, widest)) : free)
    rows.push(row)
    tall += row.riseCm
    if (filled) end = { at: i + 1, aroundCm: row.aroundCm }
  }
  return rows
}

function rowOf(loopCm: number, loops: number, aroundCm: number): LoopRow {
  const spread = Math.min(aroundCm / loops, loopCm * MOST_STRETCHED)
  return { aroundCm: spread * loops, riseCm: riseOfLoop(loopCm, spread) }
}

/** How narrow a loaded net draws where nothing fills it: its loops half as wide as they are long (from memory). */
const DRAWN_SHARE = 0.5

/** How a net hangs from its rim with a load in it: as wide as what it holds up to that thing's height, and drawn narrow above it. */
export function hangLoaded(loopsCm: readonly number[], loops: number, inside?: Inside): LoopRow[] {
  let tall = 0
  return loopsCm.map((loopCm) => {
    const filled = inside && tall < inside.heightCm
    const row = rowOf(loopCm, loops, Math.max(filled ? inside.aroundCm : 0, loopCm * DRAWN_SHARE * loops))
    tall += row.riseCm
    return row
  })
}

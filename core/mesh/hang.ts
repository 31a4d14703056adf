import { riseOfLoop } from './diamond'

/** A row of loops as it hangs: how far round it goes and how much it rises. */
export interface Row {
  readonly aroundCm: number
  readonly riseCm: number
}

/** What carries a net: the edge it grows from, and the rim above it; without a rim it goes straight up. */
export interface Carried {
  readonly belowCm: number
  readonly aboveCm?: number
}

/** No row is stretched quite flat. */
const MOST_STRETCHED = 0.98

/**
 * How a net hangs, empty: its rows lie evenly between the edge below and the rim above, as wide as those hold it open,
 * or as wide as their loops reach.
 *
 * @param loopsCm the length of each row's loops, from below up
 * @param loops how many loops there are in a row
 */
export function hang(loopsCm: readonly number[], loops: number, { belowCm, aboveCm = belowCm }: Carried): Row[] {
  return loopsCm.map((loopCm, i) => {
    const wanted = belowCm + ((aboveCm - belowCm) * (i + 0.5)) / loopsCm.length
    return rowOf(loopCm, loops, wanted)
  })
}

function rowOf(loopCm: number, loops: number, aroundCm: number): Row {
  const spread = Math.min(aroundCm / loops, loopCm * MOST_STRETCHED)
  return { aroundCm: spread * loops, riseCm: riseOfLoop(loopCm, spread) }
}

/** How narrow a loaded net draws where nothing fills it: its loops half as wide as they are long (from memory). */
const DRAWN_SHARE = 0.5

/**
 * How a net hangs with a load in it: as wide as what it holds up to that thing's height, and drawn narrow above it.
 *
 * @param insideCm how far round what it holds goes, and how tall it stands above where the net begins
 */
export function hangLoaded(loopsCm: readonly number[], loops: number, inside?: { readonly aroundCm: number, readonly heightCm: number }): Row[] {
  let tall = 0
  return loopsCm.map((loopCm) => {
    const filled = inside && tall < inside.heightCm
    const row = rowOf(loopCm, loops, Math.max(filled ? inside.aroundCm : 0, loopCm * DRAWN_SHARE * loops))
    tall += row.riseCm
    return row
  })
}

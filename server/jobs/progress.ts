/*
 * How far a job is, as a share of it: told by whoever does it, heard by whoever waits. A worker does one job at a time.
 */

let heard: ((share: number) => void) | undefined
let toldAt = 0

/** So often it is told at most, in milliseconds. */
const EVERY_MS = 150

/** Says who hears how far the job of this worker is. */
export function onProgress(hear: (share: number) => void): void {
  heard = hear
}

/** Tells that so much of the job is done, from 0 to 1. */
function reportProgress(share: number): void {
  const now = performance.now()
  if (!heard || now - toldAt < EVERY_MS) return
  toldAt = now
  heard(share)
}

/** Goes through a list, telling how far; that list being the part of the job between two shares of it. */
export function* reportingProgress<T>(list: readonly T[], from = 0, to = 1): Generator<T> {
  for (const [i, one] of list.entries()) {
    reportProgress(from + ((to - from) * i) / list.length)
    yield one
  }
}

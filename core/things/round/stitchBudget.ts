/*
 * How much may be made
 * ====================
 *
 * A few lines of a document can ask for more stitches than anybody could work in a lifetime, or a machine hold: a repeat within a repeat
 * within a repeat, forty bands of the widest rounds. So whoever drafts says how many stitches may be made, and every round that is worked,
 * of the bag, of its straps, of repeats that are tried, draws on that. A round says what it will make before it is worked: what goes beyond
 * the budget is never begun.
 *
 * The budget is not handed from part to part: it holds for everything that is worked while `within` runs, and for nothing else, so
 * that drafting stays a pure function.
 */

/** More stitches than this a bag is not drafted with: about a hundred totes' worth. */
export const MOST_MADE = 250_000

/**
 * A round is counted as so many stitches more than it has, and so is a row: forty straps of a thousand rows of two stitches are few
 * stitches, and much to draft (measured: a row costs what some twenty stitches do).
 */
export const EACH_ROUND = 20

/** The stitches that may still be made. */
export interface StitchBudget {
  readonly most: number
  made: number
  /** The most that was made and asked for at any time. */
  reached: number
}

/** A round was to make more than there is left to make: whoever gave the budget catches it, nobody else. */
export class StitchBudgetExceeded extends Error {
  /** @param made what had been made by then */
  constructor(
    readonly made: number,
    readonly asked: number,
  ) {
    super(`${asked} stitches more than the ${made} there are would pass what may be made`)
  }
}

let inForce: StitchBudget | undefined

/** Runs what works rounds under a budget; without one of its own, whatever it works draws on this. */
export function within<T>(budget: StitchBudget, run: () => T): T {
  const outer = inForce
  inForce = budget
  try {
    return run()
  }
  finally {
    inForce = outer
  }
}

/** A budget of so many stitches, or the usual. */
export function stitchBudget(most = MOST_MADE): StitchBudget {
  return { most, made: 0, reached: 0 }
}

/**
 * Asks whether so many stitches may still be made.
 *
 * @throws StitchBudgetExceeded where they may not
 */
export function reserve(stitches: number): void {
  if (!inForce) return
  const reached = inForce.made + stitches + EACH_ROUND
  if (!(reached <= inForce.most)) throw new StitchBudgetExceeded(inForce.made, stitches)
  inForce.reached = Math.max(inForce.reached, reached)
}

/** Writes down what was made. */
export function record(stitches: number): void {
  if (inForce) inForce.made += stitches + EACH_ROUND
}

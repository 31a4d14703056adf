import type { Closing } from '../../things/round/round'
import { FABRIC_KINDS, STITCHES } from '../../things/stitch/dictionary'

/** The taller stitches that close a loop, each as long as so many chains (craft 8; common practice, no source). */
const TALLER = FABRIC_KINDS.filter(kind => STITCHES[kind].heightChains > 1)

/**
 * Ways to close the last loop of a round by chains and a taller stitch: those nearest to half and half first, of two as near
 * the taller stitch. Every one is as long as the loop.
 *
 * @param loop chains of a whole loop, at least 2
 */
export function closingWays(loop: number): Closing[] {
  const ways = TALLER.map((kind): Closing => ({ kind, chains: loop - STITCHES[kind].heightChains, loop })).filter(
    ({ chains }) => chains >= 0,
  )
  const far = ({ chains }: Closing) => Math.abs(chains - loop / 2)
  return ways.sort((a, b) => far(a) - far(b) || STITCHES[b.kind].heightChains - STITCHES[a.kind].heightChains)
}

/** Stitches that a maker may close loops with. */
export const CLOSING_STITCHES = ['hdc', 'dc', 'tr'] as const

/**
 * How a loop is closed: in the usual way, about half in chains and the rest in the stitch; or with a stitch of the maker's choice, as far
 * as the loop is long enough for it.
 */
export function closingOf(loop: number, stitch?: (typeof CLOSING_STITCHES)[number]): Closing {
  const ways = closingWays(loop)
  return ways.find(({ kind }) => kind === stitch) ?? ways[0]!
}

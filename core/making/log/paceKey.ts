import type { Draft } from '../../bag/draft/draft'
import { wallKindOf } from '../../bag/draft/fold/draftPart'
import type { WorkedRound } from '../../things/round/workedRound'
import { STITCH_CODE, STITCH_KINDS, type StitchKind } from '../../things/stitch/dictionary'

/*
 * Keys of stitches whose pace is learnt: which most of a round are, and the pattern that they are worked in.
 */

/** The stitch that most of a round is, and how many it has; chains are counted one by one. */
export function mostly({ stitches, edge }: WorkedRound): { readonly kind: StitchKind, readonly stitches: number } {
  const counts = new Uint32Array(STITCH_KINDS.length)
  stitches.forEach((code, i) => {
    counts[code] = counts[code]! + (code === STITCH_CODE.ch ? Math.max(1, edge.chains[i] ?? 1) : 1)
  })
  const most = counts.indexOf(Math.max(...counts))
  return { kind: STITCH_KINDS[most] ?? 'sc', stitches: counts.reduce((sum, count) => sum + count, 0) }
}

/** The key of a leg's stitches: the stitch, and the pattern that it is worked in. */
export function keyOf(drafted: Draft, part: string, kind: StitchKind): string {
  const found = drafted.parts.find(({ id }) => id === part)
  const wall = found && wallKindOf(found)
  return wall && !wall.plain && wall.texture ? `${wall.name} in ${kind}` : kind
}

/** Name of a pattern of stitches in a key, for whoever reads it. */
export function keyWords(key: string): string {
  const [texture, kind] = key.split(' in ')
  return kind ? `${texture} in {${kind}}` : `{${key}}`
}

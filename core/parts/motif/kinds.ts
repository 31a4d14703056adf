import { oneOfKinds } from '../field/questions'
import { beginnings } from '../kind/beginnings'
import { disc } from './disc'
import { fans } from './fans'
import type { MotifBand, MotifKind } from './motifKind'
import { net } from './net'
import { ownRounds } from './ownRounds'

export type { MotifBand, MotifKind, Outward, Within } from './motifKind'

/*  Kinds of rounds that a motif is made of, from its ring outward: each works its rounds on what the one within left, and lies flat as far
/* as it can (craft 5, panels; craft 8).
 */

/** Every kind of rounds that a motif can have, in the order they are offered. */
export const MOTIF_KINDS: readonly MotifKind[] = [disc, net, fans, ownRounds]

const BY_KIND = new Map(MOTIF_KINDS.map(kind => [kind.kind, kind]))

/** The kind of a motif's rounds. */
export function motifKindOf({ kind: band }: { readonly kind: string }): MotifKind {
  const kind = BY_KIND.get(band)
  if (!kind) throw new Error(`no rounds of a motif are called ${band}: documents are checked before they get here`)
  return kind
}

const MOST_MOTIF_BANDS = 16

/** Asks for the rounds of a motif, from the ring outward. */
export function motifField(label: string, says: string) {
  return oneOfKinds<readonly MotifBand[]>(
    label,
    'kind',
    MOTIF_KINDS.map(({ kind: band, fields, name, does }) => ({ value: band, fields, name, does })),
    { list: { all: 'bands', most: MOST_MOTIF_BANDS, least: 1, begin: (band, like) => motifLike(band, like) }, says },
  )
}

/** New rounds of a kind in the place of some, or beside them: in the same yarn, and what else both have. */
function motifLike(band: string, like: object | undefined): object {
  const { fields } = motifKindOf({ kind: band })
  const kept = Object.entries(like ?? {}).filter(([name]) => name in fields && name !== 'rounds')
  return { ...beginnings(fields), ...(band === (like as MotifBand | undefined)?.kind ? Object.fromEntries(kept) : {}), kind: band,
    colour: (like as MotifBand | undefined)?.colour ?? 'main' }
}

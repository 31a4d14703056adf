import type { Draft } from '../../bag/draft/draft'
import { STITCHES, STITCH_KINDS, type Terms } from '../../things/stitch/dictionary'

/** Somewhere to go, found by what was typed. */
export interface SearchHit {
  readonly sort: 'part' | 'round' | 'term' | 'screen'
  readonly name: string
  /** A remark beside it. */
  readonly facts: string
  /** The part, the number of the round, the stitch, or the address. */
  readonly to: string
}

/** Screens that can be jumped to. */
export interface Screen {
  readonly name: string
  readonly does: string
  readonly to: string
}

const MOST = 12

function fits(words: readonly string[], text: string): boolean {
  const lower = text.toLowerCase()
  return words.every(word => lower.includes(word))
}

/** The round that a number or `round 34` names. */
function roundNamed(draft: Draft, search: string): SearchHit[] {
  const [, number] = /^(?:r|rd|rnd|round|row)?\s*(\d+)$/i.exec(search.trim()) ?? []
  const round = number === undefined ? undefined : draft.rounds[Number(number) - 1]
  if (!round) return []
  const part = draft.parts.find(({ id }) => id === round.part)!
  return [{ sort: 'round', name: `Round ${round.number}`, facts: `${part.name}, ${round.worked.edge.count} sts`, to: String(round.number) }]
}

function terms(words: readonly string[], own: Terms): SearchHit[] {
  const other: Terms = own === 'us' ? 'uk' : 'us'
  return STITCH_KINDS.flatMap((kind): SearchHit[] => {
    const [here, there] = [STITCHES[kind][own], STITCHES[kind][other]]
    if (!words.length || !fits(words, `${here.abbreviation} ${here.name} ${there.abbreviation} ${there.name}`)) return []
    const elsewhere = there.abbreviation === here.abbreviation ? '' : ` (${other.toUpperCase()}: ${there.abbreviation}, ${there.name})`
    return [{ sort: 'term', name: `${here.abbreviation}: ${here.name}`, facts: elsewhere.trim(), to: kind }]
  })
}

/**
 * Where what was typed leads: the round of that number, parts of the bag in hand, screens, terms of the craft; the nearest first. Nothing
 * typed lists the parts and the screens.
 */
export function searchHits(search: string, { draft, screens, vocabulary }: {
  readonly draft?: Draft | undefined
  readonly screens: readonly Screen[]
  readonly vocabulary: Terms
}): SearchHit[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  const parts = (draft?.parts ?? []).toReversed().filter(({ name }) => fits(words, name)).map(({ id, name, rounds, edge }): SearchHit => (
    { sort: 'part', name, facts: rounds.length > 0 ? `${rounds.length} rounds, ${edge.count} sts` : 'no round of its own', to: id }
  ))
  const shown = screens.filter(({ name, does }) => fits(words, `${name} ${does}`))
    .map(({ name, does, to }): SearchHit => ({ sort: 'screen', name, facts: does, to }))
  return [...(draft ? roundNamed(draft, search) : []), ...parts, ...shown, ...terms(words, vocabulary)].slice(0, MOST)
}

import type { Start } from '../../parts/part/start'
import type { Loop } from '../../things/round/step'
import { type StitchKind, stitchName, type Terms } from '../../things/stitch/dictionary'
import { ordinal } from './numbers'
import type { Ending, JoinTarget, Opening, Sort } from './sentence'

/** How what comes again is written: between brackets with how often, or after an asterisk; both schools are in use (craft 15). */
export const REPEAT_STYLES = ['brackets', 'asterisk'] as const

export type RepeatStyle = (typeof REPEAT_STYLES)[number]

/** How a maker wants words: the vocabulary, and how repeats are written. */
export interface Manner {
  readonly terms: Terms
  readonly repeats: RepeatStyle
}

/** Settings that the words of a sentence depend on besides its manner. */
export interface Speech extends Manner {
  /** Foundation of the bag or the piece, and so the name of its chains. */
  readonly start: Start
  /** A row: it goes across, not around. */
  readonly across?: boolean
}

const SORT_WORDS: Readonly<Record<Sort, readonly [one: string, several: string]>> = {
  st: ['st', 'sts'], space: ['ch-sp', 'ch-sps'], loop: ['loop', 'loops'], ch: ['ch', 'chs'],
  underside: ['ch along the underside of the ch', 'chs along the underside of the ch'], rowEnd: ['row end', 'row ends'],
  hole: ['hole', 'holes'], ring: ['ring', 'ring'],
}

export const POST: Partial<Record<Loop, string>> = { frontPost: 'FP', backPost: 'BP' }

/** How so many places of a sort are called. */
export function placesOf(sort: Sort, places: number): string {
  return SORT_WORDS[sort][places === 1 ? 0 : 1]
}

/** A stitch's abbreviation with how it is worked: `FPdc`, `reverse sc`, `long dc`. */
export function named(kind: StitchKind, { loop, backwards, long }: Omit<JoinTarget, 'kind'>, terms: Terms): string {
  return `${backwards ? 'reverse ' : ''}${long ? 'long ' : ''}${POST[loop] ?? ''}${stitchName(kind, terms).abbreviation}`
}

export function skipWord(terms: Terms): string {
  return terms === 'us' ? 'sk' : 'miss'
}

function countsWords({ counts, saysUncounted }: Opening, terms: Terms): string {
  if (!counts) return saysUncounted ? ' (does not count)' : ''
  const also = counts.spaceChains > 0 ? ` and ch ${counts.spaceChains}` : ''
  return ` (counts as first ${stitchName(counts.kind, terms).abbreviation}${also})`
}

function fromWords({ from, along }: Opening, slip: string): string {
  if (!from) return ''
  if (from.at === 'last') return `beg ${from.into ? 'in' : 'at'} last ${placesOf(from.sort, 1)} of the round before: `
  if (from.at === 'even') return `beg ${from.into ? 'in same' : 'at the'} ${placesOf(from.sort, 1)} ${from.into ? 'as' : 'of'} this `
    + `${slip}: `
  if (from.at === 'slip') return from.into ? 'beg in same st as last of these: ' : 'beg at that st: '
  if (from.at === 'first') return `beg ${from.into ? 'in' : 'at'} first ${placesOf(from.sort, 1)}: `
  return along > 0 ? '' : `beg ${from.into ? 'in same' : 'at the'} ${placesOf(from.sort, 1)} ${from.into ? 'as' : 'of the'} join: `
}

/** Words before the first stitch, each piece followed by a mark; nothing if there is nothing. */
export function openingWords(opening: Opening, { terms }: Speech): string {
  const { along, turn, chains, skipped, saysNoTurn, evens } = opening
  const slip = stitchName('slst', terms).abbreviation
  const parts: string[] = []
  if (evens) parts.push(`${slip} in next ${placesOf(evens, 1)} to even the step`)
  if (along > 0) parts.push(`${turn ? 'turn, ' : ''}${slip} in next ${along === 1 ? 'st' : `${along} sts`} to the new start`)
  if (skipped) {
    const first = stitchName(skipped.kind, terms).abbreviation
    parts.push(
      `${skipWord(terms)} ${skipped.chains} ${placesOf('ch', skipped.chains)} (${skipped.chains === 1 ? 'counts' : 'count'} `
      + `as first ${first})`,
    )
  }
  if (chains > 0) {
    const turning = turn && along === 0 ? ', turn' : saysNoTurn ? ', do not turn' : ''
    parts.push(`ch ${chains}${countsWords(opening, terms)}${turning}`)
  }
  else if (turn && along === 0) parts.push('turn')
  return parts.map(part => `${part}; `).join('') + fromWords(opening, slip)
}

/** How a round ends, behind a mark; nothing if it goes on. */
export function endingWords(ending: Ending, { terms }: Speech): string {
  const slip = stitchName('slst', terms).abbreviation
  switch (ending.end) {
    case 'open':
      return ''
    case 'join':
      return `; join with ${slip} to first ${named(ending.to.kind, ending.to, terms)}`
    case 'joinChain':
      return `; join with ${slip} to ${ending.nth ? `${ordinal(ending.nth)} ch` : 'top'} of beg ch`
    case 'joinSpace':
      return `; join with ${slip} to first ch-sp`
    case 'closing': {
      const chains = ending.chains > 0 ? `ch ${ending.chains}, ` : ''
      return (
        `; ${chains}${stitchName(ending.kind, terms).abbreviation} in first ${stitchName('sc', terms).abbreviation} to close the `
        + 'last loop'
      )
    }
  }
}

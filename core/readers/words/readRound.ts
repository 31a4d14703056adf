import { type Around, readSteps } from '../../things/repeat/read'
import type { Begin, Closing, Join, Round } from '../../things/round/round'
import type { Step } from '../../things/round/step'
import { STITCH_KINDS, STITCHES, type FabricKind, type StitchKind, type Terms } from '../../things/stitch/dictionary'

/*
 * A round read back from its words: the other way about of `saySentence`, joins and starts included, in every vocabulary and style.
 */

/** A round as its words tell it: yarn and facing are not in them. */
type ReadRound = Pick<Round, 'steps' | 'begin' | 'join' | 'closing'>

/** A round read, or what in its words could not be. */
type RoundRead = { readonly ok: true, readonly round: ReadRound } | { readonly ok: false, readonly what: string }

const EVENS = /^(?:sl st|ss) in next (?:st|ch-sp) to even the step; /i
const TURNED = /^turn; /i
const PAST = /^beg (?:in|at) last (?:st|ch-sp) of the round before: /i
const ALONG = /^(turn, )?(?:sl st|ss) in next (?:st|(\d+) sts) to the new start; /i
const SKIPPED = /^(?:sk|miss) \d+ chs? \(counts? as first ([a-z ]+)\); /i
const CHAINS = /^ch (\d+)(?: \((?:does not count|counts as first ([a-z ]+?)(?: and ch (\d+))?)\))?(?:(, turn)|, do not turn)?; /i
const BEGINS = /^beg [^:]+: /i
const CLOSING = /; (?:ch (\d+), )?([a-z]+) in first [a-z]+ to close the last loop$/i
const JOINED = /; join with (?:sl st|ss) to [^;]+$/i
const IN_FIRST_CHAIN = / in \d+\w\w ch from hook(?=[,;]|$)/i

/** A stitch by its abbreviation; nothing for one that the vocabulary does not know. */
function kindOf(abbreviation: string, terms: Terms): StitchKind | undefined {
  return STITCH_KINDS.find(kind => STITCHES[kind][terms].abbreviation === abbreviation.toLowerCase())
}

/** The lead before the first stitch, and the rest of the words; a stitch that is not known, if its chain stands for one. */
interface RoundOpening {
  readonly begin: Begin
  readonly first: Step[]
  readonly body: string
  readonly unknown?: string
}

/** How a round gets up to its height: its chains but those of a space, and the way along to its start. */
function beginOf(chains: RegExpExecArray | undefined, along: RegExpExecArray | undefined, space: number, counts: boolean): Begin {
  const turn = chains?.[4] !== undefined || along?.[1] !== undefined
  return { chains: Number(chains?.[1] ?? 0) - space, counts, turn, ...(along ? { along: Number(along[2] ?? 1) } : {}) }
}

/** The lead before the first stitch, and the rest of the words. */
function opening(words: string, terms: Terms): RoundOpening {
  let body = words
  const take = (pattern: RegExp): RegExpExecArray | undefined => {
    const found = pattern.exec(body) ?? undefined
    if (found) body = body.slice(found[0].length)
    return found
  }
  take(EVENS)
  const along = take(ALONG)
  const skipped = take(SKIPPED)
  const chains = take(CHAINS)
  const turned = chains ? undefined : take(TURNED)
  const past = take(PAST)
  if (!past) take(BEGINS)
  const counted = chains?.[2] ?? skipped?.[1]
  const space = Number(chains?.[3] ?? 0)
  const kind = counted === undefined ? undefined : kindOf(counted, terms)
  const first: Step[] = kind ? [{ do: 'stitch', kind, times: 1 }] : []
  if (space > 0) first.push({ do: 'chain', chains: space })
  // What is left of an increase goes into the chain that the skipped ones stand on.
  if (skipped) body = body.replace(IN_FIRST_CHAIN, ' in same st')
  const begin = {
    ...beginOf(chains, along, space, counted !== undefined), ...(turned ? { turn: true } : {}), ...(past ? { past: true as const } : {}),
  }
  return { begin, first, body, ...(counted !== undefined && !kind ? { unknown: counted } : {}) }
}

/** How the round ends, and the words before that. */
function ending(words: string, terms: Terms, across: boolean): { readonly join: Join, readonly closing?: Closing, readonly body: string } {
  const closed = CLOSING.exec(words)
  if (closed) {
    const kind = kindOf(closed[2]!, terms) as FabricKind | undefined
    if (!kind) return { join: 'spiral', body: words }
    const chains = Number(closed[1] ?? 0)
    return { join: 'spiral', closing: { chains, kind, loop: chains + STITCHES[kind].heightChains }, body: words.slice(0, closed.index) }
  }
  const joined = JOINED.exec(words)
  if (joined) return { join: 'slip', body: words.slice(0, joined.index) }
  return { join: across ? 'open' : 'spiral', body: words }
}

/** The place of a round among others: a row, and the chain of a fresh foundation that its first stitch goes into. */
interface ReadOn extends Around {
  readonly across?: boolean
  readonly firstInto?: number
}

/** Reads a round's words on an edge. */
export function readRound(words: string, terms: Terms, on: ReadOn): RoundRead {
  const end = ending(words, terms, on.across === true)
  const { begin: said, first, body, unknown } = opening(`${end.body}; `, terms)
  if (unknown) return { ok: false, what: `${unknown} is not a stitch known here` }
  const begin = on.firstInto && end.join !== 'spiral' ? { ...said, chains: on.firstInto - 1 } : said
  const rest = body.replace(/; $/, '')
  const places = on.places - (begin.counts && on.places > 1 ? 1 : 0)
  const read = rest ? readSteps(rest, terms, { ...on, places }) : { ok: true as const, steps: [] }
  if (!read.ok) return { ok: false, what: read.what }
  const { join, closing } = end
  return { ok: true, round: { steps: [...first, ...read.steps], begin, join, ...(closing ? { closing } : {}) } }
}

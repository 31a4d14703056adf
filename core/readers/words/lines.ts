import type { CardId } from '../../things/entry/cards'
import type { Draft, DraftPart, DraftRound } from '../../bag/draft/draft'
import { draftYarnChanges } from '../../bag/draft/findings/wallFindings'
import type { Piece } from '../../parts/part/piece'
import type { YarnChange } from '../../things/round/yarnChanges'
import type { Terms } from '../../things/stitch/dictionary'
import { translate } from '../../things/stitch/translate'
import { cardsOf } from './cardsOf'
import { capitalised } from './numbers'
import { sayCount, saySentence } from './manner'
import type { Manner, RepeatStyle } from './openingWords'
import type { Sentence } from './sentence'
import { sentenceOf } from './sentenceOf'

/** One line of a pattern: a round, or rounds alike one after the other. */
export interface PatternLine {
  readonly from: number
  readonly to: number
  /** `Round 5`, `Rounds 14–43`. */
  readonly label: string
  readonly words: string
  readonly count: string
  /** Yield of the round, stitches, spaces and chains in spaces apart. */
  readonly stitches: number
  readonly spaces: number
  readonly chains: number
  /** Said beside the round: markers, what to count, a change of yarn. */
  readonly note?: string
  /** Notes on what happens once, when the line's last round is done. */
  readonly after?: string
  /** The ways its stitches are entered, where they are not the usual one. */
  readonly cards: readonly CardId[]
  /** Instead of words of its own: earlier rounds that come again so many times more. */
  readonly again?: { readonly from: number, readonly to: number, readonly times: number }
}

/** A round's line, and the sentence that it says. */
export interface SaidLine extends PatternLine {
  readonly sentence: Sentence
}

/** Said after the last round in a yarn: what to change to, and what becomes of the old one. */
function colourNote(draft: Draft, index: number): string | undefined {
  const change = changesOf(draft).get(index + 1)
  if (!change) return undefined
  const name = (id: string) => draft.design.yarns.find(yarn => yarn.id === id)?.name ?? id
  const old = change.carried ? `Carry ${name(change.from)} up inside, slack.` : `Cut ${name(change.from)}.`
  return `change to ${name(change.to)} on the last pull-through. ${old}`
}

/** Ways that rounds of a bag start: some count their chain, some are turned. */
interface Starts {
  readonly counts: boolean
  readonly turns: boolean
}

const starts = new WeakMap<Draft, Starts>()

/** Ways that a draft's rounds start; looked at once a draft. */
function startsOf(draft: Draft): Starts {
  let found = starts.get(draft)
  if (!found) {
    const joined = draft.rounds.filter(({ worked }) => worked.round.join === 'slip')
    found = {
      counts: joined.some(({ worked }) => worked.round.begin.counts), turns: joined.some(({ worked }) => worked.round.begin.turn),
    }
    starts.set(draft, found)
  }
  return found
}

const known = new WeakMap<Draft, ReadonlyMap<number, YarnChange>>()

/** A draft's changes of yarn by the index of the first round in the new one; worked out once a draft. */
function changesOf(draft: Draft): ReadonlyMap<number, YarnChange> {
  let found = known.get(draft)
  if (!found) known.set(draft, (found = new Map(draftYarnChanges(draft.parts).changes.map(change => [change.at, change]))))
  return found
}

/** Where a round carries more markers than the one at its start; they are counted from its first stitch. */
function markerNote(part: DraftPart, round: DraftRound): string | undefined {
  const markers = part.markers?.[round.number - part.firstRound] ?? []
  return markers.length > 1 ? `Markers in sts ${markers.map(made => made + 1).join(', ')}.` : undefined
}

function countsOf({ count }: Sentence): Pick<PatternLine, 'count' | 'stitches' | 'spaces' | 'chains'> {
  return {
    count: sayCount(count), stitches: count.stitches, spaces: count.spaces.reduce((sum, { number }) => sum + number, 0),
    chains: count.spaces.reduce((sum, { chains, number }) => sum + chains * number, 0),
  }
}

/** A round of a part as a line, with its sentence. */
export function saidLine(draft: Draft, part: DraftPart, round: DraftRound, manner: Manner): SaidLine {
  const { worked, number } = round
  const { counts, turns } = startsOf(draft)
  const before = draft.rounds[number - 2]?.worked
  const sentence = sentenceOf(worked, {
    start: draft.start, ...(before ? { before } : {}), othersCount: counts && worked.round.join === 'slip', othersTurn: turns,
  })
  const across = worked.round.join === 'open'
  const note = [markerNote(part, round), part.notes?.[number - part.firstRound]].filter(Boolean).join(' ')
  const after = colourNote(draft, number - 1)
  return {
    sentence, from: number, to: number, label: `${across ? 'Row' : 'Round'} ${number}`,
    words: capitalised(saySentence(sentence, { ...manner, start: draft.start, across })), ...countsOf(sentence), cards: cardsOf(sentence),
    ...(note ? { note: translate(note, { terms: manner.terms, units: draft.design.units }) } : {}), ...(after ? { after } : {}),
  }
}

/** Every round of a bag as a line, with its sentence, in order. */
export function saidLines(draft: Draft, manner: Manner): SaidLine[] {
  return draft.parts.flatMap(part => part.rounds.map((_, i) => saidLine(draft, part, draft.rounds[part.firstRound - 1 + i]!, manner)))
}

/** Every round of a bag on a line of its own, in order. */
export function roundLines(draft: Draft, terms: Terms, repeats: RepeatStyle = 'brackets'): PatternLine[] {
  return saidLines(draft, { terms, repeats }).map(line => whole(line))
}

/** A row of a piece, or a round of one that goes round, as a line, with its sentence. */
export function saidRow({ rows, start }: Piece, i: number, manner: Manner): SaidLine {
  const before = rows[i - 1]
  const sentence = sentenceOf(rows[i]!, { start, ...(before ? { before } : {}) })
  const across = rows[i]!.round.join === 'open'
  return {
    sentence, from: i + 1, to: i + 1, label: `${across ? 'Row' : 'Round'} ${i + 1}`,
    words: capitalised(saySentence(sentence, { ...manner, start, across })), ...countsOf(sentence), cards: cardsOf(sentence),
  }
}

/** Every row of a piece as a line, with its sentence. */
export function saidRows(piece: Piece, manner: Manner): SaidLine[] {
  return piece.rows.map((_, i) => saidRow(piece, i, manner))
}

/** Every row of a piece on a line of its own. */
export function rowLines(piece: Piece, terms: Terms, repeats: RepeatStyle = 'brackets'): PatternLine[] {
  return saidRows(piece, { terms, repeats }).map(line => whole(line))
}

/** A line as it is read, with what happens after it among its notes. */
export function whole({ sentence: _, after, note, ...line }: SaidLine): PatternLine {
  const then = after && (line.to > line.from ? `At the end of ${lastOf(line)} ${after}` : capitalised(after))
  const said = [note, then].filter(Boolean).join(' ')
  return { ...line, ...(said ? { note: said } : {}), ...(after ? { after } : {}) }
}

export function isRow({ label }: PatternLine): boolean {
  return label.startsWith('Row')
}

function lastOf(line: PatternLine): string {
  return `${isRow(line) ? 'Row' : 'Round'} ${line.to}`
}

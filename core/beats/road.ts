import { isBase } from '../draft/part'
import type { Draft, DraftPart } from '../draft/draft'
import type { Piece } from '../part/piece'
import { type Start, traitsOf } from '../part/start'
import { PLACE_CODE } from '../round/edge'
import type { Worked } from '../round/worked'
import { tape } from '../stitch/tell'
import { cordLines } from '../words/cordWords'
import { CORDS_STEP, finishingOf } from '../words/finishing'
import { saidLine, type SaidLine, saidRow } from '../words/lines'
import { startOf } from '../words/notes'
import type { Manner } from '../words/say'
import type { Sort } from '../words/sentence'
import { type Beat, beatsOf, foundationBeats, tellings } from './beat'

/*
 * The road from the first chain to the last end woven in
 * ======================================================
 *
 * A bag is made leg by leg: what it starts from, round after round, the pieces it needs with their rows, cords, and what is done at
 * the end. Each leg is known by an id that does not change while what is worked stays as it is, and is taken apart into beats when it
 * is come to.
 */

/** What sort of leg it is: a start, a round of the bag, a row of a piece, or steps that are told. */
export type LegSort = 'start' | 'round' | 'row' | 'steps'

/** A leg before it is come to. */
export interface Leg {
  readonly id: string
  readonly sort: LegSort
  /** The part of the bag that it belongs to. */
  readonly part: string
  /** What it is called where it stands: a part, a piece. */
  readonly title: string
  /** Of rounds and rows: which, and of how many. */
  readonly number: number
  readonly of: number
  /** What it is worked on and leaves; none of what is told. */
  readonly worked: Worked | undefined
  /** What its piece or the bag starts from. */
  readonly start: Start
  /** Its line in the pattern, in a manner; none of what is told. */
  readonly line: (manner: Manner) => SaidLine | undefined
  /** What is to be read before the first beat. */
  readonly lead: string | undefined
  readonly beats: () => readonly Beat[]
}

/** The road of a draft. */
export interface Road {
  readonly draft: Draft
  readonly legs: readonly Leg[]
  /** The places of legs on the road, by their ids. */
  readonly at: ReadonlyMap<string, number>
}

/** What sentences are taken apart in: beats do not depend on it. */
const ANY_MANNER: Manner = { terms: 'us', repeats: 'brackets' }

const SORT_OF_PLACE: Readonly<Record<number, Sort>> = {
  [PLACE_CODE.stitch]: 'st', [PLACE_CODE.space]: 'space', [PLACE_CODE.chain]: 'ch', [PLACE_CODE.hole]: 'hole',
  [PLACE_CODE.rowEnd]: 'rowEnd', [PLACE_CODE.underside]: 'underside', [PLACE_CODE.ring]: 'ring',
}

/** A line as it was said last, as long as the manner stays. */
function asSaid(say: (manner: Manner) => SaidLine | undefined): (manner: Manner) => SaidLine | undefined {
  let last: { readonly terms: Manner['terms'], readonly repeats: Manner['repeats'], readonly line: SaidLine | undefined } | undefined
  return ({ terms, repeats }) => {
    if (last?.terms !== terms || last.repeats !== repeats) last = { terms, repeats, line: say({ terms, repeats }) }
    return last.line
  }
}

/** Worked out when first asked for, then remembered. */
function once<T>(make: () => T): () => T {
  let known: { readonly value: T } | undefined
  return () => (known ??= { value: make() }).value
}

interface Told {
  readonly id: string
  readonly part: string
  readonly title: string
  readonly start: Start
}

function steps({ id, part, title, start }: Told, texts: readonly string[]): Leg[] {
  if (texts.length === 0) return []
  const beats = tellings(texts)
  return [
    {
      id, sort: 'steps', part, title, number: 1, of: 1, worked: undefined, start, line: () => undefined, lead: undefined,
      beats: () => beats,
    },
  ]
}

/** What a bag or a piece starts from: chains up to each marker, and how they are closed. */
function startLeg({ id, part, title, start }: Told, lead: string, beforeCm: number | undefined): Leg {
  const { stitched, looped, ringed, holed } = traitsOf(start)
  const chained = start.chains > 0 && !holed
  const long = beforeCm ? [`It should be about ${tape(beforeCm)} long before you work into it.`] : []
  const close = looped || ringed
    ? [`Join with {slst} to the first {ch}${looped ? '; take care that the chain is not twisted' : ', to form a ring'}.`]
    : []
  const beats = chained
    ? [...foundationBeats(start.chains, stitched ? number => `${number} foundation {sc}` : undefined), ...tellings([...long, ...close])]
    : tellings([lead])
  return {
    id, sort: 'start', part, title, number: 0, of: 0, worked: undefined, start, line: () => undefined,
    lead: chained ? lead : undefined, beats: once(() => regrouped(beats)),
  }
}

/** Beats from several hands with their groups numbered through. */
function regrouped(beats: readonly Beat[]): Beat[] {
  return beats.map((beat, group) => ({ ...beat, group }))
}

function workedLeg(leg: Omit<Leg, 'beats' | 'lead' | 'worked'>, worked: Worked): Leg {
  const sortAt = (made: number) => SORT_OF_PLACE[worked.on.kinds[worked.edge.from[made]!]!] ?? 'st'
  const line = asSaid(leg.line)
  return { ...leg, line, worked, lead: undefined, beats: once(() => beatsOf(line(ANY_MANNER)!.sentence, sortAt)) }
}

function rounds(draft: Draft, part: DraftPart): Leg[] {
  return part.rounds.map((worked, i) => {
    const number = part.firstRound + i
    return workedLeg(
      {
        id: `r${number}`, sort: 'round', part: part.id, title: part.name, number, of: draft.rounds.length, start: draft.start,
        line: manner => saidLine(draft, part, draft.rounds[number - 1]!, manner),
      },
      worked,
    )
  })
}

/** What is worked on its own, as often as it is made: its start, its rows, how it is joined. */
function pieceLegs(draft: Draft, part: DraftPart, piece: Piece): Leg[] {
  return Array.from({ length: piece.times }, (_, copy): Leg[] => {
    const id = `${part.id}/${piece.id}/${copy + 1}`
    const title = piece.times > 1 ? `${piece.name}, ${copy + 1} of ${piece.times}` : piece.name
    const told = { part: part.id, title, start: piece.start }
    const lead = piece.lead ?? startOf(piece.start, piece.colour, draft)
    // What grows from the bag, or is no more than a chain, says itself how it begins.
    const start = piece.lead
      ? steps({ ...told, id: `${id}/start` }, [piece.lead])
      : [startLeg({ ...told, id: `${id}/start` }, lead, piece.start.beforeCm)]
    return [
      ...start, ...steps({ ...told, id: `${id}/before` }, piece.advice),
      ...piece.rows.map((worked, i) => workedLeg(
        {
          ...told, id: `${id}/row${i + 1}`, sort: 'row', number: i + 1, of: piece.rows.length, line: manner => saidRow(piece, i, manner),
        },
        worked,
      )),
      ...steps({ ...told, id: `${id}/finish` }, piece.finish),
    ]
  }).flat()
}

function partLegs(draft: Draft, part: DraftPart): Leg[] {
  const told = { part: part.id, title: part.name, start: draft.start }
  const stop = part.findings.find(({ weight }) => weight === 'stop')
  const made = (before: boolean) =>
    part.pieces.filter(piece => (piece.before ?? false) === before).flatMap(piece => pieceLegs(draft, part, piece))
  return [
    ...(isBase(part) && part.rounds.length > 0
      ? [startLeg({ ...told, id: 'start' }, startOf(draft.start, draft.design.base.colour, draft), draft.start.beforeCm)]
      : []),
    ...made(true), ...steps({ ...told, id: `${part.id}/before` }, part.advice), ...rounds(draft, part), ...made(false),
    ...(stop ? steps({ ...told, id: `${part.id}/stop` }, [`The plan goes no further: ${stop.what}`]) : []),
  ]
}

/** What is done when the last round is worked, each step a leg; cords where they are come to. */
function finishLegs(draft: Draft): Leg[] {
  if (draft.findings.some(({ weight }) => weight === 'stop')) return []
  const told = { part: 'finishing', title: 'Finishing', start: draft.start }
  return finishingOf(draft).flatMap((text, i) =>
    text === CORDS_STEP
      ? steps({ ...told, id: 'cords', title: 'Cords' }, cordLines(draft))
      : steps({ ...told, id: `finish/${i + 1}` }, [text]),
  )
}

/** Everything that is done to make a bag, in order. */
export function roadOf(draft: Draft): Road {
  const legs = [...draft.parts.flatMap(part => partLegs(draft, part)), ...finishLegs(draft)]
  return { draft, legs, at: new Map(legs.map(({ id }, i) => [id, i])) }
}

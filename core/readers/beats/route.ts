import { casingsOf } from '../../bag/draft/casing'
import { isBase } from '../../bag/draft/fold/draftPart'
import { hookOfPart } from '../../bag/draft/fold/partGauge'
import type { Draft, DraftPart } from '../../bag/draft/draft'
import type { Hook } from '../../things/gauge/onHook'
import type { Piece } from '../../parts/part/piece'
import { PLACE_CODE } from '../../things/round/edge'
import type { WorkedRound } from '../../things/round/workedRound'
import { hookLabel } from '../../things/stitch/hooks'
import { cordTexts } from '../words/cordWords'
import { type FinishingStep, finishingOf } from '../words/finishing'
import { saidLine, type SaidLine, saidRow } from '../words/lines'
import { startWords } from '../words/notes'
import { afterRounds, afterRows, beforeRounds, beforeRows } from '../words/sectionTexts'
import type { Manner } from '../words/openingWords'
import type { Sort } from '../words/sentence'
import { beatsOf } from './beat'
import type { Leg, Route } from './leg'
import { type RoadTitle, chainLeg, once, startLeg, steps } from './toldLegs'

/*
 * The road from the first chain to the last end woven in
 * ======================================================
 *
 * A bag is made leg by leg: what it starts from, round after round, the pieces it needs with their rows, cords, and what is done at
 * the end. Each leg is known by an id that does not change while what is worked stays as it is, and is taken apart into beats when it
 * is come to.
 */

/** The manner that sentences are taken apart in: beats do not depend on it. */
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

/** The first step: take the yarn; for the bag, the hook too. */
function takenUp(colour: string, { design }: Draft, hook: Hook | undefined): string {
  const yarn = design.yarns.find(({ id }) => id === colour)?.name ?? 'the yarn'
  if (!hook) return `Take ${yarn}.`
  const strands = hook.strands > 1 ? `, ${hook.strands} strands held together` : ''
  return `Take ${yarn}${strands} and the ${hookLabel(hook.hookMm)} hook.`
}

function workedLeg(leg: Omit<Leg, 'beats' | 'lead' | 'worked'>, worked: WorkedRound): Leg {
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

/** A piece worked on its own, as often as it is made: its start, its rows, how it is joined. */
function pieceLegs(draft: Draft, part: DraftPart, piece: Piece): Leg[] {
  return Array.from({ length: piece.times }, (_, copy): Leg[] => {
    const id = `${part.id}/${piece.id}/${copy + 1}`
    const title = piece.times > 1 ? `${piece.name}, ${copy + 1} of ${piece.times}` : piece.name
    const told = { part: part.id, title, start: piece.start }
    const taken = takenUp(piece.colour, draft, undefined)
    // What grows from the bag, or is no more than a chain, says itself how it begins.
    const start = piece.lead
      ? [...steps({ ...told, id: `${id}/start` }, [piece.lead]), ...(piece.rows.length === 0
          ? chainLeg({ ...told, id: `${id}/chain` },
              piece.start.chains)
          : [])]
      : [startLeg({ ...told, id: `${id}/start` }, taken, startWords(piece.start, draft))]
    return [
      ...start, ...steps({ ...told, id: `${id}/before` }, beforeRows(draft, piece)),
      ...piece.rows.map((worked, i) => workedLeg(
        {
          ...told, id: `${id}/row${i + 1}`, sort: 'row', number: i + 1, of: piece.rows.length, line: manner => saidRow(piece, i, manner),
        },
        worked,
      )),
      ...steps({ ...told, id: `${id}/finish` }, afterRows(draft, piece)),
    ]
  }).flat()
}

function partLegs(draft: Draft, part: DraftPart): Leg[] {
  const told = { part: part.id, title: part.name, start: draft.start }
  const stop = part.findings.find(({ weight }) => weight === 'stop')
  const made = (before: boolean) =>
    part.pieces.filter(piece => (piece.before ?? false) === before).flatMap(piece => pieceLegs(draft, part, piece))
  const taken = takenUp(draft.design.base.colour, draft, hookOfPart(part.from, draft.design))
  return [
    ...(isBase(part) && part.rounds.length > 0
      ? [startLeg({ ...told, id: 'start' }, taken, startWords(draft.start, draft))]
      : []),
    ...made(true), ...steps({ ...told, id: `${part.id}/before` }, beforeRounds(draft, part)), ...rounds(draft, part),
    ...steps({ ...told, id: `${part.id}/after` }, afterRounds(draft, part)), ...made(false),
    ...(stop ? steps({ ...told, id: `${part.id}/stop` }, [`The plan goes no further: ${stop.what}`]) : []),
  ]
}

/** Cords: what is told before each is made, the chains of each with their markers, and how they are threaded and finished. */
function cordLegs(draft: Draft): Leg[] {
  const told = { part: 'finishing', title: 'Cords', start: draft.start }
  const casings = casingsOf(draft.parts, draft.gauge)
  const chains = casings.flatMap(({ spec, cord }) => Array.from({ length: spec.number }, () => cord.chains))
  const { making, threading } = cordTexts(draft)
  return [
    ...steps({ ...told, id: 'cords' }, making),
    ...chains.flatMap((number, i) => chainLeg({ ...told, id: `cords/${i + 1}` }, number)),
    ...steps({ ...told, id: 'cords/thread' }, threading),
  ]
}

/** A step that is done so many times over, a beat each time. */
function overAgain(told: RoadTitle, { text, times }: FinishingStep): Leg[] {
  return steps(told, [text, ...Array.from({ length: times - 1 }, (_, i) => `And the next: ${i + 2} of ${times}.`)])
}

/** Finishing, each step a leg, with the cords in their place. */
function finishLegs(draft: Draft): Leg[] {
  if (draft.findings.some(({ weight }) => weight === 'stop')) return []
  const told = { part: 'finishing', title: 'Finishing', start: draft.start }
  return finishingOf(draft).flatMap(step => (step.id === 'cords' ? cordLegs(draft) : overAgain({ ...told, id: `finish/${step.id}` }, step)))
}

/**
 * Ids that logs of earlier versions have for the finishing steps: numbers from 1, the bag's own yarn cut first, then a step for each piece
 * that is sewn on, then what still is a step of finishing.
 */
function earlierNames(draft: Draft): [name: string, id: string][] {
  const sewn = draft.parts.flatMap(part =>
    part.pieces.filter(({ rows }) => rows.length > 0).map(piece => `${part.id}/${piece.id}/${piece.times}/finish`))
  const cut = draft.parts.filter(part => afterRounds(draft, part).length > 0).map(({ id }) => `${id}/after`)
  const finishing = finishingOf(draft).map(({ id }) => (id === 'cords' ? 'cords/thread' : `finish/${id}`))
  return [...cut, ...sewn, ...finishing].map((id, i) => [`finish/${i + 1}`, id])
}

/** Everything that is done to make a bag, in order. */
export function routeOf(draft: Draft): Route {
  const legs = [...draft.parts.flatMap(part => partLegs(draft, part)), ...finishLegs(draft)]
  return { draft, legs, at: new Map(legs.map(({ id }, i) => [id, i])), earlier: new Map(earlierNames(draft)) }
}

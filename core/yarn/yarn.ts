import type { Design } from '../design/design'
import { casingsOf } from '../draft/casing'
import type { Draft } from '../draft/draft'
import { draftYarnChanges } from '../draft/wallFindings'
import type { Worked } from '../round/worked'
import type { Step } from '../round/step'
import { STITCH_CODE, STITCH_KINDS, STITCHES } from '../stitch/dictionary'
import { traitsOf } from '../part/start'
import type { Piece } from '../part/piece'
import type { DraftPart } from '../draft/part'
import { gaugeOfPart, hookOfPart } from '../draft/partGauge'
import { shareOf } from '../draft/textures'

/** What a bag takes of one yarn. */
export interface YarnNeed {
  readonly yarn: Design['yarns'][number]
  readonly stitches: number
  /** Ends to weave in. */
  readonly ends: number
  /** An estimate from memory until the maker unravels a few stitches of their own; no margin added. */
  readonly metres: number
}

/** A tail left to weave in, at each end of a yarn (craft 12). */
export const END_CM = 15

/** Yarn to sew a piece on with, both its ends (from memory). */
const SEWING_CM = 60

const CH = STITCH_CODE.ch

/** Yarn in the rows of fans below their last, which alone is met again. */
function rowsBelow(steps: readonly Step[], cmOf: readonly number[]): number {
  return steps.reduce((sum, step) => {
    if (step.do === 'repeat') return sum + step.times * rowsBelow(step.steps, cmOf)
    if (step.do !== 'group' || !step.rows) return sum
    const row = step.steps.reduce(
      (cm, part) => cm + (part.do === 'stitch' ? part.times * cmOf[STITCH_CODE[part.kind]]! : part.chains * cmOf[CH]!),
      0,
    )
    return sum + (step.rows - 1) * row
  }, 0)
}

/** Adds what a round or row takes. */
function addRound(tally: { cm: number, stitches: number }, worked: Worked, cmOf: readonly number[]): void {
  const { begin, join } = worked.round
  if (!begin.counts) tally.cm += begin.chains * cmOf[CH]!
  tally.cm += ((join === 'slip' ? 1 : 0) + (begin.along ?? 0)) * cmOf[STITCH_CODE.slst]!
  tally.stitches += worked.edge.count
  // A run of chains is one thing made; the stitch that closes a loop stands for the loop's length, and is one stitch.
  for (let i = 0; i < worked.stitches.length; i++)
    tally.cm += cmOf[worked.stitches[i]!]! * (worked.stitches[i] === CH ? worked.edge.chains[i]! : 1)
  tally.cm += (worked.round.closing?.chains ?? 0) * cmOf[CH]! + rowsBelow(worked.round.steps, cmOf)
}

interface Tally {
  cm: number
  stitches: number
}

/** Adds what pieces of one sort take: their start, their rows, ends and sewing. */
function addPiece(used: ReadonlyMap<string, Tally>, piece: Piece, cmOf: readonly number[], strands: number): void {
  // A first row's turning chain is among the chains that it starts from.
  const chains = traitsOf(piece.start).laid ? piece.start.chains - (piece.rows[0]?.round.begin.chains ?? 0) : 0
  const own = { cm: piece.cordYarnCm === undefined ? chains * cmOf[CH]! : strands * piece.cordYarnCm, stitches: 0 }
  const take = (colour: string, { cm, stitches }: Tally) => {
    const tally = used.get(colour)
    if (!tally) return
    tally.cm += piece.times * cm
    tally.stitches += piece.times * stitches
  }
  for (const row of piece.rows) {
    const tally = { cm: 0, stitches: 0 }
    addRound(tally, row, cmOf)
    take(row.round.colour, tally)
  }
  take(piece.colour, { ...own, cm: own.cm + strands * (2 * END_CM + SEWING_CM) })
}

/** Metres of a yarn that the rounds of a bag from one up to another take; pieces, cords and ends are not among them. */
export function metresOfRounds(draft: Draft, yarn: string, from: number, to: number): number {
  const tally = { cm: 0, stitches: 0 }
  for (const part of draft.parts) {
    const cmOf = cmOfStitches(draft, part)
    part.rounds.forEach((worked, i) => {
      const number = part.firstRound + i
      if (number >= from && number <= to && worked.round.colour === yarn) addRound(tally, worked, cmOf)
    })
  }
  return tally.cm / 100
}

/** Yarn that each kind of stitch takes in a part, in its gauge and as wide as its texture was found to be, all strands counted. */
function cmOfStitches({ design, gauge, known }: Draft, { from }: DraftPart): number[] {
  const own = gaugeOfPart(from, design, gauge)
  const across = from.in === 'wall' ? (shareOf(known, from.spec)?.across?.cm ?? 1) : 1
  const { strands } = hookOfPart(from, design)
  return STITCH_KINDS.map(kind => strands * STITCHES[kind].yarnPerWidth * own[kind].width.cm * across)
}

/**
 * Metres of each yarn: every stitch eats its kind's multiple of its width (craft 12; from memory), starting chains
 * and joins included, and each yarn has two ends wherever it is joined anew. Of several strands held together all are counted.
 */
export function yarnNeeds(draft: Draft): YarnNeed[] {
  const used = new Map(draft.design.yarns.map(yarn => [yarn.id, { cm: 0, stitches: 0 }]))
  const { strands } = draft.design.gauge
  for (const part of draft.parts) {
    const cmOf = cmOfStitches(draft, part)
    for (const worked of part.rounds) {
      const tally = used.get(worked.round.colour)
      if (tally) addRound(tally, worked, cmOf)
    }
    for (const piece of part.pieces) addPiece(used, piece, cmOf, hookOfPart(part.from, draft.design).strands)
  }
  for (const { colour, cm } of casingsOf(draft.parts, draft.gauge).flatMap(({ yarns }) => yarns)) {
    const tally = used.get(colour)
    if (tally) tally.cm += strands * cm
  }
  const { ends } = draftYarnChanges(draft.parts)
  return draft.design.yarns
    .map(yarn => ({ yarn, ...used.get(yarn.id)! }))
    .filter(({ cm }) => cm > 0)
    .map(({ yarn, stitches, cm }) => ({
      yarn, stitches, ends: ends[yarn.id] ?? 2, metres: (cm + strands * (ends[yarn.id] ?? 2) * END_CM) / 100,
    }))
}

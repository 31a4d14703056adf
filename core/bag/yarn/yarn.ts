import type { Design } from '../design/design'
import { casingsOf } from '../draft/casing'
import type { Draft } from '../draft/draft'
import { draftYarnChanges } from '../draft/findings/wallFindings'
import type { WorkedRound } from '../../things/round/workedRound'
import type { Step } from '../../things/round/step'
import { STITCH_CODE, STITCH_KINDS, STITCHES } from '../../things/stitch/dictionary'
import { traitsOf } from '../../parts/part/start'
import type { Piece } from '../../parts/part/piece'
import type { DraftPart } from '../draft/fold/draftPart'
import { gaugeOfPart, hookOfPart } from '../draft/fold/partGauge'
import { shareOf } from '../draft/fold/textures'

/** The part of a draft that its yarn is reckoned from. */
export type Parts = Pick<Draft, 'design' | 'parts' | 'gauge' | 'known'>

/** The need of a bag for one yarn. */
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
function addRound(tally: { cm: number, stitches: number }, worked: WorkedRound, cmOf: readonly number[]): void {
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

/** The need of one thing for a yarn: the rounds of a part, what is worked on its own for it, its cords, or all ends. */
export interface YarnShare {
  readonly yarn: string
  readonly of: 'rounds' | 'pieces' | 'cords' | 'ends'
  /** The part it belongs to; of ends none. */
  readonly part?: string
  readonly name: string
  readonly metres: number
  readonly stitches: number
}

/** Tallies by yarn: those that the bag does not have are left out. */
class Tallies {
  private readonly used: Map<string, Tally>

  constructor({ yarns }: Design) {
    this.used = new Map(yarns.map(({ id }) => [id, { cm: 0, stitches: 0 }]))
  }

  of(yarn: string): Tally | undefined {
    return this.used.get(yarn)
  }

  add(yarn: string, cm: number, stitches = 0): void {
    const tally = this.used.get(yarn)
    if (!tally) return
    tally.cm += cm
    tally.stitches += stitches
  }

  told(share: Pick<YarnShare, 'of' | 'part' | 'name'>): YarnShare[] {
    return [...this.used].flatMap(([yarn, { cm, stitches }]) => (cm > 0 ? [{ ...share, yarn, metres: cm / 100, stitches }] : []))
  }
}

/** Adds what pieces of one sort take: their start, their rows, ends and sewing. */
function addPiece(used: Tallies, piece: Piece, cmOf: readonly number[], strands: number): void {
  // A first row's turning chain is among the chains that it starts from.
  const chains = traitsOf(piece.start).laid ? piece.start.chains - (piece.rows[0]?.round.begin.chains ?? 0) : 0
  const start = piece.cordYarnCm === undefined ? chains * cmOf[CH]! : strands * piece.cordYarnCm
  for (const row of piece.rows) {
    const tally = { cm: 0, stitches: 0 }
    addRound(tally, row, cmOf)
    used.add(row.round.colour, piece.times * tally.cm, piece.times * tally.stitches)
  }
  used.add(piece.colour, piece.times * (start + strands * (2 * END_CM + SEWING_CM)))
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

/** Metres of a yarn that each round of a bag takes, by its number less one. */
export function metresByRound(draft: Draft, yarn: string): number[] {
  return draft.parts.flatMap((part) => {
    const cmOf = cmOfStitches(draft, part)
    return part.rounds.map((worked) => {
      const tally = { cm: 0, stitches: 0 }
      if (worked.round.colour === yarn) addRound(tally, worked, cmOf)
      return tally.cm / 100
    })
  })
}

/** Yarn that each kind of stitch takes in a part, in its gauge and as wide as its texture was found to be, all strands counted. */
function cmOfStitches({ design, gauge, known }: Parts, { from }: DraftPart): number[] {
  const own = gaugeOfPart(from, design, gauge)
  const across = (from.wall && shareOf(known, from.wall)?.across?.cm) ?? 1
  const { strands } = hookOfPart(from, design)
  return STITCH_KINDS.map(kind => strands * STITCHES[kind].yarnPerWidth * own[kind].width.cm * across)
}

/** Yarn of a part's rounds, and of the pieces worked for it. */
function sharesOfPart(draft: Parts, part: DraftPart): YarnShare[] {
  const { design } = draft
  const cmOf = cmOfStitches(draft, part)
  const [rounds, pieces] = [new Tallies(design), new Tallies(design)]
  for (const worked of part.rounds) {
    const tally = rounds.of(worked.round.colour)
    if (tally) addRound(tally, worked, cmOf)
  }
  for (const piece of part.pieces) addPiece(pieces, piece, cmOf, hookOfPart(part.from, design).strands)
  const own = { part: part.id, name: part.name }
  return [...rounds.told({ of: 'rounds', ...own }), ...pieces.told({ of: 'pieces', ...own })]
}

/**
 * Yarn of everything in a bag: every stitch eats its kind's multiple of its width (craft 12; from memory), starting chains
 * and joins included, and each yarn has two ends wherever it is joined anew. Of several strands held together all are counted.
 */
export function yarnShares(draft: Parts): YarnShare[] {
  const { design } = draft
  const { strands } = design.gauge
  const cords = casingsOf(draft.parts, draft.gauge).flatMap(({ part, yarns }) => {
    const tallies = new Tallies(design)
    for (const { colour, cm } of yarns) tallies.add(colour, strands * cm)
    return tallies.told({ of: 'cords', part: part.id, name: part.name })
  })
  const worked = [...draft.parts.flatMap(part => sharesOfPart(draft, part)), ...cords]
  const { ends } = draftYarnChanges(draft.parts)
  const used = new Set(worked.map(({ yarn }) => yarn))
  const ofEnds = design.yarns.filter(({ id }) => used.has(id)).map(({ id }): YarnShare => ({
    yarn: id, of: 'ends', name: 'Ends', metres: (strands * (ends[id] ?? 2) * END_CM) / 100, stitches: 0,
  }))
  return [...worked, ...ofEnds]
}

/** Metres of each yarn, all its shares together. */
export function yarnNeeds(draft: Draft): YarnNeed[] {
  const shares = yarnShares(draft)
  const { ends } = draftYarnChanges(draft.parts)
  return draft.design.yarns.flatMap((yarn): YarnNeed[] => {
    const own = shares.filter(share => share.yarn === yarn.id)
    if (own.length === 0) return []
    const sum = (what: 'metres' | 'stitches') => own.reduce((all, share) => all + share[what], 0)
    return [{ yarn, stitches: sum('stitches'), ends: ends[yarn.id] ?? 2, metres: sum('metres') }]
  })
}

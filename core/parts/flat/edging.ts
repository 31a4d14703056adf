import { between, choice, count, maybe } from '../field/questions'
import type { ValuesOf } from '../field/spec'
import type { Gauge } from '../../things/gauge/gauge'
import type { Setting } from '../part/part'
import type { Piece } from '../part/piece'
import { type Edge, foundation, foundationOf } from '../../things/round/edge'
import { allAt, each, inOne, type Step } from '../../things/round/step'
import { inTurns } from '../../things/round/turns'
import { work } from '../../things/round/workRound'
import type { WorkedRound } from '../../things/round/workedRound'
import { many } from '../../things/stitch/translate'
import { rowEndCm } from './flat'
import { intoRowEnd } from './seams'

/*
 * Rounds and rows about a flat piece: into its row ends as many stitches as they are tall, at its corners as many as turn them (craft 5,
 * craft 10).
 */

/** An edging about a piece of its own: along which of its sides, how often, how its corners are turned. */
const EDGING = {
  along: choice(
    'Along',
    [
      { value: 'all', name: 'all its sides', does: 'Rounds about the whole piece, with so many stitches in each corner.' },
      { value: 'long', name: 'its long sides', does: 'Rows along both long sides; the ends stay as they are.' },
    ],
    { begins: 'all' },
  ),
  rounds: count('Rounds of it', between(1, 12), { begins: 1, beside: true, usually: between(1, 3) }),
  corner: count('In each corner', between(1, 4), {
    begins: 2, beside: true, suffix: 'sts', usually: between(1, 3), when: (spec: object) =>
      (spec as { readonly edged?: { readonly along: string } }).edged?.along !== 'long',
  }),
} as const

/** Answers of an edging. */
export type Edging = ValuesOf<typeof EDGING>

/** Asks for an edging. */
export const EDGED = maybe('An edging about it', EDGING, {
  without: { name: 'none' }, having: { name: 'of {sc}', does: 'Keeps it from curling, and evens out its row ends.' },
  says: 'Rounds of sc about the piece, or along its long sides.', usuallyNot: true, begin: { along: 'all', rounds: 1, corner: 2 },
})

/** A piece of rows that something is worked about. */
interface EdgedPiece {
  readonly rows: readonly WorkedRound[]
  /** Its first row's stitches: the underside of what it was begun with. */
  readonly wide: number
  readonly colour: string
}

/** So many stitches into each of the next places. */
function intoEach(into: readonly number[]): Step[] {
  return inTurns(into.map(n => (n > 1 ? [inOne('sc', n)] : [each('sc', 1)])))
}

/** A stretch of places, each with so many stitches, the last of them with those of a corner besides. */
function stretch(into: readonly number[], corner: number, landmark?: 'rowEnds' | 'underside'): Step[] {
  const plain = into.slice(0, -1)
  const last = into.at(-1)! + corner - 1
  const steps = [...intoEach(plain), ...intoEach([last])]
  return landmark ? allAt(landmark, steps) : steps
}

function intoEnds(rows: readonly WorkedRound[], gauge: Gauge): number[] {
  return rows.map(row => intoRowEnd(rowEndCm(row, { gauge }), gauge))
}

/** Works a round or a row of an edging; steps that do not come out are this program's mistake. */
function edgingRow(on: Edge, steps: readonly Step[], i: number, join: 'open' | 'slip', colour: string): WorkedRound {
  const result = work(
    {
      steps, colour, join, begin: { chains: 1, counts: false, turn: join === 'open' && i > 0 },
      facing: join === 'open' && i % 2 === 1 ? 'wrong' : 'right',
    },
    on,
  )
  if (!result.ok) throw new Error(`an edging's row ${i + 1} does not come out: ${result.error.code}`)
  return result.worked
}

/** So many rows upon each other; each adds nothing along its side, and a round what its four corners take. */
function upon(
  first: WorkedRound, more: number, join: 'open' | 'slip', corners: readonly number[], corner: number, colour: string,
): WorkedRound[] {
  const worked = [first]
  let turns = [...corners]
  for (let i = 1; i <= more; i++) {
    const { edge } = worked.at(-1)!
    // The middle stitch of each corner's group takes the next group.
    const steps = turns.length === 0
      ? [each('sc', edge.count)]
      : turns.flatMap((place, c): Step[] => {
          const plain = place - (c === 0 ? 0 : turns[c - 1]! + 1)
          return [...(plain > 0 ? [each('sc', plain)] : []), corner > 1 ? inOne('sc', corner) : each('sc', 1)]
        })
    const rest = turns.length === 0 ? 0 : edge.count - turns.at(-1)! - 1
    worked.push(edgingRow(edge, [...steps, ...(rest > 0 ? [each('sc', rest)] : [])], i, join, colour))
    turns = turns.map((place, c) => place + c * (corner - 1) + Math.floor(corner / 2))
  }
  return worked
}

/** The places of an edge of a piece: one for each stitch and each space. */
function alongRow(count: number): number[] {
  return Array<number>(count).fill(1)
}

/** Rounds about a whole piece: along its last row, down its row ends, along its first row's underside, up the other row ends. */
function roundsAbout({ rows, wide, colour }: EdgedPiece, { rounds, corner }: Edging, gauge: Gauge): WorkedRound[] {
  const top = rows.at(-1)!.edge.count
  const ends = intoEnds(rows, gauge)
  const on = foundationOf([
    { kind: 'stitch', count: top }, { kind: 'rowEnd', count: rows.length }, { kind: 'underside', count: wide },
    { kind: 'rowEnd', count: rows.length },
  ])
  const sides = [alongRow(top), [...ends].reverse(), alongRow(wide), ends]
  const [a, b, c, d] = sides.map(side => side.reduce((sum, n) => sum + n, 0) + corner - 1) as [number, number, number, number]
  const first = edgingRow(on, [
    ...stretch(sides[0]!, corner), ...stretch(sides[1]!, corner, 'rowEnds'), ...stretch(sides[2]!, corner, 'underside'),
    ...stretch(sides[3]!, corner, 'rowEnds'),
  ], 0, 'slip', colour)
  const middle = Math.ceil(corner / 2)
  const corners = [a, a + b, a + b + c, a + b + c + d].map(end => end - middle)
  return upon(first, rounds - 1, 'slip', corners, corner, colour)
}

/** Rows along one side of a piece, where its rows end. */
function rowsAlong({ rows, colour }: EdgedPiece, times: number, gauge: Gauge): WorkedRound[] {
  const ends = intoEnds(rows, gauge)
  const first = edgingRow(foundation('rowEnd', rows.length, false), allAt('rowEnds', intoEach(ends)), 0, 'open', colour)
  return upon(first, times - 1, 'open', [], 1, colour)
}

function lengthOf(rows: readonly WorkedRound[], gauge: Gauge): number {
  return rows.at(-1)!.edge.count * gauge.sc.width.cm
}

/** An edging of rows along both sides of a piece that is to be seamed there. */
export function sideEdging(rows: readonly WorkedRound[], times: number, colour: string, { gauge }: Pick<Setting, 'gauge'>): Piece {
  const worked = rowsAlong({ rows, wide: 0, colour }, times, gauge)
  return {
    id: 'edging', name: 'Edging along a side', times: 2, start: { kind: 'chain', chains: 0 }, rows: worked, along: true, colour,
    lead: 'When the last row is done, and before the piece is folded: right side facing, join the yarn at the corner, and work along the '
      + 'row ends; then along the other side likewise.',
    lengthCm: lengthOf(worked, gauge), widthCm: times * gauge.sc.height.cm, free: true, advice: [], finish: [],
  }
}

/** The edging of a piece worked on its own: a piece itself, about the other. */
export function edgingOf(piece: Piece, wide: number, edging: Edging, gauge: Gauge): Piece {
  const edged = { rows: piece.rows, wide, colour: piece.colour }
  const about = edging.along === 'all'
  // Rows that run along a piece end at its short sides: its long sides are then its first and its last row.
  const worked = about
    ? roundsAbout(edged, edging, gauge)
    : piece.along
      ? upon(edgingRow(foundation('stitch', wide, false), [each('sc', wide)], 0, 'open', piece.colour), edging.rounds - 1, 'open', [], 1,
          piece.colour)
      : rowsAlong(edged, edging.rounds, gauge)
  return {
    id: `${piece.id}-edging`, name: `Edging of the ${piece.name.toLowerCase()}`, times: piece.times * (about ? 1 : 2),
    start: { kind: 'chain', chains: 0 }, rows: worked, along: true, colour: piece.colour, lengthCm: lengthOf(worked, gauge),
    widthCm: edging.rounds * gauge.sc.height.cm, free: true, advice: [], finish: [],
    lead: about
      ? `Right side facing, join the yarn at the first stitch of the last row, and work about the whole piece, with `
      + `${many(edging.corner, 'st')} in each corner.`
      : 'Right side facing, join the yarn at the end of a long side, and work along it; then along the other likewise.',
  }
}

/** How much wider and longer an edging makes a piece, all in all. */
export function edgingAddsCm(edging: Edging | undefined, gauge: Gauge): { readonly wide: number, readonly long: number } {
  const both = edging ? 2 * edging.rounds * gauge.sc.height.cm : 0
  return { wide: both, long: edging?.along === 'all' ? both : 0 }
}

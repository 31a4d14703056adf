import type { Draft } from '../../core/bag/draft/draft'
import { type Edge, PLACE_KINDS, type PlaceKind } from '../../core/things/round/edge'
import type { Terms } from '../../core/things/stitch/dictionary'
import type { Abbreviation } from '../../core/readers/words/abbreviations'
import { piecesOf, roundLines, rowLines } from '../../core/readers/words/pattern'
import type { PatternLine } from '../../core/readers/words/lines'
import type { RepeatStyle } from '../../core/readers/words/openingWords'
import { Baffled, countsAs, type Left, type Place, worksLine } from './stranger'

const IS: Readonly<Record<PlaceKind, Place['is']>> = {
  stitch: 'st', space: 'sp', ring: 'ring', chain: 'ch', underside: 'under', rowEnd: 'end', hole: 'hole',
}

/** A foundation as it lies before the stranger: the only thing that is not worked from words. */
export function layingOut(edge: Edge, stitched: boolean): Left {
  const places = Array.from(edge.kinds, (kind, i): Place => {
    const is = IS[PLACE_KINDS[kind]!]
    return { is: stitched && is === 'ch' ? 'st' : is, chains: edge.chains[i]! }
  })
  return { edge: places, closed: edge.closed, at: edge.start }
}

/** How many stitches a fan counts as, as the special stitches say. */
export function fansIn(special: readonly Abbreviation[]): number {
  const told = special.find(({ short }) => short === 'fan')
  return Number(/counts as (\d+) sts/.exec(told?.long ?? '')?.[1] ?? 0)
}

/** What went wrong where, for a message. */
export interface Mismatch {
  readonly line: string
  readonly what: string
}

/** Works a line, and says what its words come to that the draft's edge does not. */
export function against(line: PatternLine, below: Left, edge: Edge, terms: Terms, fans: number, inLoops: boolean): Left | Mismatch {
  const said = `${line.label}: ${line.words}. ${line.count}`
  try {
    const left = worksLine(line.words, below, terms, fans)
    if (countsAs(left, inLoops) !== line.count) return { line: said, what: `comes to ${countsAs(left, inLoops)}` }
    const odd = left.edge.findIndex(({ is, chains }, i) => is !== IS[PLACE_KINDS[edge.kinds[i]!]!] || chains !== edge.chains[i])
    if (left.edge.length !== edge.count || odd >= 0) return { line: said, what: `leaves another edge at place ${odd}` }
    return { ...left, closed: edge.closed }
  }
  catch (error) {
    if (!(error instanceof Baffled)) throw error
    return { line: said, what: error.message }
  }
}

/** The first round above one whose words do not come to what its edge is; each is worked on the edge that is really below it. */
export function firstMismatchAbove(draft: Draft, round: number, terms: Terms, fans: number): Mismatch | undefined {
  const lines = roundLines(draft, terms, 'brackets')
  for (let i = round; i < draft.rounds.length; i++) {
    const { on, edge, round: { inLoops } } = draft.rounds[i]!.worked
    const left = { ...layingOut(on, draft.start.kind === 'foundation-sc'), at: on.start }
    const result = against(lines[i]!, left, edge, terms, fans, inLoops === true)
    if ('what' in result) return result
  }
  return undefined
}

/** Works a whole draft by its words, every round and every row of every piece; what does not come out as the draft says. */
export function mismatches(draft: Draft, terms: Terms, repeats: RepeatStyle, fans: number): { rounds: number, found: Mismatch[] } {
  const found: Mismatch[] = []
  let rounds = 0
  const go = (
    lines: readonly PatternLine[],
    rows: readonly { on: Edge, edge: Edge, round: { inLoops?: boolean } }[],
    stitched: boolean,
  ) => {
    let left: Left | undefined
    lines.forEach((line, i) => {
      const { on, edge, round } = rows[i]!
      const fresh = on.from[0] === -1 || left === undefined
      const result = against(line, fresh ? layingOut(on, stitched) : left!, edge, terms, fans, round.inLoops === true)
      rounds++
      if ('what' in result) {
        found.push(result)
        left = layingOut(edge, false)
      }
      else left = result
    })
  }
  go(
    roundLines(draft, terms, repeats),
    draft.rounds.map(({ worked }) => worked),
    draft.start.kind === 'foundation-sc',
  )
  for (const piece of piecesOf(draft)) go(rowLines(piece, terms, repeats), piece.rows, piece.start.kind === 'foundation-sc')
  return { rounds, found }
}

import { isBase } from '../../bag/draft/fold/draftPart'
import { tape } from '../../things/stitch/translate'
import type { Manner } from '../words/openingWords'
import { type Beat, groupsIn } from './beat'
import { countAfter, tapeAfter } from './checks'
import type { Leg, Route } from './leg'

/** Sorts of things that must not be missed in a round. */
type UpcomingSort = 'marker' | 'corner' | 'side' | 'colour' | 'join' | 'closing' | 'turn' | 'count' | 'tape'

/** Something that comes in a leg, and when. */
interface Upcoming {
  readonly sort: UpcomingSort
  /** The beat it comes with, from 0; the number of beats for what comes when all are done. */
  readonly at: number
  readonly what: string
}

/** The order of telling where several things come at once: first those that cannot be put right later. */
export const IMPORTANCE: readonly UpcomingSort[] = ['colour', 'closing', 'turn', 'corner', 'count', 'tape', 'marker', 'join', 'side']

/** A coming thing as it is seen from where the hook is. */
interface Ahead extends Upcoming {
  /** Beats until then; 0 is now. */
  readonly beats: number
}

/** So many beats before it comes, telling is in time. */
export const IN_TIME_BEATS = 3

/** The beat that makes a thing. */
function beatMaking(beats: readonly Beat[], made: number): number {
  return beats.findIndex(({ from, to }) => made >= from && made < to)
}

function lastDoing(beats: readonly Beat[]): number {
  return beats.findLastIndex(({ said }) => said.say === 'doing')
}

/** Markers besides the one at the start, counted as the pattern does. */
function markers({ draft }: Route, leg: Leg, beats: readonly Beat[]): Upcoming[] {
  const part = draft.parts.find(({ id }) => id === leg.part)
  const marked = leg.sort === 'round' ? (part?.markers?.[leg.number - part.firstRound] ?? []) : []
  const start: Upcoming[] = leg.sort === 'round' && leg.worked?.edge.closed
    ? [{ sort: 'marker', at: Math.max(0, beatMaking(beats, 0)), what: 'Put the marker in the first stitch' }]
    : []
  if (marked.length < 2) return start
  return [
    ...start.filter(() => !marked.includes(0)),
    ...marked.map((made): Upcoming => ({ sort: 'marker', at: beatMaking(beats, made), what: `Marker in stitch ${made + 1}` })),
  ]
}

/** A place of a floor that takes three or more is one of its corners, or an end's turn. */
function corners({ draft }: Route, leg: Leg, beats: readonly Beat[]): Upcoming[] {
  const part = draft.parts.find(({ id }) => id === leg.part)
  if (leg.sort !== 'round' || !part || !isBase(part) || groupsIn(beats) > MOST_CORNERS) return []
  const found: Upcoming[] = []
  beats.forEach(({ said, to, from }, at) => {
    const stitches = to - from
    if (said.say === 'doing' && said.clause.say === 'work' && stitches >= 3)
      found.push({ sort: 'corner', at, what: `${stitches} in one place` })
  })
  return found.length <= MOST_CORNERS ? found : []
}

const MOST_CORNERS = 12

/** Half way round: where the bag folds when it lies flat. */
function sides(leg: Leg, beats: readonly Beat[]): Upcoming[] {
  const edge = leg.worked?.edge
  if (leg.sort !== 'round' || !edge?.closed || edge.count < 12) return []
  return edge.sides
    .filter(side => side > 0 && side < edge.count)
    .map((side): Upcoming => ({ sort: 'side', at: beatMaking(beats, side), what: 'The side of the bag' }))
    .filter(({ at }) => at > 0)
}

function ends(leg: Leg, next: Leg | undefined, beats: readonly Beat[], manner: Manner): Upcoming[] {
  const found: Upcoming[] = []
  const line = leg.line(manner)
  const last = beats.at(-1)?.said
  if (line?.after) found.push({ sort: 'colour', at: lastDoing(beats), what: `Last stitch: ${line.after}` })
  if (last?.say === 'ending')
    found.push(last.ending.end === 'closing'
      ? { sort: 'closing', at: beats.length - 1, what: 'The last loop is closed by a taller stitch' }
      : { sort: 'join', at: beats.length - 1, what: 'Join' })
  const turns = next?.worked?.round.begin.turn && (next.sort === leg.sort)
  if (turns) found.push({ sort: 'turn', at: beats.length, what: 'Turn the work' })
  return found
}

/** A marker in every twentieth chain saves recounts (craft 17). */
function chainMarkers(beats: readonly Beat[]): Upcoming[] {
  return beats.flatMap(({ said, nth, of }, at): Upcoming[] =>
    nth < of && isChains(said) ? [{ sort: 'marker', at, what: `Marker in chain ${nth}` }] : [])
}

function isChains(said: Beat['said']): boolean {
  return said.say === 'telling' || (said.say === 'doing' && said.clause.say === 'chain')
}

/** Questions when a round is done. */
function checks(road: Route, leg: Leg, at: number): Upcoming[] {
  const [count, measure] = [countAfter(road, leg), tapeAfter(road, leg)]
  return [
    ...(count ? [{ sort: 'count', at, what: `Count: ${count.planned} ${count.what}` } as const] : []),
    ...(measure ? [{ sort: 'tape', at, what: `The tape: planned ${tape(measure.plannedCm)}` } as const] : []),
  ]
}

/** Everything that must not be missed in a leg, in order. */
export function upcomingIn(road: Route, index: number, manner: Manner): Upcoming[] {
  const leg = road.legs[index]
  if (!leg) return []
  const beats = leg.beats()
  if (!leg.worked) return chainMarkers(beats)
  return [
    ...markers(road, leg, beats), ...corners(road, leg, beats), ...sides(leg, beats), ...ends(leg, road.legs[index + 1], beats, manner),
    ...chainMarkers(beats), ...checks(road, leg, beats.length),
  ].sort((a, b) => a.at - b.at)
}

/** Things still ahead, the nearest first. */
export function aheadOf(coming: readonly Upcoming[], done: number): Ahead[] {
  return coming.filter(({ at }) => at >= done).map(one => ({ ...one, beats: one.at - done }))
}

/** How many rounds after this one are the same all round, and read alike: television rounds. */
export function alikeAfter(road: Route, index: number, manner: Manner): number {
  const leg = road.legs[index]
  const words = leg?.line(manner)
  let found = 0
  for (let i = index + 1; words && i < road.legs.length; i++, found++) {
    const line = road.legs[i]!.line(manner)
    if (road.legs[i]!.part !== leg!.part || line?.words !== words.words || line.count !== words.count || line.note !== words.note) break
  }
  return found
}

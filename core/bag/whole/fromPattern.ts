import type { BaseSpec } from '../../parts/base/base'
import { stacked } from '../design/partIds'
import type { Design } from '../design/design'
import { newDesign } from '../design/starter'
import type { WallSpec } from '../../parts/wall/wall'
import type { WholeBagWish } from './wholeBags'

/*
 * A pattern that somebody wrote, taken over as far as its counts tell: a round floor by its increases, walls by rounds of one count, and
 * whole rounds in their own words where the count changes otherwise.
 */

/** Rounds of a pattern as they are written: which, and how many stitches each has. */
interface WrittenRounds {
  readonly from: number
  readonly to: number
  readonly count: number
}

const LINE = /^\W*(?:rounds?|rnds?|rows?|r)\s*\.?\s*(\d+)(?:\s*(?:-|–|to)\s*(\d+))?\s*[:.)]?\s*(.*)$/i
const COUNT = /[([]\s*(\d+)\s*(?:sts?|stitches|sc|hdc|dc|htr|tr)?\.?\s*[)\]]\W*$/i

/** The rounds of a written pattern, a line each: `Rnd 3: (sc, inc) around (18)`; lines without a round or a count are left. */
export function readWritten(text: string): { readonly rounds: readonly WrittenRounds[], readonly left: readonly string[] } {
  const rounds: WrittenRounds[] = []
  const left: string[] = []
  for (const line of text.split('\n').map(one => one.trim()).filter(Boolean)) {
    const [, from, to, words = ''] = LINE.exec(line) ?? []
    const count = COUNT.exec(words)?.[1]
    const sound = from !== undefined && count !== undefined && Number(to ?? from) >= Number(from) && Number(count) > 0
    if (!sound) left.push(line)
    else rounds.push({ from: Number(from), to: Number(to ?? from), count: Number(count) })
  }
  return { rounds, left }
}

/** How many rounds from the first on grow by their first count each: a flat disc; 0 if the first is no start of one. */
function discRounds(rounds: readonly WrittenRounds[]): number {
  const first = rounds[0]?.count ?? 0
  if (first < 3 || first > 48 || rounds[0]!.from !== rounds[0]!.to) return 0
  const end = rounds.findIndex(({ from, to, count }, i) => from !== to || count !== first * (i + 1))
  return end < 0 ? rounds.length : end
}

/** Runs of rounds of one count after another. */
function runsOf(rounds: readonly WrittenRounds[]): { readonly count: number, readonly rounds: number }[] {
  const runs: { count: number, rounds: number }[] = []
  for (const { from, to, count } of rounds) {
    const last = runs.at(-1)
    if (last?.count === count) last.rounds += to - from + 1
    else runs.push({ count, rounds: to - from + 1 })
  }
  return runs
}

function plain(rounds: number): WallSpec[] {
  return rounds > 0 ? [{ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main' }] : []
}

function adjustTo(stitches: number): WallSpec {
  return { kind: 'adjust', stitch: 'sc', to: { pin: { stitches } }, mirrored: false, counted: true, colour: 'main' }
}

/** Result of reading a written pattern. */
interface TakenOver {
  readonly design: Design
  /** A report on what was made of it, in words. */
  readonly says: string
  /** Lines that told no round. */
  readonly left: readonly string[]
}

/** A bag as a pattern says it, in the maker's own gauge; nothing where no round with a count can be read. */
export function fromPattern(text: string, { name, gauge, yarn, units = 'cm' }: Omit<WholeBagWish, 'sizes'>): TakenOver | undefined {
  const { rounds, left } = readWritten(text)
  if (rounds.length === 0) return undefined
  const disc = discRounds(rounds)
  const edge = disc > 0 ? rounds[disc - 1]!.count : rounds[0]!.count
  const base: BaseSpec = disc > 0
    ? {
        form: 'circle', stitch: 'sc', increases: rounds[0]!.count, size: { pin: { rounds: disc } }, start: 'ring', placing: 'staggered',
        increaseAt: 'last', colour: 'main',
      }
    : { form: 'tube', stitch: 'sc', size: { pin: { stitches: edge } }, colour: 'main' }
  const runs = runsOf(rounds.slice(disc))
  const wall: WallSpec[] = runs.flatMap(({ count, rounds: number }, i): WallSpec[] => {
    const below = i === 0 ? edge : runs[i - 1]!.count
    return count === below ? plain(number) : [adjustTo(count), ...plain(number - 1)]
  })
  const floor = disc > 0 ? `a round floor of ${disc} rounds, ${edge} stitches` : `a tube of ${edge} stitches`
  const walls = runs.length === 0 ? 'nothing' : `walls of ${runs.map(({ count }) => count).join(', ')} stitches`
  const all = rounds.reduce((sum, { from, to }) => sum + to - from + 1, 0)
  return {
    design: {
      ...newDesign(name), turnUp: 'plain', gauge, units, yarns: [{ id: 'main', ...yarn }], base, wall: stacked(wall),
      note: `Taken over from a written pattern:\n${text}`.slice(0, 4000),
    },
    says: `${all} rounds read: ${floor}, then ${walls}.`,
    left,
  }
}

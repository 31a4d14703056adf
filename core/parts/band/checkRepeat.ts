import { stitchBudget, StitchBudgetExceeded, within } from '../../things/round/stitchBudget'
import { foundation, type Edge } from '../../things/round/edge'
import { bareRound } from '../../things/round/bareRound'
import { firstKind } from '../../things/round/firstKind'
import { placesUsed } from '../../things/round/placesUsed'
import { movesOf } from '../../things/round/things'
import { readLine } from '../../things/repeat/line'
import type { LineTrouble, Repeat } from '../../things/repeat/repeat'
import { chain, each, skip, type Step } from '../../things/round/step'
import { work } from '../../things/round/workRound'
import { explain } from '../../things/round/workError'
import type { FabricKind } from '../../things/stitch/dictionary'
import { type Flow, roundOf, type Texture, type TextureRound, workedOver } from '../texture/texture'
import { flowOf, lineOf } from './repeatFlow'

/** A repeat of a maker's own, checked: its texture, or what is wrong with which line. */
export type OwnRepeatCheck = { readonly ok: true, readonly texture: Texture } | { readonly ok: false, readonly trouble: LineTrouble }

/** More stitches than this a repeat of one's own cannot stand on. */
const WIDEST = 72

/** So many stitches are made at most to find out what it stands on: enough for the most lines on the widest of every ground. */
const MOST_TRIED = 240_000

function worked(round: TextureRound, times: number, on: Edge, row?: { readonly turn: boolean }) {
  return work(bareRound(workedOver(round, times), row), on)
}

/** Edges that a repeat may stand on: how one is made, by its repeats, and how many places each is. */
interface Ground {
  readonly repeat: readonly Step[]
  readonly stands: number
  readonly places: number
}

/** Plain stitches; and for lines that begin on spaces, boxes, open V's and loops. */
const GROUNDS: readonly Ground[] = [
  { repeat: [each('sc', 1)], stands: 1, places: 1 }, { repeat: [each('dc', 1), chain(1), skip(1)], stands: 2, places: 2 },
  { repeat: [{ do: 'group', steps: [each('dc', 1), chain(2), each('dc', 1)] }, skip(2)], stands: 3, places: 3 },
  { repeat: [chain(3), skip(1), each('sc', 1)], stands: 2, places: 2 },
]

/** So many places of a ground to work a repeat on, with a round below that long stitches can reach; nothing if it does not come out. */
function edgeOf({ repeat, stands, places }: Ground, count: number, inRows: boolean): Edge | undefined {
  if (count % places !== 0) return undefined
  const row = inRows ? { turn: false } : undefined
  const stitches = (count / places) * stands
  const below = worked({ repeat: [each('sc', 1)] }, stitches, foundation('stitch', stitches, !inRows), row)
  const made = below.ok ? worked({ repeat }, count / places, below.worked.edge, row) : below
  if (!made.ok) throw new Error('what a repeat stands on can always be worked')
  return made.worked.edge
}

/** How a repeat is tried: on which ground, how many places it and what stands around it take. */
interface Trial {
  readonly ground: Ground
  /** Worked to and fro, each line as it is written. */
  readonly inRows: boolean
  readonly wide: number
  readonly plus: number
}

/** Works so many rounds of a flow over repeats: what every round leaves, or which one fails and why. */
function tried(flow: Flow, rounds: number, { ground, wide, plus, inRows }: Trial, times: number): { readonly counts: number[]
  readonly fails?: string } {
  let on = edgeOf(ground, wide * times + plus, inRows)
  const counts: number[] = []
  if (!on) return { counts, fails: 'does not come out' }
  for (let i = 0; i < rounds; i++) {
    const result = worked(roundOf(flow, i), times, on, inRows ? { turn: i > 0 } : undefined)
    if (!result.ok) return { counts, fails: explain(result.error) }
    on = result.worked.edge
    counts.push(on.count)
  }
  return { counts }
}

/** How a repeat stands: the fewest places over which its first `rounds` rounds come out, two and three side by side. */
function standsOn(flow: Flow, rounds: number, ground: Ground, inRows: boolean): Trial | undefined {
  const { first = [], last = [] } = roundOf(flow, 0)
  const plus = placesUsed(first) + placesUsed(last)
  for (let wide = 1; wide <= WIDEST; wide++) {
    const trial = { ground, wide, plus, inRows }
    if (!tried(flow, rounds, trial, 2).fails && !tried(flow, rounds, trial, 3).fails) return trial
  }
  return undefined
}

/**
 * Checks a repeat by working it: `work` says how many stitches it stands on, and which line does not come out on the one
 * before it.
 *
 * @param inRows to and fro, each line a row as it is worked
 */
export function checkRepeat(repeat: Repeat, inRows = false): OwnRepeatCheck {
  try {
    return within(stitchBudget(MOST_TRIED), () => checked(repeat, inRows))
  }
  catch (beyond) {
    if (beyond instanceof StitchBudgetExceeded) return { ok: false, trouble: tooLong(repeat) }
    throw beyond
  }
}

/** Blames the line that makes the most. */
function tooLong({ lines }: Repeat): LineTrouble {
  const moves = lines.map((text) => {
    const read = readLine(text, 'us')
    return read.ok ? movesOf([...read.line.first, ...read.line.repeat, ...read.line.last]) : 0
  })
  const line = moves.indexOf(Math.max(...moves))
  return {
    line, at: 0, length: lines[line]!.length,
    what: 'this makes more stitches in one repeat than can be tried: a repeat stands on at most ' + `${WIDEST}; write a smaller one`,
  }
}

function checked(repeat: Repeat, inRows: boolean): OwnRepeatCheck {
  const read = flowOf(repeat)
  if ('trouble' in read) return { ok: false, trouble: read.trouble }
  const { flow } = read
  const refuse = (round: number, what: string): OwnRepeatCheck => {
    const line = lineOf(repeat, round)
    return { ok: false, trouble: { line, at: 0, length: repeat.lines[line]!.length, what } }
  }
  const main = firstKind([...flow.setUp, ...flow.cycle].flatMap(round => round.repeat))
  if (!main) return refuse(0, 'a repeat needs a stitch that stands up: sc, hdc, dc or tr')
  // Every line is worked on every line that can lie below it: the cycle twice over.
  const rounds = flow.setUp.length + 2 * flow.cycle.length
  const trials = GROUNDS.flatMap(ground => standsOn(flow, rounds, ground, inRows) ?? [])
  if (trials.length === 0) return refuse(...firstFailure(flow, rounds, inRows))
  const found = trials.map(trial => onGround(flow, rounds, trial, main))
  const sound = found.filter((one): one is Texture => 'asks' in one)
  const [texture, ...instead] = sound
  if (!texture) return refuse(...(found[0] as Uneven).odd)
  return { ok: true, texture: instead.length > 0 ? { ...texture, instead } : texture }
}

/** A repeat that cannot go on: its lines leave different counts. */
interface Uneven {
  readonly odd: [round: number, what: string]
}

/** The texture that a repeat is on one ground. */
function onGround(flow: Flow, rounds: number, trial: Trial, main: FabricKind): Texture | Uneven {
  const { wide, plus, inRows } = trial
  const [two, three] = [2, 3].map(times => tried(flow, rounds, trial, times).counts) as [number[], number[]]
  const gives = three[0]! - two[0]!
  const odd = three.findIndex((count, i) => count - two[i]! !== gives || count !== three[0])
  if (odd > 0) {
    const [own, before] = [odd, odd - 1].map(i => three[i]! - two[i]!)
    return {
      odd: [
        odd,
        own === before
          ? `this line leaves ${three[odd]} stitches of three repeats, the one before ${three[odd - 1]}: all must leave the same`
          : `this line leaves ${own} stitches a repeat, the one before ${before}: all must leave the same`,
      ],
    }
  }
  return {
    asks: { multiple: wide, plus }, gives, givesPlus: two[0]! - 2 * gives, main, across: Math.max(wide, gives), straight: flow,
    ...(inRows ? { asWritten: true as const } : plus > 0 ? { mirrors: true as const } : {}),
  }
}

/** Which round fails first on the width that the rounds before it agree on, and why; told of plain stitches. */
function firstFailure(flow: Flow, rounds: number, inRows: boolean): [round: number, what: string] {
  const [ground] = GROUNDS as readonly [Ground]
  for (let upTo = 1; upTo <= rounds; upTo++) {
    if (standsOn(flow, upTo, ground, inRows)) continue
    const trial = upTo === 1 ? undefined : standsOn(flow, upTo - 1, ground, inRows)
    if (!trial) {
      const { fails } = tried(flow, 1, { ground, wide: 12, plus: 0, inRows }, 2)
      return [0, `does not come out on any number of stitches up to ${WIDEST}, nor on spaces: ${fails ?? ''}`.replace(/: $/, '')]
    }
    const again = upTo > flow.setUp.length + flow.cycle.length ? 'worked again on what the last line leaves: ' : ''
    const over = 2 * trial.wide + trial.plus
    return [upTo - 1, `${again}${tried(flow, upTo, trial, 2).fails ?? tried(flow, upTo, trial, 3).fails} (two repeats side by side, over `
      + `${over})`]
  }
  return [0, 'does not come out']
}

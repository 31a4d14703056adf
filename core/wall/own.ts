import type { SpecOf } from '../kind/kind'
import { ownRepeat } from '../field/ask'
import { allow, BeyondAllowance, within } from '../round/allowance'
import { foundation, type Edge } from '../round/edge'
import { movesOf } from '../round/things'
import { readSteps } from '../repeat/read'
import { type LineTrouble, openingOf, type Repeat } from '../repeat/repeat'
import type { Step } from '../round/step'
import { work } from '../round/work'
import { explain } from '../round/workError'
import { FABRIC_KINDS, type FabricKind } from '../stitch/dictionary'
import { type Flow, roundOf, type Texture, type TextureRound, workedOver } from '../texture/texture'
import { textured } from './textured'

/** A repeat of a maker's own, checked: its texture, or what is wrong with which line. */
export type Checked = { readonly ok: true, readonly texture: Texture } | { readonly ok: false, readonly trouble: LineTrouble }

/** More stitches than this a repeat of one's own cannot stand on. */
const WIDEST = 72

/** So many stitches are made at most to find out what it stands on: enough for the most lines on the widest. */
const MOST_TRIED = 60_000

function worked(round: TextureRound, times: number, on: Edge) {
  return work(
    { steps: workedOver(round, times), begin: { chains: 0, counts: false, turn: false }, join: 'slip', facing: 'right', colour: '' },
    on,
  )
}

/** Plain stitches to work a repeat on, with a round below that long stitches can reach. */
function plainEdge(count: number): Edge {
  const below = worked({ repeat: [{ do: 'stitch', kind: 'sc', times: 1 }] }, count, foundation('stitch', count))
  if (!below.ok) throw new Error('plain stitches can always be worked')
  return below.worked.edge
}

/** Works so many rounds of a flow over repeats of a width: what every round leaves, or which one fails and why. */
function tried(flow: Flow, rounds: number, wide: number, times: number): { readonly counts: number[], readonly fails?: string } {
  let on = plainEdge(wide * times)
  const counts: number[] = []
  for (let i = 0; i < rounds; i++) {
    const result = worked(roundOf(flow, i), times, on)
    if (!result.ok) return { counts, fails: explain(result.error) }
    on = result.worked.edge
    counts.push(on.count / times)
  }
  return { counts }
}

/** How many stitches a repeat stands on: the fewest over which its first `rounds` rounds come out, two and three side by side. */
function widthOf(flow: Flow, rounds: number): number | undefined {
  for (let wide = 1; wide <= WIDEST; wide++) {
    if (!tried(flow, rounds, wide, 2).fails && !tried(flow, rounds, wide, 3).fails) return wide
  }
  return undefined
}

function firstKind(steps: readonly Step[]): FabricKind | undefined {
  for (const step of steps) {
    if ('kind' in step && (FABRIC_KINDS as readonly string[]).includes(step.kind)) return step.kind as FabricKind
    const inside = 'steps' in step ? firstKind(step.steps) : undefined
    if (inside) return inside
  }
  return undefined
}

function flowOf(repeat: Repeat): { readonly flow: Flow } | { readonly trouble: LineTrouble } {
  const setUp: TextureRound[] = []
  const cycle: TextureRound[] = []
  for (const [line, text] of repeat.lines.entries()) {
    const { once, from } = openingOf(text)
    const read = readSteps(text.slice(from), 'us')
    if (!read.ok) return { trouble: { line, at: from + read.at, length: read.length, what: read.what } }
    ;(once ? setUp : cycle).push({ repeat: read.steps })
  }
  if (cycle.length === 0)
    return {
      trouble: {
        line: Math.max(0, repeat.lines.length - 1), at: 0, length: 1,
        what: 'at least one line must be worked over and over: write one without "once:"',
      },
    }
  return { flow: { setUp, cycle } }
}

/** The line that the `i`-th round of a repeat was written in: set-up lines first, in their order. */
function lineOf(repeat: Repeat, i: number): number {
  const lines = repeat.lines.map((text, line) => ({ line, once: openingOf(text).once }))
  const order = [...lines.filter(({ once }) => once), ...lines.filter(({ once }) => !once)]
  const setUps = lines.length - lines.filter(({ once }) => !once).length
  return (order[i] ?? order[setUps + ((i - setUps) % (lines.length - setUps))])!.line
}

/**
 * Checks a repeat by working it: `work` says how many stitches it stands on, and which line does not come out on the one
 * before it.
 */
export function checkRepeat(repeat: Repeat): Checked {
  try {
    return within(allow(MOST_TRIED), () => checked(repeat))
  }
  catch (beyond) {
    if (beyond instanceof BeyondAllowance) return { ok: false, trouble: tooLong(repeat) }
    throw beyond
  }
}

/** Blames the line that makes the most. */
function tooLong({ lines }: Repeat): LineTrouble {
  const moves = lines.map((text) => {
    const read = readSteps(text.slice(openingOf(text).from), 'us')
    return read.ok ? movesOf(read.steps) : 0
  })
  const line = moves.indexOf(Math.max(...moves))
  return {
    line, at: 0, length: lines[line]!.length,
    what: 'this makes more stitches in one repeat than can be tried: a repeat stands on at most ' + `${WIDEST}; write a smaller one`,
  }
}

function checked(repeat: Repeat): Checked {
  const read = flowOf(repeat)
  if ('trouble' in read) return { ok: false, trouble: read.trouble }
  const { flow } = read
  const refuse = (round: number, what: string): Checked => {
    const line = lineOf(repeat, round)
    return { ok: false, trouble: { line, at: 0, length: repeat.lines[line]!.length, what } }
  }
  const main = firstKind([...flow.setUp, ...flow.cycle].flatMap(round => round.repeat))
  if (!main) return refuse(0, 'a repeat needs a stitch that stands up: sc, hdc, dc or tr')
  // Every line is worked on every line that can lie below it: the cycle twice over.
  const rounds = flow.setUp.length + 2 * flow.cycle.length
  const wide = widthOf(flow, rounds)
  if (wide === undefined) return refuse(...firstFailure(flow, rounds))
  const { counts } = tried(flow, rounds, wide, 3)
  const odd = counts.findIndex(count => count !== counts[0])
  if (odd >= 0)
    return refuse(odd, `this line leaves ${counts[odd]} stitches a repeat, the one before ${counts[odd - 1]}: all must leave the same`)
  const gives = counts[0]!
  return { ok: true, texture: { asks: { multiple: wide, plus: 0 }, gives, main, across: Math.max(wide, gives), straight: flow } }
}

/** Which round fails first on the width that the rounds before it agree on, and why. */
function firstFailure(flow: Flow, rounds: number): [round: number, what: string] {
  for (let upTo = 1; upTo <= rounds; upTo++) {
    if (widthOf(flow, upTo) !== undefined) continue
    const wide = upTo === 1 ? undefined : widthOf(flow, upTo - 1)
    if (wide === undefined)
      return [0, `does not come out on any number of stitches up to ${WIDEST}: ${tried(flow, 1, 12, 2).fails ?? ''}`.replace(/: $/, '')]
    const again = upTo > flow.setUp.length + flow.cycle.length ? 'worked again on what the last line leaves: ' : ''
    return [
      upTo - 1,
      `${again}${tried(flow, upTo, wide, 2).fails ?? tried(flow, upTo, wide, 3).fails} (two repeats side by side, over ${2 * wide})`,
    ]
  }
  return [0, 'does not come out']
}

const known = new WeakMap<Repeat, Checked>()

/** The texture of a repeat; none if it cannot be worked. A repeat is checked once, since documents never change. */
export function ownTexture(repeat: Repeat): Texture | undefined {
  let checked = known.get(repeat)
  if (!checked) known.set(repeat, (checked = checkRepeat(repeat)))
  return checked.ok ? checked.texture : undefined
}

/** The repeat that a new one of the maker's own starts from. */
export function firstRepeat(id: string): Repeat {
  return {
    id, name: 'my repeat', lines: ['sc in next, (sc, ch 1, sc) in next, sk next 2 sts', 'sc in next 2, sk next ch-sp, 2 sc in next'],
  }
}

/** A band in a repeat of the maker's own (craft 7). */
export const own = textured({
  band: 'own', group: 'Fabric', name: 'a repeat of your own',
  does: 'Typed in the same abbreviations as the pattern, and checked as you type.',
  title: ({ repeat }, repeats) => repeats.find(({ id }) => id === repeat)?.name ?? '',
  fields: { repeat: ownRepeat({ unasked: true, says: 'The id of one of the design\'s repeats.' }) }, tools: ['own-repeat'],
  begins: ({ repeats }) => ({ repeat: repeats[0]?.id ?? 'own-1' }),
  texture: ({ repeat }, repeats) => {
    const found = repeats.find(({ id }) => id === repeat)
    return found && ownTexture(found)
  },
})

export type OwnSpec = SpecOf<typeof own>

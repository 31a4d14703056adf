import { ownRepeat } from '../field/questions'
import type { ValuesOf } from '../field/spec'
import { IN_ROUNDS } from '../kind/inRounds'
import { kind } from '../kind/kind'
import { times } from '../../things/measure/length'
import type { Demand } from '../part/asks'
import { type PartResult, stopped, type WallSetting, workUp } from '../part/part'
import { readLine } from '../../things/repeat/line'
import type { LineTrouble, Repeat } from '../../things/repeat/repeat'
import { foundation, type Edge, placesOf } from '../../things/round/edge'
import type { Round } from '../../things/round/round'
import type { Step } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import { explain, type WorkError } from '../../things/round/workError'
import type { FabricKind } from '../../things/stitch/dictionary'
import { riseCm, workedOver } from '../texture/texture'
import { bareRound } from '../../things/round/bareRound'
import { firstKind } from '../../things/round/firstKind'
import { placesUsed } from '../../things/round/placesUsed'

/*
 * Rounds written freely: each line is a whole round on what lies below it, read as patterns write rounds. A round of another stitch, one of
 * increases at chosen places, or anything else that no kind of part does.
 */

const fields = { repeat: ownRepeat({ unasked: true, says: 'The id of what holds the rounds, a line each.' }), ...IN_ROUNDS } as const

type WrittenSpec = ValuesOf<typeof fields> & { readonly colour: string }

/** A line as a round on an edge, or what in it cannot be read. */
type LineOn = { readonly ok: true, readonly steps: readonly Step[] } | { readonly ok: false, readonly what: string }

function lineOn(line: string, on: Edge): LineOn {
  const read = readLine(line, 'us')
  if (!read.ok) return { ok: false, what: read.what }
  const { line: { first, repeat, last }, around } = read
  if (!around) return { ok: true, steps: repeat }
  // Around is as often as the places below hold it, or the spaces where it goes into those alone.
  const left = on.count - placesUsed(first) - placesUsed(last)
  const ways = [left / placesUsed(repeat), placesOf(on, 'space') / placesUsed(repeat)].filter(times => Number.isInteger(times) && times > 0)
  const all = ways.map(times => workedOver({ first, repeat, last }, times))
  const steps = all.find(one => work(bareRound(one), on).ok) ?? all[0]
  return steps ? { ok: true, steps } : { ok: false, what: `its repeat does not go into the ${left} stitches that are there for it` }
}

function linesOf({ repeat }: WrittenSpec, repeats: readonly Repeat[]): readonly string[] | undefined {
  return repeats.find(({ id }) => id === repeat)?.lines
}

/** The beginning of a new part of rounds: a plain round, on any count. */
export function firstRounds(id: string): Repeat {
  return { id, name: 'my rounds', lines: ['*sc in next st; rep from * around'] }
}

/** Rounds checked by working them: what they leave, or what is wrong with which line. */
type RoundsChecked = { readonly ok: true, readonly leaves: number } | { readonly ok: false, readonly trouble: LineTrouble }

/** Works rounds on an edge, each on the one below it. */
export function checkRounds(lines: readonly string[], edge: Edge): RoundsChecked {
  let on = edge
  for (const [line, text] of lines.entries()) {
    const read = lineOn(text, on)
    const result = read.ok ? work(bareRound(read.steps), on) : undefined
    if (!result?.ok) {
      const what = read.ok ? explain((result as { error: WorkError }).error) : read.what
      return { ok: false, trouble: { line, at: 0, length: text.length, what } }
    }
    on = result.worked.edge
  }
  return { ok: true, leaves: on.count }
}

const known = new WeakMap<readonly string[], Map<number, number | undefined>>()

/** The same, each count worked once. */
function leaves(lines: readonly string[], count: number): number | undefined {
  let found = known.get(lines)
  if (!found) known.set(lines, (found = new Map()))
  if (!found.has(count)) {
    const checked = checkRounds(lines, foundation('stitch', count))
    found.set(count, checked.ok ? checked.leaves : undefined)
  }
  return found.get(count)
}

function demandOf(spec: WrittenSpec, repeats: readonly Repeat[]): Demand | undefined {
  const lines = linesOf(spec, repeats)
  return lines && {
    asks: { multiple: 1, plus: 0, takes: count => leaves(lines, count) !== undefined }, leaves: count => leaves(lines, count) ?? count,
  }
}

/** The stitch that most of the lines begin with. */
function mainOf(lines: readonly string[]): FabricKind {
  const on = foundation('stitch', 1000)
  for (const line of lines) {
    const read = lineOn(line, on)
    const found = read.ok ? firstKind(read.steps) : undefined
    if (found) return found
  }
  return 'sc'
}

/** Works rounds as they are written, each on the one below it. */
function workWritten(spec: WrittenSpec, edge: Edge, setting: WallSetting): PartResult {
  const { gauge } = setting
  const lines = linesOf(spec, setting.repeats) ?? []
  const main = mainOf(lines)
  const nothing = { height: times(gauge[main].height, 0), circumference: times(gauge[main].width, edge.count) }
  let unread: string | undefined
  const { rounds, edge: top, stop } = workUp(edge, lines.length, setting, (i, on): Round => {
    const read = lineOn(lines[i]!, on)
    if (!read.ok) unread ??= `Line ${i + 1} cannot be read: ${read.what}.`
    return inStyle(setting, i, main, spec.colour, read.ok ? read.steps : [])
  })
  const what = unread ?? (lines.length === 0 ? 'No round is written here yet.' : undefined)
  if (what) return stopped(edge, nothing, { code: 'written-unread', weight: 'stop', what })
  if (stop) return stopped(edge, nothing, stop)
  const rises = rounds.map(({ round }) => riseCm(round.steps, gauge))
  const height = rises.reduce((sum, rise) => ({ cm: sum.cm + rise.cm, plusMinusCm: sum.plusMinusCm + rise.plusMinusCm }), {
    cm: 0, plusMinusCm: 0,
  })
  return {
    rounds, edge: top, size: { height, circumference: times(gauge[main].width, top.count) }, rises: rises.map(({ cm }) => cm), findings: [],
    arounds: rounds.map(({ edge: { count } }) => count * gauge[main].width.cm),
  }
}

/** Rounds written freely (craft 7). */
export const written = kind({
  kind: 'written', group: 'Shaping', name: 'rounds written out', shapes: true,
  does: 'Whole rounds in your own words: one of another stitch, or of increases just where you want them.',
  title: ({ repeat }, repeats) => repeats.find(({ id }) => id === repeat)?.name ?? 'rounds written out',
  fields, tools: ['own-round'], sample: { on: 'itself' }, begins: ({ repeats }) => ({ repeat: repeats[0]?.id ?? 'own-1' }),
  demand: (spec, { repeats }) => demandOf(spec, repeats), main: (spec, { repeats }) => mainOf(linesOf(spec, repeats) ?? []),
  work: workWritten,
})

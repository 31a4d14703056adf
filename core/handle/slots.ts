import { times } from '../measure/length'
import type { Finding } from '../part/finding'
import type { Handle } from '../part/handle'
import { type PartResult, type Setting, type Size, stopped, workUp } from '../part/part'
import type { Edge } from '../round/edge'
import { runAt } from '../round/freeRuns'
import type { Begin, Round } from '../round/round'
import { at, chain, each, inOne, skip, type Step, together } from '../round/step'
import { inStyle } from '../round/style'
import type { Worked } from '../round/worked'
import { lengthForDrop } from './drop'
import { markedAnew, nudgeRoom, type Placing, placed, placesNear, stitchesBefore } from './placing'
import { faces, gripOf, offPlace } from './rim'

/** Stitches a handle can be worked in. */
export const HANDLE_STITCHES = ['sc', 'hdc', 'dc'] as const
/** How the round above works a handle's chain: into its chains, into the bumps on their backs, or around the chain as a whole. */
export const INTO = ['chains', 'bumps', 'over'] as const

/** How long a handle's chain is: as long as what it skips; long enough for a drop; or so many chains. */
export type SlotChains = { readonly want: { readonly hole: true } } | { readonly want: { readonly dropCm: number } } | { readonly pin: { readonly chains: number } }

/**
 * Openings in the rim with a chain over each: hand holes if the chain is as long as what is skipped, handles if it is longer
 * (handbook 10). Chain straps are the same from corner to corner, with a round worked over everything.
 */
interface Slotted<B extends string> {
  readonly band: B
  readonly number: 1 | 2
  readonly width: Size<{ readonly widthCm: number }, { readonly stitches: number }>
  readonly chains: SlotChains
  readonly into: (typeof INTO)[number]
  /** Rounds above the one that works the chains which draw body and handle together at the corners. */
  readonly corners: number
  /** Rounds above the slots, the first of which works the chains: they give the handle its width. */
  readonly rounds: number
  readonly stitch: (typeof HANDLE_STITCHES)[number]
  /** Stitches that the first slot is moved on from the middle of its face, the second one mirroring it. */
  readonly nudge: number
  /** Where the maker marked the first side anew: so many stitches on from the start of the round. */
  readonly sideAt?: number
  readonly colour: string
}

export type SlotsSpec = Slotted<'slots'> | Slotted<'chain-straps'>

/** What the slots of a spec come to on an edge. */
export interface Slots {
  /** Stitches that each is to skip; its place is within the rim even where it does not fit there. */
  readonly skipped: number
  readonly placing: Placing
  readonly chains: number
  /** Chains for each stitch skipped are more than that: it hangs as a handle. */
  readonly hangs: boolean
}

/** Fewest stitches from slot to slot: a corner needs some to hold on to (from memory). */
export const LEAST_BETWEEN = 3

/** Stitches that each slot skips. */
function skippedBy({ width }: SlotsSpec, count: number, stitchCm: number): number {
  return 'pin' in width ? width.pin.stitches : placesNear(count, width.want.widthCm / stitchCm, 'faces')
}

function chainsFor({ chains }: SlotsSpec, skipped: number, stitchCm: number): number {
  if ('pin' in chains) return chains.pin.chains
  if ('hole' in chains.want) return skipped
  return Math.max(skipped, Math.round(lengthForDrop(chains.want.dropCm, skipped * stitchCm) / stitchCm))
}

/** Where slots lie on an edge, and how long their chains are; whether they fit there or not. */
export function slotsOn(spec: SlotsSpec, edge: Edge, setting: Pick<Setting, 'gauge'>, turn: boolean): Slots {
  const stitchCm = setting.gauge[spec.stitch].width.cm
  const marked = markedAnew(edge, turn, spec.sideAt)
  const skipped = skippedBy(spec, edge.count, stitchCm)
  const chains = chainsFor(spec, skipped, stitchCm)
  const places = Math.min(skipped, Math.floor(edge.count / 2))
  const room = Math.max(0, nudgeRoom(edge, places) - 1)
  return { skipped, placing: placed(marked, places, 'faces', Math.min(room, Math.max(-room, spec.nudge))), chains, hangs: chains > skipped }
}

/** The slots in the order that the round meets them: how many stitches come before each. */
function met(placing: Placing, number: 1 | 2, edge: Edge, turn: boolean): { readonly along: number, readonly before: number[] } {
  const { places, gaps } = placing
  const before = placing.firsts.slice(0, number).map(first => stitchesBefore(edge, turn, first, places))
  // A round cannot start within a slot, nor at its very foot, where corners are drawn together: the start moves on to the side.
  const over = before.find(one => one < 2 || one + places >= edge.count)
  const along = over === undefined ? 0 : (over + places + Math.max(1, Math.floor(Math.min(...gaps) / 2))) % edge.count
  return { along, before: before.map(one => (one - along + edge.count) % edge.count).sort((a, b) => a - b) }
}

function slotSteps({ stitch }: SlotsSpec, { placing: { places }, chains }: Slots, before: readonly number[], count: number): Step[] {
  const plain = (stitches: number) => stitches > 0 ? [each(stitch, stitches)] : []
  let done = 0
  const steps = before.flatMap((first): Step[] => {
    const run = [...plain(first - done), chain(chains), skip(places)]
    done = first + places
    return run
  })
  return [...steps, ...plain(count - done)]
}

/** The edge that the slots' round leaves, its chains marked as free. */
function withFree(edge: Edge, chains: number, bridges: number): Edge {
  const free = Array.from(edge.chains).flatMap((run, i) => run === chains && edge.kinds[i] !== 0 ? [{ from: i, to: (i + 1) % edge.count, bridges }] : [])
  return { ...edge, free: [...edge.free ?? [], ...free] }
}

/** Every place of an edge in the order that the next round meets it. */
function metInOrder({ count, start }: Edge, turn: boolean): number[] {
  return Array.from({ length: count }, (_, reading) => ((turn ? start - reading : start + reading) + count) % count)
}

/** The first round above the slots: a stitch in every stitch, and one for every chain. */
function overChains(on: Edge, turn: boolean, { stitch, into }: SlotsSpec): Step[] {
  const steps: Step[] = []
  for (const place of metInOrder(on, turn)) {
    const last = steps.at(-1)
    const chains = on.chains[place]!
    if (chains > 0 && runAt(on)[place]! > 0) steps.push(into === 'over' ? at('overBridge', inOne(stitch, chains)) : at('bridge', { ...each(stitch, chains, into === 'bumps' ? 'bump' : undefined), aim: 'chains' }))
    else if (last?.do === 'stitch' && !last.landmark) steps[steps.length - 1] = each(stitch, last.times + 1)
    else steps.push(each(stitch, 1))
  }
  return steps
}

/** A round that works two together wherever body and handle meet: the last stitch of one and the first of the other. */
function cornerRound(on: Edge, turn: boolean, { stitch }: SlotsSpec): Step[] {
  const mask = runAt(on)
  const order = metInOrder(on, turn).map(place => mask[place]!)
  const pairs = new Set(order.flatMap((run, i) => i > 0 && run !== order[i - 1] ? [i - 1] : []))
  const steps: Step[] = []
  for (let i = 0; i < order.length; i += pairs.has(i) ? 2 : 1) {
    const last = steps.at(-1)
    if (pairs.has(i)) steps.push(together(stitch))
    else if (last?.do === 'stitch') steps[steps.length - 1] = each(stitch, last.times + 1)
    else steps.push(each(stitch, 1))
  }
  return steps
}

/** Every run of body and handle needs so many stitches to give one at each of its two corners. */
const CORNER_RUN = 4

/** Whether every handle, and the body between them, has enough stitches left to give one at each corner. */
function hasCorners(on: Edge): boolean {
  const mask = runAt(on)
  const first = mask.findIndex((run, i) => run !== mask[(i + on.count - 1) % on.count])
  let length = 0
  for (let i = 1; i <= on.count; i++) {
    length++
    if (mask[(first + i) % on.count] === mask[(first + i - 1) % on.count]) continue
    if (length < CORNER_RUN) return false
    length = 0
  }
  return first >= 0
}

/** Rounds alike but for what they do at the corners: the words of what was placed. */
export function runsWords(before: readonly number[], places: number, count: number): string {
  const parts: string[] = []
  let done = 0
  for (const first of before) {
    parts.push(String(first - done), `slot ${places}`)
    done = first + places
  }
  return [...parts, String(count - done)].join(', ')
}

const ROOMLESS = 'Ask for narrower slots, or widen the rim below.'

function tooWide({ number }: SlotsSpec, { skipped: places, chains }: Slots, count: number): Finding | undefined {
  const most = Math.floor((count - 2 * LEAST_BETWEEN) / 2)
  if (places > most) return { code: 'slots-too-wide', weight: 'stop', what: `${number === 2 ? 'Two slots' : 'A slot'} of ${places} stitches ${number === 2 ? 'do' : 'does'} not fit on ${count}: at most ${Math.max(0, most)} leave ${LEAST_BETWEEN} between. ${ROOMLESS}`, ...(most > 0 ? { fix: { label: `Slots of ${most} stitches`, changes: [{ path: ['width'], value: { pin: { stitches: most } } }] } } : {}) }
  return chains < places
    ? { code: 'slot-chain-short', weight: 'stop', what: `A chain of ${chains} over ${places} skipped stitches would pull the rim together. Give it at least ${places}.`, fix: { label: `A chain of ${places}`, changes: [{ path: ['chains'], value: { want: { hole: true } } }] } }
    : undefined
}

function placeFindings(spec: SlotsSpec, { placing }: Slots): Finding[] {
  return offPlace(placing, spec, spec.number === 2 ? 'The slots' : 'The slot')
}

function flops(spec: SlotsSpec, { hangs }: Slots): Finding[] {
  if (!hangs) return []
  if (spec.corners === 0) {
    return [{
      code: 'handles-flop', weight: 'watch', what: 'Without decreases where handle and body meet, the handles fold over and flop. Draw them together at the corners in the next round or two.',
      fix: { label: 'Draw the corners together once', changes: [{ path: ['corners'], value: 1 }, { path: ['rounds'], value: Math.max(2, spec.rounds) }] },
    }]
  }
  return []
}

function tallies(rounds: readonly Worked[], count: number): Finding {
  return { code: 'rim-counts', weight: 'note', what: `The rim goes from ${count} stitches to ${rounds.slice(1).map(({ edge }) => edge.count).join(', then ')}.` }
}

function noteFor(i: number, spec: SlotsSpec, rounds: readonly Worked[]): string | undefined {
  if (i === 0) return 'Work the chains loosely: they are the inside of the handle.'
  const drawn = rounds[i - 1]!.edge.count - rounds[i]!.edge.count
  if (i > 1 && drawn > 0) return `Corners: ${drawn} fewer.`
  return i === 1 && spec.into === 'chains' ? 'If the chains gap, work into their back bumps instead.' : undefined
}

function handlesOf(spec: SlotsSpec, { placing, chains, hangs }: Slots, edge: Edge, setting: Setting): Handle[] {
  if (!hangs) return []
  const { width, height } = setting.gauge[spec.stitch]
  return faces(edge, setting, placing.firsts, placing.places).slice(0, spec.number).map(({ name, feet }): Handle => ({
    name: spec.number === 2 ? `Handle, ${name}` : 'Handle', feet, lies: 'along', lengthCm: chains * width.cm, gapCm: placing.places * width.cm, widthCm: spec.rounds * height.cm,
    strands: spec.rounds, footStitches: Math.floor(Math.min(...placing.gaps) / 2), aboveCm: height.cm, colour: spec.colour,
  }))
}

function inFrom(begin: Begin, along: number): Begin {
  return along > 0 ? { ...begin, along } : begin
}

/** Works slots: the round that leaves them, and the rounds above it. */
export function slots(spec: SlotsSpec, edge: Edge, setting: Setting): PartResult {
  const { width, height } = setting.gauge[spec.stitch]
  const nothing = { height: times(height, 0), circumference: times(width, edge.count) }
  if (edge.free) return stopped(edge, nothing, { code: 'slots-twice', weight: 'stop', what: 'The rim below has slots already, and these would be worked on its handles. Take one of the two out.' })
  const round = (i: number, steps: readonly Step[]): Round => inStyle(setting.rounds, setting.turns + i, spec.stitch, spec.colour, steps)
  const turnFirst = round(0, [each(spec.stitch, 1)]).begin.turn
  const found = slotsOn(spec, edge, setting, turnFirst)
  const wide = tooWide(spec, found, edge.count)
  if (wide) return stopped(edge, nothing, wide)
  const { along, before } = met(found.placing, spec.number, edge, turnFirst)
  const first = workUp(edge, 1, setting, () => {
    const plain = round(0, slotSteps(spec, found, before, edge.count))
    return { ...plain, begin: inFrom(plain.begin, along) }
  })
  if (first.stop) return stopped(edge, nothing, first.stop)
  const open = withFree(first.edge, found.chains, found.placing.places)
  let short = false
  const above = workUp(open, spec.rounds, { ...setting, index: setting.index + 1 }, (i, on) => {
    const { turn } = round(i + 1, [each(spec.stitch, 1)]).begin
    if (i === 0) return round(1, overChains(on, turn, spec))
    const drawing = i <= spec.corners
    if (drawing && !hasCorners(on)) short = true
    return round(i + 1, drawing && hasCorners(on) ? cornerRound(on, turn, spec) : [each(spec.stitch, on.count)])
  })
  const rounds = [{ ...first.rounds[0]!, edge: open }, ...above.rounds]
  const wanting = spec.corners > spec.rounds - 1
  return {
    rounds, edge: above.edge,
    size: { height: times(height, rounds.length), circumference: times(width, above.edge.count) },
    grip: gripOf(edge, setting, found.placing),
    handles: handlesOf(spec, found, edge, setting),
    notes: rounds.map((_, i) => noteFor(i, spec, rounds)),
    advice: adviceFor(found, along, before, edge.count),
    findings: above.stop
      ? [above.stop]
      : [
          { code: 'slot-runs', weight: 'note', what: `From the start of the round: ${runsWords(before, found.placing.places, edge.count)}. ${chainWords(found, spec)}` },
          tallies(rounds, edge.count), ...placeFindings(spec, found), ...flops(spec, found),
          ...(short || wanting ? [{ code: 'corners-short', weight: 'watch' as const, what: wanting ? `Corners are drawn together in rounds above the one that works the chains: ${spec.corners} of them take at least ${spec.corners + 1} rounds. There are ${spec.rounds}.` : 'There are too few stitches left at the corners to draw together in every round that should.' }] : []),
        ],
  }
}

function chainWords({ chains, hangs, placing: { places } }: Slots, { number }: SlotsSpec): string {
  const told = number === 2 ? `chains of ${chains} over them` : `a chain of ${chains} over it`
  return `${told[0]!.toUpperCase()}${told.slice(1)}: ${hangs ? `${chains - places} more than are skipped, so ${number === 2 ? 'they hang as handles' : 'it hangs as a handle'}` : `as many as are skipped, so ${number === 2 ? 'they are hand holes' : 'it is a hand hole'}`}.`
}

function adviceFor({ placing: { places } }: Slots, along: number, before: readonly number[], count: number): string[] {
  return [
    `Flatten the bag and put markers where each slot begins and ends. From the start of the round: ${runsWords(before, places, count)}.`,
    ...(along > 0 ? [`The old start lies in a slot, or at its very foot: go on to the side with ${along} {slst}, or fasten off and join there.`] : []),
  ]
}

/** Stitches that slots leave of a count, without working them; nothing if they do not fit. */
export function slotsGive(spec: SlotsSpec, edge: Edge, gauge: Setting['gauge']): number | undefined {
  const found = slotsOn(spec, edge, { gauge }, false)
  if (tooWide(spec, found, edge.count)) return undefined
  const { placing: { places, gaps } } = found
  // What is drawn together at a corner belongs to the body, which so keeps its stitches; the handle loses one at each end.
  const body = spec.number === 2 ? Math.min(...gaps) : edge.count - places
  let { chains } = found
  let count = edge.count + spec.number * (chains - places)
  for (let i = 1; i <= Math.min(spec.corners, spec.rounds - 1) && body >= CORNER_RUN && chains >= CORNER_RUN; i++) {
    count -= 2 * spec.number
    chains -= 2
  }
  return count
}

/** The fewest stitches that slots can be worked on: both slots, and what has to be left between them. */
export function slotsNeed({ width, stitch }: SlotsSpec, gauge: Setting['gauge']): number {
  return 2 * (LEAST_BETWEEN + ('pin' in width ? width.pin.stitches : Math.max(1, Math.round(width.want.widthCm / gauge[stitch].width.cm))))
}

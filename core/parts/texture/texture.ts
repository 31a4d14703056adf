import { same } from '../../things/measure/same'
import type { Gauge } from '../../things/gauge/gauge'
import type { Step } from '../../things/round/step'
import type { FabricKind } from '../../things/stitch/dictionary'
import type { Asks, Demand } from '../part/asks'

/** One round of a texture: what opens and what closes the round, and its repeat between, worked as often as the count holds it. */
export interface TextureRound {
  readonly first?: readonly Step[]
  readonly repeat: readonly Step[]
  readonly last?: readonly Step[]
}

/** Rounds worked once, then rounds worked over and over. */
export interface Flow {
  readonly setUp: readonly TextureRound[]
  readonly cycle: readonly TextureRound[]
}

/**
 * A stitch pattern as a declaration: what it asks of the count below, its repeat in steps round by round, and what it
 * gives. `workTexture` turns it into rounds; nothing else is needed for a further one.
 *
 * In turned rounds the edge below is met from its other end, so a repeat that is not the same both ways says how it is
 * worked then (`turned`).
 */
export interface Texture {
  readonly asks: Asks
  /** Places a repeat leaves for the next part. */
  readonly gives: number
  /** Places that what stands around the repeats leaves; as many as are asked `plus` if left out. */
  readonly givesPlus?: number
  /** The stitch that gives the fabric its width, and stands at a round's start. */
  readonly main: FabricKind
  /** How many of its stitches wide a repeat lies; as many as it stands on if left out, since skipped ones still hold it open. */
  readonly across?: number
  readonly straight: Flow
  readonly turned?: Flow
  /** The same on other edges, on spaces say: taken where this one cannot be begun on what really lies below. */
  readonly instead?: readonly Texture[]
  /** Turned, it is always worked as its own mirror, from past the join: what stands around its repeats then changes ends. */
  readonly mirrors?: true
  /** Worked to and fro, every row is written as it is worked, whichever side faces; others are told as they look from the right side. */
  readonly asWritten?: true
  /** Tall groups stand on single stitches and singles on the groups: it rises as a column of them does, not as the mean of its stitches. */
  readonly interlocks?: true
  /** A round that closes the band off, on top of its others. */
  readonly finish?: TextureRound
}

/** The `i`-th round of a flow, counted from 0. */
export function roundOf({ setUp, cycle }: Flow, i: number): TextureRound {
  return setUp[i] ?? cycle[(i - setUp.length) % cycle.length]!
}

/** The same round over and over. */
export function always(...repeat: readonly Step[]): Flow {
  return { setUp: [], cycle: [{ repeat }] }
}

/** A repeat worked `times` over; one run of plain stitches stays one run. */
export function workedOver({ first = [], repeat, last = [] }: TextureRound, times: number): Step[] {
  if (times === 0) return [...first, ...last]
  // What opens it as every repeat does is one repeat more.
  if (first.length > 0 && same(first, repeat)) return workedOver({ repeat, last }, times + 1)
  const only = repeat.length === 1 ? repeat[0] : undefined
  const run = only?.do === 'stitch' && only.aim !== 'gap' && only.aim !== 'same' ? { ...only, times: only.times * times } : undefined
  if (only?.do === 'repeat') return [...first, { ...only, times: only.times * times }, ...last]
  return [...first, run ?? { do: 'repeat', times, steps: repeat }, ...last]
}

/** Every stitch of steps, with how far it reaches; by column, what goes into one place counts once. */
function stitchesOf(steps: readonly Step[], byColumn: boolean): { kind: FabricKind, times: number, deep: boolean }[] {
  return steps.flatMap((step) => {
    switch (step.do) {
      case 'stitch': return [{ kind: step.kind as FabricKind, times: step.times, deep: step.aim === 'below' || step.aim === 'gapBelow' }]
      case 'group': {
        const inside = stitchesOf(step.steps, byColumn)
        const all = byColumn ? inside.reduce((sum, { times }) => sum + times, 0) : 1
        return inside.map(one => ({ ...one, times: one.times / all }))
      }
      case 'together': return [{ kind: step.kind as FabricKind, times: 1, deep: false }]
      case 'repeat': return stitchesOf(step.steps, byColumn).map(one => ({ ...one, times: one.times * step.times }))
      default: return []
    }
  })
}

/**
 * How much a round of these steps rises, in stitch heights of each kind: the mean of its stitches, since taller ones bow
 * over shorter ones (from memory). Long stitches reach down and add nothing of their own; a round of chains and slip
 * stitches alone hardly rises.
 *
 * @param byColumn of rounds that interlock: the mean of its places, however many stitches crowd into one
 */
export function riseCm(steps: readonly Step[], gauge: Gauge, byColumn = false): { readonly cm: number, readonly plusMinusCm: number } {
  const all = stitchesOf(steps, byColumn)
  const own = all.filter(({ deep, kind }) => !deep && gauge[kind].height.cm > 0)
  const counted = own.length > 0 ? own : all
  const count = counted.reduce((sum, { times }) => sum + times, 0) || 1
  const mean = (what: 'cm' | 'plusMinusCm') => counted.reduce((sum, { kind, times }) => sum + times * gauge[kind].height[what], 0) / count
  return { cm: mean('cm'), plusMinusCm: mean('plusMinusCm') }
}

/** How much a round of a texture rises on the mean, of those that are worked over and over. */
export function meanRise({ straight: { cycle }, interlocks }: Texture, gauge: Gauge): number {
  const rises = cycle.map(({ first = [], repeat, last = [] }) =>
    riseCm(repeat.length > 0 ? repeat : [...first, ...last], gauge, interlocks === true).cm)
  return rises.reduce((sum, cm) => sum + cm, 0) / cycle.length
}

/** Repeats that a texture's count comes to, each leaving so many. */
export function demandOfTexture({ asks, gives, givesPlus = asks.plus }: Texture): Demand {
  return { asks, leaves: stitches => ((stitches - asks.plus) / asks.multiple) * gives + givesPlus }
}

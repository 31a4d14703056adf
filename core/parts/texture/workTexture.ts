import { times } from '../../things/measure/length'
import type { Finding } from '../part/finding'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped, workUp } from '../part/part'
import { type Edge, placesOf } from '../../things/round/edge'
import type { Round } from '../../things/round/round'
import type { Loop, Step } from '../../things/round/step'
import { fabricInStyle, facingOf, facingOfRow, type RoundSetting, inRow, type Rounds } from '../../things/round/style'
import { bareRound } from '../../things/round/bareRound'
import { work } from '../../things/round/workRound'
import { isPlainly, mirrored } from './mirrored'
import { asksWords, divides, nearestCounts } from '../part/asks'
import type { Bandlike } from './bandlike'
import { type Flow, riseCm, roundOf, type Texture, type TextureRound, workedOver } from './texture'

const OPPOSITE: Partial<Record<Loop, Loop>> = { frontPost: 'backPost', backPost: 'frontPost' }

/** Posts that stand out on the right side are worked from behind when the wrong side faces, and the other way about. */
function fromBehind(steps: readonly Step[]): Step[] {
  return steps.map((step) => {
    if (step.do === 'repeat') return { ...step, steps: fromBehind(step.steps) }
    const loop = 'loop' in step && step.loop ? OPPOSITE[step.loop] : undefined
    return loop ? { ...step, loop } : step
  })
}

/** The yarn of a band's `i`-th round. */
export function colourAt({ colour, stripes }: Pick<Bandlike, 'colour' | 'stripes'>, i: number): string {
  if (!stripes || stripes.length === 0) return colour
  let left = i % stripes.reduce((sum, { rounds }) => sum + rounds, 0)
  for (const stripe of stripes) {
    if (left < stripe.rounds) return stripe.colour
    left -= stripe.rounds
  }
  return colour
}

/** The rounds whose heights add up nearest to a wanted one; at least one, and no more than can be worked. */
export function roundsForHeight(heightCm: number, rise: (i: number) => number): number {
  let tall = rise(0)
  let count = 1
  // Of two as near the lower: what is the same but for the last digit of a float is one height.
  const nearer = () => Math.abs(tall + rise(count) - heightCm) < Math.abs(tall - heightCm) - 1e-9
  while (count <= MOST_ROUNDS && nearer()) tall += rise(count++)
  return count
}

/** Where a count does not divide by what a texture asks. */
function notDividing(texture: Texture, count: number): Finding {
  const { below, above } = nearestCounts(count, texture.asks)
  const nearest = below === undefined ? `at least ${above}` : `${below} or ${above}`
  return {
    code: 'does-not-divide', weight: 'stop',
    what: `This band asks for ${asksWords(texture.asks)}, and ${count} stitches come up from below; it could be worked on ${nearest}. `
      + 'Add an adjusting round below it, or change the base.',
  }
}

/** Posts and long stitches want stitches below them, not chains. */
function overSpaces(texture: Texture, edge: Edge): Finding[] {
  if (!placesOf(edge, 'space')) return []
  const first = texture.straight.setUp[0] ?? texture.straight.cycle[0]!
  const grips = first.repeat.some(step => 'loop' in step && (step.loop === 'frontPost' || step.loop === 'backPost'))
  return grips
    ? [
        {
          code: 'posts-on-spaces', weight: 'watch',
          what: 'Its first round goes around posts, and there are chain spaces below it: work one plain round first, a stitch in each '
            + 'stitch and each space.',
        },
      ]
    : []
}

/** Remedy for a band that nobody could work. */
function fewerRounds(stitches: number): Pick<Finding, 'fix'> {
  const rounds = Math.min(MOST_ROUNDS, Math.floor(MOST_STITCHES / 4 / stitches))
  return rounds < 1 ? {} : { fix: { label: `Work ${rounds} rounds of it`, changes: [{ path: ['size'], value: { pin: { rounds } } }] } }
}

interface Flowing {
  readonly going: RoundSetting
  readonly past: boolean
  readonly flow: Flow
}

/**
 * How a texture's rounds go, and which they are. Turned rounds that begin where the join is meet the round below from another place each
 * time, so that a texture which is not the same both ways has rounds of its own for them; from past the join each is the plain mirror of
 * what it would be unturned, which serves wherever turning begins. What is the same both ways, but of more than one step, begins
 * at the join.
 */
function goingIn(texture: Texture, { rounds, turns, rows }: Setting): Flowing {
  const going = (firstStitch: Rounds['firstStitch']): RoundSetting => (
    { turns, rounds: { ...rounds, ...(firstStitch ? { firstStitch } : {}) } })
  if (rows || rounds.style !== 'turned' || isPlainly(texture)) return { going: { rounds, turns }, past: false, flow: texture.straight }
  if (!texture.turned && !texture.mirrors) return { going: going('joined'), past: false, flow: texture.straight }
  const past = texture.mirrors === true || rounds.firstStitch === 'last' || (rounds.turnsAfter ?? 0) > 0
  return { going: going(past ? 'last' : 'joined'), past, flow: past ? texture.straight : texture.turned! }
}

/** Whether the first round of a texture can be worked on an edge. */
function begins(texture: Texture, edge: Edge, row: { readonly turn: boolean } | undefined): boolean {
  const { asks: { multiple, plus }, straight } = texture
  if (!divides(edge.count, texture.asks)) return false
  const steps = workedOver(roundOf(straight, 0), Math.floor((edge.count - plus) / multiple))
  return work(bareRound(steps, row), edge).ok
}

/** A texture as it stands on what really lies below. */
function onEdge(texture: Texture, edge: Edge, { rows }: Setting): Texture {
  const { instead = [] } = texture
  if (instead.length === 0) return texture
  const row = rows && { turn: rows.below > 0 }
  return [texture, ...instead].find(one => begins(one, edge, row)) ?? texture
}

/** A row of a texture: with the wrong side facing it is its own mirror, seen from behind, unless it is written as it is worked. */
function rowOf(texture: Texture, own: TextureRound, repeats: number, i: number, { rows, rounds }: Setting, spec: Bandlike): Round {
  const behind = !texture.asWritten && facingOfRow(rows!, i) === 'wrong'
  const steps = workedOver(behind ? mirrored(own) : own, repeats)
  return inRow(rounds, rows!, i, texture.main, colourAt(spec, i), behind ? fromBehind(steps) : steps)
}

/** Works a band of any texture: its repeat as often as the edge holds it, round upon round. */
export function workTexture(given: Texture, spec: Bandlike, edge: Edge, setting: Setting): PartResult {
  const texture = onEdge(given, edge, setting)
  const { going, past, flow } = goingIn(texture, setting)
  const width = setting.gauge[texture.main].width
  const rises = [...flow.setUp, ...flow.cycle].map(({ repeat }) => riseCm(repeat, setting.gauge, texture.interlocks === true))
  const finishRise = texture.finish && riseCm(texture.finish.repeat, setting.gauge)
  const riseAt = (i: number) => rises[i < flow.setUp.length ? i : flow.setUp.length + ((i - flow.setUp.length) % flow.cycle.length)]!
  const flowing
    = 'pin' in spec.size ? spec.size.pin.rounds : roundsForHeight(spec.size.want.heightCm - (finishRise?.cm ?? 0), i => riseAt(i).cm)
  const count = flowing + (finishRise ? 1 : 0)
  const riseOf = (i: number) => (finishRise && i === flowing ? finishRise : riseAt(i))
  const { multiple, plus } = texture.asks
  const repeats = Math.floor((edge.count - plus) / multiple)
  const height = { cm: 0, plusMinusCm: 0 }
  for (let i = 0; i < Math.min(count, MOST_ROUNDS); i++) {
    height.cm += riseOf(i).cm
    height.plusMinusCm += riseOf(i).plusMinusCm
  }
  const size = { height, circumference: times(width, Math.max(0, repeats) * (texture.across ?? multiple) + plus) }
  if (!divides(edge.count, texture.asks))
    return stopped(edge, { height: times(width, 0), circumference: times(width, edge.count) }, notDividing(texture, edge.count))
  if (count > MOST_ROUNDS || count * edge.count > MOST_STITCHES) {
    return stopped(edge, size, {
      code: 'band-too-tall', weight: 'stop',
      what: `This band would take ${count.toLocaleString('en')} rounds of ${edge.count.toLocaleString('en')} stitches. Ask for a lower `
        + 'band, or check the swatch.',
      ...fewerRounds(edge.count),
    })
  }
  const {
    rounds, edge: top, stop,
  } = workUp(edge, count, setting, (i): Round => {
    const own = texture.finish && i === flowing ? texture.finish : roundOf(flow, i)
    if (setting.rows) return rowOf(texture, own, repeats, i, setting, spec)
    const steps = workedOver(past && facingOf(going, i).facing === 'wrong' ? mirrored(own) : own, repeats)
    const round = fabricInStyle(going, i, texture.main, colourAt(spec, i), steps)
    return round.facing === 'wrong' ? { ...round, steps: fromBehind(round.steps) } : round
  })
  return { rounds, edge: top, size, rises: rounds.map((_, i) => riseOf(i).cm), findings: stop ? [stop] : overSpaces(texture, edge) }
}

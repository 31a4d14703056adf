import { times } from '../measure/length'
import type { Asks } from '../part/asks'
import { asksWords, divides, nearestCounts } from '../part/asks'
import type { Finding } from '../part/finding'
import { type PartResult, type Setting, stopped, workUp } from '../part/part'
import { type Edge, placesOf } from '../round/edge'
import { chain, each, repeat, skip, type Step } from '../round/step'
import { inStyle } from '../round/style'
import type { CordsSpec } from './cords'

/** Where a cord runs: boxes of a round of their own; slits with plain stitches between; the gaps between groups of three below. */
export const EYELET_KINDS = ['boxes', 'slits', 'gaps'] as const

/** A casing: a round of eyelets and the cords that run through it (handbook 9). */
export interface EyeletsSpec {
  readonly band: 'eyelets'
  readonly eyelets: (typeof EYELET_KINDS)[number]
  /** Of slits: stitches between two of them, and chains across each. */
  readonly between: number
  readonly chains: number
  /** Where the count does not come out even, skip a stitch more at some eyelets, as makers do. */
  readonly evenOut: boolean
  readonly cords?: CordsSpec
  readonly colour: string
}

/** Stitches that one eyelet takes. */
function wide({ eyelets, between, chains }: EyeletsSpec): number {
  return eyelets === 'boxes' ? 2 : eyelets === 'slits' ? between + chains : 3
}

/** Fewer eyelets than this do not gather. */
const FEWEST = 4

/**
 * What a casing asks of the count: an even number of eyelets, so that a cord leaves on the side it entered. With `evenOut` any
 * count will do.
 */
export function eyeletsAsks(spec: EyeletsSpec): Asks {
  const least = FEWEST * wide(spec)
  return spec.evenOut && spec.eyelets !== 'gaps' ? { multiple: 1, plus: 0, least } : { multiple: 2 * wide(spec), plus: 0, least }
}

/** How many eyelets so many stitches make: with `evenOut` the nearest even number below. */
export function eyeletsOn(spec: EyeletsSpec, count: number): number {
  const whole = Math.floor(count / wide(spec))
  return spec.evenOut ? whole - (whole % 2) : whole
}

/** Places that a casing leaves. */
export function eyeletsGive(spec: EyeletsSpec, count: number): number {
  if (spec.eyelets === 'gaps') return count
  const eyelets = eyeletsOn(spec, count)
  return spec.eyelets === 'boxes' ? 2 * eyelets : (spec.between + 1) * eyelets
}

/** How many more stitches each eyelet skips: those over, spread evenly. */
function extras(over: number, eyelets: number): number[] {
  return Array.from({ length: eyelets }, (_, i) => Math.floor(((i + 1) * over) / eyelets) - Math.floor((i * over) / eyelets))
}

/** Eyelets alike, one after the other, become one repeat. */
function stepsFor(spec: EyeletsSpec, over: number, eyelets: number): Step[] {
  const plain = spec.eyelets === 'boxes' ? 1 : spec.between
  const kind = spec.eyelets === 'boxes' ? 'dc' : 'sc'
  const chains = spec.eyelets === 'boxes' ? 1 : spec.chains
  const skipped = spec.eyelets === 'boxes' ? 1 : spec.chains
  const more = extras(over, eyelets)
  const steps: Step[] = []
  for (let from = 0, to = 0; from < eyelets; from = to) {
    while (to < eyelets && more[to] === more[from]) to++
    steps.push(repeat(to - from, each(kind, plain), chain(chains), skip(skipped + more[from]!)))
  }
  return steps
}

function refused(spec: EyeletsSpec, count: number): Finding {
  const asks = eyeletsAsks(spec)
  const { below, above } = nearestCounts(count, asks)
  const eyelets = Math.floor(count / wide(spec))
  const one = { path: ['evenOut'], value: true }
  return {
    code: 'does-not-divide', weight: 'stop',
    what: `A cord needs an even number of eyelets to leave on the side it entered, so this asks for ${asksWords(asks)}, and ${count} stitches come up from below (${eyelets} eyelets${count % wide(spec) > 0 ? ` and ${count % wide(spec)} over` : ''}); it could be worked on ${below === undefined ? '' : `${below} or `}${above}.`,
    ...(spec.eyelets !== 'gaps' ? { otherFixes: [{ label: 'Skip a stitch more here and there: some eyelets will be wider', changes: [one] }] } : {}),
  }
}

/** Gaps are the casing only over groups of three, whose round below has them. */
function gapsMissing(edge: Edge): Finding[] {
  let groups = 0
  for (let made = 2; made < edge.count; made += 3) if (edge.from[made] === edge.from[made - 2]) groups++
  return groups * 3 >= edge.count - 3 ? [] : [{ code: 'no-gaps', weight: 'watch', what: 'The round below is not of groups of three, so there are no gaps to run a cord through. Put the casing on a band of groups, or work boxes.' }]
}

/** Works a casing's round; none where the gaps of the round below serve. */
export function eyelets(spec: EyeletsSpec, edge: Edge, setting: Setting): PartResult {
  const { gauge } = setting
  const around = setting.belowCm ?? edge.count * gauge.sc.width.cm
  const nothing = { height: times(gauge.sc.height, 0), circumference: { cm: around, plusMinusCm: (around * gauge.sc.width.plusMinusCm) / gauge.sc.width.cm } }
  if (!divides(edge.count, eyeletsAsks(spec))) return stopped(edge, nothing, refused(spec, edge.count))
  const count = eyeletsOn(spec, edge.count)
  const casing = { eyelets: count }
  if (spec.eyelets === 'gaps') return { rounds: [], edge, size: nothing, findings: gapsMissing(edge), casing, advice: [`The ${count} gaps between the groups below serve as eyelets: no round of its own.`] }
  const over = edge.count - count * wide(spec)
  const kind = spec.eyelets === 'boxes' ? 'dc' : 'sc'
  const { rounds, edge: top, stop } = workUp(edge, 1, setting, () => inStyle(setting.rounds, setting.turns, kind, spec.colour, stepsFor(spec, over, count)))
  const uneven: Finding[] = over > 0 ? [{ code: 'eyelets-uneven', weight: 'watch', what: `${over} ${over === 1 ? 'eyelet skips' : 'eyelets skip'} a stitch more than the others, spread round: they show as wider gaps.` }] : []
  const lumpy: Finding[] = placesOf(edge, 'space') > 0 && spec.eyelets === 'boxes' ? [{ code: 'eyelets-on-spaces', weight: 'watch', what: 'There are chain spaces right below: a plain round between keeps the casing firm.' }] : []
  return {
    rounds, edge: top, casing, findings: stop ? [stop] : [...uneven, ...lumpy],
    size: { height: gauge[kind].height, circumference: times(gauge[kind].width, count * wide(spec)) },
  }
}

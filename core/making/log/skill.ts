import type { FabricKind, StitchKind } from '../../things/stitch/dictionary'
import {
  AGAIN, CRAFT_SECONDS, OTHER_STITCH_SPREAD, PACE_SPREAD, PATTERN_SLOWER, SWATCH_SPREAD, TIRED, USUAL_EVENING,
} from './rulesOfThumb'
import { type Estimate, estimate, type Observation, unlogged } from './estimate'
import type { TaughtGrams } from '../../bag/yarn/grams'

/*
 * The maker's skill as it is learnt. Each figure with its range, and how many bags stand behind it; none: it is the craft's.
 */

/** How quickly a stitch goes, in seconds. */
export interface PaceSkill {
  readonly key: string
  readonly kind: StitchKind
  readonly seconds: Estimate
}

/** How large a stitch comes out with a hook and a yarn. */
export interface TensionSkill {
  readonly hookMm: number
  readonly strands: number
  readonly yarn: string
  readonly key: string
  readonly kind: FabricKind
  readonly widthCm?: Estimate
  readonly heightCm?: Estimate
}

/** Grams that a yarn weighs for every metre of the plan. */
export interface YarnSkill {
  readonly name: string
  readonly gramsPerMetre: Estimate
}

/** Of discs that lay flat: from what share of edge to what, and how many. */
export interface FlatSkill {
  readonly kind: FabricKind
  readonly from: number
  readonly to: number
  readonly increases: readonly number[]
  readonly bags: number
}

/** How evenings go: minutes of one, and days from one to the next. */
export interface EveningHabits {
  readonly minutes: number
  readonly daysApart: number
  readonly sittings: number
}

/** All that is known of a maker's hands. */
export interface Skill {
  readonly bags: number
  /** The maker's pace beside the craft's, over all stitches. */
  readonly speed: Estimate
  readonly pace: readonly PaceSkill[]
  /** How much longer a stitch takes late in a sitting. */
  readonly tired: Estimate
  /** How much longer a bag takes for what is ripped back. */
  readonly again: Estimate
  /** How much larger bags come out than their swatches said. */
  readonly swatch: { readonly width: Estimate, readonly height: Estimate }
  readonly tension: readonly TensionSkill[]
  readonly yarn: readonly YarnSkill[]
  readonly flat: readonly FlatSkill[]
  readonly evenings: EveningHabits
}

/** Grams for a metre of each yarn, by its name, from the maker's own bags. */
export function gramsTaught({ yarn }: Pick<Skill, 'yarn'>): TaughtGrams {
  return Object.fromEntries(yarn.map(({ name, gramsPerMetre: { nextLow, nextHigh } }) => [name, { low: nextLow, high: nextHigh }]))
}

/** Whether a key is of stitches in a pattern. */
export function isPattern(key: string): boolean {
  return key.includes(' in ')
}

/** Pace of a key by the craft. */
export function craftSeconds(key: string, kind: StitchKind): number {
  return CRAFT_SECONDS[kind] * (isPattern(key) ? PATTERN_SLOWER : 1)
}

/** The pace of a stitch by what bags said of it, if any did. */
export function paceFor(key: string, kind: StitchKind, said: readonly Observation[], speed: Estimate): Estimate {
  const makers = speed.bags > 0 ? OTHER_STITCH_SPREAD : PACE_SPREAD.makers
  return unlogged(estimate(said, { value: Math.log(craftSeconds(key, kind)) + speed.value, makers, bags: PACE_SPREAD.bags }))
}

/** The pace of a stitch by what is known: its own, or that of the maker's other stitches. */
export function paceAt({ pace, speed }: Skill, key: string, kind: StitchKind): Estimate {
  return pace.find(one => one.key === key)?.seconds ?? paceFor(key, kind, [], speed)
}

const NO_SWATCH = unlogged(estimate([], { value: 0, ...SWATCH_SPREAD }))

/** The hands of a maker of whom no bag is known: all is as the craft says. */
export const NO_SKILL_YET: Skill = {
  bags: 0, speed: estimate([], { value: 0, ...PACE_SPREAD }), pace: [], tired: unlogged(estimate([], TIRED)),
  again: unlogged(estimate([], AGAIN)), swatch: { width: NO_SWATCH, height: NO_SWATCH }, tension: [], yarn: [], flat: [],
  evenings: { ...USUAL_EVENING, sittings: 0 },
}

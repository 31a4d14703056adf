import { AGAIN, PACE_SPREAD, SWATCH_SPREAD, TIRED, USUAL_EVENING, WITHIN_BAG, YARN_SPREAD } from './rulesOfThumb'
import { type Estimate, estimate, median, type Observation, unlogged } from './estimate'
import type { BagFacts, PaceFact, TensionFact } from './bagFacts'
import {
  craftSeconds, type EveningHabits, type FlatSkill, type Skill, isPattern, paceFor, type PaceSkill, type TensionSkill, type YarnSkill,
} from './skill'

/*
 * The maker's skill from their bags: finished ones, and those in hand as far as they are.
 */

/** Fewer minutes of a stitch say nothing of its pace. */
const ENOUGH_MIN = 2

/** Rounds of one stitch differ by as much (from memory): a bag's mean pace is as sure as that over the root of its rounds. */
const ROUND_SPREAD = 0.12

/** The pace a bag tells of a stitch, in seconds as a logarithm. */
function paceSaid({ stitches, minutes, rounds }: PaceFact): Observation | undefined {
  if (minutes < ENOUGH_MIN || stitches === 0) return undefined
  return { value: Math.log((60 * minutes) / stitches), error: ROUND_SPREAD / Math.sqrt(rounds) }
}

/** Bag by bag, how quick the maker is beside the craft. */
function speedOf(bags: readonly BagFacts[]): Estimate {
  const said = bags.flatMap(({ pace }): Observation[] => {
    const own = pace.flatMap((fact) => {
      const one = paceSaid(fact)
      return one ? [{ ratio: one.value - Math.log(craftSeconds(fact.key, fact.kind)), minutes: fact.minutes }] : []
    })
    const minutes = own.reduce((sum, one) => sum + one.minutes, 0)
    if (minutes === 0) return []
    return [{ value: own.reduce((sum, one) => sum + one.ratio * one.minutes, 0) / minutes, error: 0.03 }]
  })
  return estimate(said, { value: 0, ...PACE_SPREAD })
}

function paceOf(bags: readonly BagFacts[], speed: Estimate): PaceSkill[] {
  const keys = new Map(bags.flatMap(({ pace }) => pace.map(({ key, kind }) => [key, kind] as const)))
  return [...keys].map(([key, kind]) => {
    const said = bags.flatMap(({ pace }) => pace.filter(fact => fact.key === key).flatMap(fact => paceSaid(fact) ?? []))
    return { key, kind, seconds: paceFor(key, kind, said, speed) }
  })
}

function tiredOf(bags: readonly BagFacts[]): Estimate {
  const said = bags.flatMap(({ pace }): Observation[] => {
    const fresh = pace.map(({ stitches, minutes, late }) => ({ stitches: stitches - late.stitches, minutes: minutes - late.minutes }))
    return pace.flatMap(({ late }, i) => {
      const early = fresh[i]!
      if (late.minutes < 5 || early.minutes < 5 || early.stitches === 0 || late.stitches === 0) return []
      return [{ value: Math.log(late.minutes / late.stitches / (early.minutes / early.stitches)), error: 0.05 }]
    }).slice(0, 1)
  })
  return unlogged(estimate(said, TIRED))
}

function againOf(bags: readonly BagFacts[]): Estimate {
  const said = bags.flatMap(({ minutes, ripped, finished }): Observation[] => {
    if (finished === undefined || minutes <= ripped.minutes || minutes < 10) return []
    return [{ value: Math.log(minutes / (minutes - ripped.minutes)), error: 0.03 }]
  })
  return unlogged(estimate(said, AGAIN))
}

/** Evidence of one bag about a stitch's side: its measures together, each by how sure it is. */
function bagSays(facts: readonly TensionFact[], of: (fact: TensionFact) => number): Observation | undefined {
  if (facts.length === 0) return undefined
  const weights = facts.map(({ error }) => 1 / (error ** 2 + WITHIN_BAG ** 2))
  const sum = weights.reduce((all, weight) => all + weight, 0)
  return { value: facts.reduce((all, fact, i) => all + weights[i]! * Math.log(of(fact)), 0) / sum, error: 1 / Math.sqrt(sum) }
}

function swatchOf(bags: readonly BagFacts[], side: 'width' | 'height'): Estimate {
  const said = bags.filter(({ gaugeFrom }) => gaugeFrom === 'swatch').flatMap(({ tension }) =>
    bagSays(tension.filter(fact => fact.side === side && !isPattern(fact.key)), fact => fact.cm / fact.swatchCm) ?? [])
  return unlogged(estimate(said, { value: 0, ...SWATCH_SPREAD }))
}

/** The yarn that a bag is told apart by: its first one. */
function yarnOf({ yarns }: BagFacts): string {
  return yarns[0]?.name ?? ''
}

function sameSetup(bag: BagFacts, other: BagFacts): boolean {
  return bag.hookMm === other.hookMm && bag.strands === other.strands && yarnOf(bag) === yarnOf(other)
}

function tensionSide(bags: readonly BagFacts[], key: string, side: 'width' | 'height', swatch: Estimate): Estimate | undefined {
  const of = (bag: BagFacts) => bag.tension.filter(fact => fact.key === key && fact.side === side)
  const said = bags.flatMap(bag => bagSays(of(bag), ({ cm }) => cm) ?? [])
  if (said.length === 0) return undefined
  // Before the bags there were their swatches, by what this maker's swatches are good to.
  const bySwatch = median(bags.flatMap(of).map(({ swatchCm }) => Math.log(swatchCm)))
  const found = estimate(said, { value: bySwatch + Math.log(swatch.value), ...SWATCH_SPREAD })
  return unlogged(withinToo(found))
}

/** Sizes of the next bag stray from its mean as they do within any bag. */
function withinToo(found: Estimate): Estimate {
  const next = Math.hypot(found.nextHigh - found.value, 1.645 * WITHIN_BAG)
  return { ...found, nextLow: found.value - next, nextHigh: found.value + next }
}

function tensionOf(bags: readonly BagFacts[], swatch: Skill['swatch']): TensionSkill[] {
  const setups = bags.filter((bag, i) => bags.findIndex(other => sameSetup(bag, other)) === i)
  return setups.flatMap((setup) => {
    const alike = bags.filter(bag => sameSetup(bag, setup))
    const keys = new Map(alike.flatMap(({ tension }) => tension.map(({ key, kind }) => [key, kind] as const)))
    return [...keys].map(([key, kind]): TensionSkill => {
      const [width, height] = [tensionSide(alike, key, 'width', swatch.width), tensionSide(alike, key, 'height', swatch.height)]
      return {
        hookMm: setup.hookMm, strands: setup.strands, yarn: yarnOf(setup), key, kind, ...(width ? { widthCm: width } : {}),
        ...(height ? { heightCm: height } : {}),
      }
    })
  })
}

function yarnOfAll(bags: readonly BagFacts[]): YarnSkill[] {
  const names = [...new Set(bags.flatMap(({ yarn }) => yarn.map(({ name }) => name)))]
  return names.map((name) => {
    const said = bags.flatMap(({ yarn }) => yarn.filter(one => one.name === name).map(({ grams, saidMetres }) => ({
      value: Math.log(grams / saidMetres), error: Math.min(0.3, 1 / grams + 0.02),
    })))
    return { name, gramsPerMetre: unlogged(estimate(said, { value: median(said.map(({ value }) => value)), ...YARN_SPREAD })) }
  })
}

function flatOf(bags: readonly BagFacts[]): FlatSkill[] {
  const floors = bags.flatMap(({ floor }) => floor ?? [])
  return [...new Set(floors.map(({ kind }) => kind))].flatMap((kind): FlatSkill[] => {
    const flat = floors.filter(one => one.kind === kind && one.lies === 'flat')
    if (flat.length === 0) return []
    const ratios = flat.map(({ ratio }) => ratio)
    const increases = [...new Set(flat.map(one => one.increases))].sort((a, b) => a - b)
    return [{ kind, from: Math.min(...ratios), to: Math.max(...ratios), increases, bags: flat.length }]
  })
}

const DAY_MS = 86_400_000

function eveningsOf(bags: readonly BagFacts[]): EveningHabits {
  const sittings = bags.flatMap(bag => bag.sittings).sort((a, b) => a.from - b.from)
  if (sittings.length < 3) return { ...USUAL_EVENING, sittings: sittings.length }
  const gaps = sittings.slice(1).map(({ from }, i) => (from - sittings[i]!.from) / DAY_MS).filter(days => days < 21)
  return {
    minutes: median(sittings.map(({ minutes }) => minutes)), daysApart: Math.max(0.5, gaps.length > 0 ? median(gaps) : 1),
    sittings: sittings.length,
  }
}

/** The maker's skill as all bags have taught it. */
export function skillFromBags(all: readonly BagFacts[]): Skill {
  const bags = all.filter(({ kept }) => !kept)
  const speed = speedOf(bags)
  const swatch = { width: swatchOf(bags, 'width'), height: swatchOf(bags, 'height') }
  return {
    bags: bags.length, speed, pace: paceOf(bags, speed), tired: tiredOf(bags), again: againOf(bags), swatch,
    tension: tensionOf(bags, swatch), yarn: yarnOfAll(bags), flat: flatOf(bags), evenings: eveningsOf(bags),
  }
}

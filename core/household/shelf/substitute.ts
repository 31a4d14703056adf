import type { Design, DesignGauge } from '../../bag/design/design'
import { withChanges } from '../../bag/design/edit'
import { type Draft, draft } from '../../bag/draft/draft'
import { wallPartOf } from '../../bag/draft/fold/draftPart'
import type { Skill } from '../../making/log/skill'
import { formatCm } from '../../things/measure/format'
import type { Change } from '../../parts/part/finding'
import { HOOK_SIZES, hookLabel } from '../../things/stitch/hooks'
import { likelyClasses } from '../../bag/yarn/likelyClasses'
import { textureTitles } from './textureTitles'
import { yarnNeeds } from '../../bag/yarn/yarn'
import { yarnUseOf, yarnUseUnseen } from './yarnUse'
import { oddsThatItLasts, type Wants, wants } from './enough'
import { stockOf } from './stock'
import type { ShelfYarn } from './yarn'
import { gramsOf } from '../../things/stitch/translate'

/*
 * Another yarn in the place of one
 * ================================
 *
 * A yarn is a cord: of two of one fibre, as thick as the root of how much a metre weighs (a cylinder's weight goes with the square of what
 * it is across; from memory). Stitches grow as the yarn does if the hook grows along; so a bag of the same counts grows by that share each
 * way, and one of the same size takes fewer stitches. Until somebody swatches it that is a guess, and the gauge says so.
 */

/** Effect of a fibre on a bag (common practice, no source). */
const FEELS: readonly { readonly words: RegExp, readonly says: string }[] = [
  { words: /cotton/i, says: 'cotton: firm and heavy, hardly stretches, hangs lower when it is full' },
  { words: /linen|flax|hemp|nettle/i, says: 'linen and hemp: stiff at first, strong, soften with use' },
  { words: /jute|sisal|raffia|twine|paper/i, says: 'jute, raffia and twine: stiff and rough, stand by themselves, weaken when wet' },
  { words: /wool|alpaca|mohair/i, says: 'wool: light and springy, stretches under a load, felts when it is washed hot' },
  { words: /acryl|poly|nylon|synthetic/i, says: 'synthetics: light and strong, give under a load, melt under the iron' },
]

/** Yarns as thick as each other within so much are taken for alike (from memory: hands differ by as much). */
const ALIKE = 0.04

/** Further from a swatch than so much a swatch says little (from memory). */
const FAR = 0.25

/** A bag in one of the yarns. */
interface AsItWouldBe {
  readonly wideCm: number
  readonly tallCm: number
  readonly stitches: number
  readonly wants: Wants
}

/** Another yarn in the place of one: what it does, what to swatch, and the edit. */
interface Substitute {
  readonly yarn: ShelfYarn
  /** How much thicker it is: 1.1 is a tenth. */
  readonly thicker: number
  readonly before: AsItWouldBe
  /** With the counts drafted anew for the sizes that are wanted. */
  readonly after: AsItWouldBe
  /** How likely it is that what lies there lasts. */
  readonly lasts: number
  readonly says: readonly string[]
  readonly swatch: readonly string[]
  readonly label: string
  readonly changes: readonly Change[]
}

/** How much thicker one yarn is than another, by what a metre of each weighs. */
export function thicker(before: Pick<ShelfYarn, 'metresPer100g'>, after: Pick<ShelfYarn, 'metresPer100g'>): number {
  return Math.sqrt(before.metresPer100g / after.metresPer100g)
}

/** The hook that is made which comes nearest to one. */
export function nearestHookMm(mm: number): number {
  return HOOK_SIZES.reduce((best, size) => (Math.abs(size.mm - mm) < Math.abs(best - mm) ? size.mm : best), HOOK_SIZES[0]!.mm)
}

const tenth = (value: number) => Math.round(10 * value) / 10

/** A swatch of another yarn, guessed from the one that was counted. */
function guessed({ measured, hookMm, strands, ...rest }: DesignGauge, by: number): DesignGauge {
  const counts = Object.entries(measured).map(([kind, count]) =>
    [kind, { ...count, stitches: tenth(count.stitches / by), rounds: tenth(count.rounds / by) }])
  return {
    ...(rest.worked ? { worked: rest.worked } : {}), hookMm: nearestHookMm(hookMm * by), strands, assumed: true,
    measured: Object.fromEntries(counts) as DesignGauge['measured'],
  }
}

function asItIs(bag: Draft, yarn: string, rate: Parameters<typeof wants>[1]): AsItWouldBe {
  const { sizes: { flatWidth, flatHeight, stitches } } = bag
  return {
    wideCm: flatWidth.cm, tallCm: flatHeight.cm, stitches,
    wants: wants(yarnNeeds(bag).find(need => need.yarn.id === yarn)?.metres ?? 0, rate),
  }
}

function feelOf({ fibre, name }: ShelfYarn): string | undefined {
  return FEELS.find(({ words }) => words.test(fibre) || words.test(name))?.says
}

/** A yarn in the place of one of a bag's: of the shelf, or of which only the gauge is known. */
interface Instead {
  readonly drafted: Draft
  readonly yarn: string
  /** The yarn of the shelf that it is now, if it is of it. */
  readonly now: ShelfYarn | undefined
  readonly hands: Pick<Skill, 'yarn'>
  /** The gauge counted on a swatch of the new one, if there is one. */
  readonly swatch?: { readonly gauge: DesignGauge, readonly name: string }
}

function sizeWords(by: number, { design: { units } }: Draft, before: AsItWouldBe): string {
  const share = Math.round(100 * Math.abs(by - 1))
  if (Math.abs(by - 1) <= ALIKE) return 'About as thick: the counts and the hook can stay, and the size with them.'
  const [wide, tall] = [formatCm(before.wideCm * by, units), formatCm(before.tallCm * by, units)]
  return `${share} % ${by > 1 ? 'thicker' : 'thinner'}: with the same counts and a hook to match the bag would be ${wide} wide and ${tall} `
    + 'tall. Drafted anew it keeps its size, and the counts change; counts that you pinned stay.'
}

/** Swatches to make of a yarn before a bag is begun in it. */
function swatchWords({ parts, design }: Draft, gauge: DesignGauge, have: string | undefined): string[] {
  if (have !== undefined) return [`You have a swatch of it, ${have}: the bag is drafted by that.`]
  const [kind = 'sc'] = Object.keys(gauge.measured)
  const patterns = textureTitles(parts.flatMap(part => wallPartOf(part) ?? []), design)
  return [
    `20 stitches of {${kind}} by 20 rounds on the ${hookLabel(gauge.hookMm)} hook, washed and dried as the bag will be.`,
    ...(patterns.length > 0 ? [`A square of each pattern: ${patterns.join(', ')}.`] : []),
    'Hang a weight on it: how much it stretches is how much the bag will.',
  ]
}

/** Whether other yarns of the bag stay, that are worked side by side with it. */
function others({ design }: Draft, yarn: string, used: readonly string[]): string[] {
  return design.yarns.filter(({ id }) => id !== yarn && used.includes(id)).map(({ name }) => name)
}

/** How much more or less a bag weighs of another yarn. */
function heavierWords({ wants: { grams: now } }: AsItWouldBe, { wants: { grams } }: AsItWouldBe): string {
  const times = grams / Math.max(1, now)
  if (Math.abs(times - 1) < 0.03) return 'as now'
  if (times >= 1.5) return `${times.toFixed(1)} times as much as now`
  return `${Math.round(100 * Math.abs(times - 1))} % ${times > 1 ? 'more' : 'less'} than now`
}

/** Remarks on another yarn: size, weight and feel, what stands beside it, and how far it is from the swatch. */
function says(by: number, drafted: Draft, [before, after]: readonly [AsItWouldBe, AsItWouldBe], next: ShelfYarn, side: readonly string[]) {
  const feel = feelOf(next)
  const beside = side.length > 0 && Math.abs(by - 1) > ALIKE
    ? [
        `It is worked beside ${side.join(' and ')}: of another thickness it makes its rounds ${by > 1 ? 'wider' : 'narrower'}, and the `
        + 'gauge is left as it is.',
      ]
    : []
  return [
    sizeWords(by, drafted, before),
    `Of it the bag takes about ${gramsOf(after.wants.grams)}, ${heavierWords(before, after)}: that is what it weighs, and how thick `
    + 'it feels.',
    ...(feel ? [`Of its fibre: ${feel}.`] : []), ...beside,
    ...(Math.abs(by - 1) > FAR ? ['So far from the swatch this is a guess: swatch it before you believe a count.'] : []),
  ]
}

/** Another yarn of the shelf in the place of one of a bag: what it does to size, weight and feel, what to swatch, and the edit. */
export function substitute({ drafted, yarn, now, hands, swatch }: Instead, next: ShelfYarn): Substitute {
  const { design } = drafted
  const taught = (name: string) => hands.yarn.find(one => one.name === name)?.gramsPerMetre
  const likely = likelyClasses(drafted)[0].metresPer100g * design.gauge.strands
  const by = thicker({ metresPer100g: now?.metresPer100g ?? likely }, next)
  const gauge = swatch?.gauge ?? (Math.abs(by - 1) <= ALIKE ? design.gauge : guessed(design.gauge, by))
  const side = others(drafted, yarn, yarnNeeds(drafted).map(need => need.yarn.id))
  // Beside other yarns that stay it has to go with their gauge.
  const changes: Change[] = [
    ...(['name', 'colour'] as const).map(field => ({ path: ['yarns', yarn, field], value: next[field] })),
    { path: ['yarns', yarn, 'shelf'], value: next.id },
    ...(side.length === 0 && gauge !== design.gauge ? [{ path: ['gauge'], value: gauge }] : []),
  ]
  const before = asItIs(drafted, yarn, now ? yarnUseOf(now, taught(now.name)) : yarnUseUnseen(drafted))
  const after = asItIs(draft(withChanges<Design>(design, changes)), yarn, yarnUseOf(next, taught(next.name)))
  return {
    yarn: next, thicker: by, before, after, lasts: oddsThatItLasts(stockOf(next).grams, after.wants), changes,
    label: `${next.name} instead of ${design.yarns.find(({ id }) => id === yarn)!.name}`,
    says: says(by, drafted, [before, after], next, side), swatch: swatchWords(drafted, gauge, swatch?.name),
  }
}

/** Yarns of the shelf that could take the place of one, the likest first: by thickness, then by how much of it there is. */
export function likest(metresPer100g: number, shelf: readonly ShelfYarn[], not: string | undefined): ShelfYarn[] {
  const far = (yarn: ShelfYarn) => Math.abs(Math.log(thicker({ metresPer100g }, yarn)))
  return shelf.filter(({ id }) => id !== not).sort((a, b) => far(a) - far(b) || stockOf(b).grams - stockOf(a).grams)
}

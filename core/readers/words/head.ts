import { hasFloor } from '../../parts/part/floor'
import type { Draft } from '../../bag/draft/draft'
import { liningOf, pieceWords } from '../../bag/draft/findings/meshFindings'
import type { SwatchCount } from '../../things/gauge/gauge'
import { formatGramsRange, formatMetres } from '../../things/measure/amounts'
import { CM_PER_INCH, formatCm, formatLength, type Units } from '../../things/measure/format'
import { type FabricKind, STITCHES, type StitchKind, type Terms } from '../../things/stitch/dictionary'
import { hookLabel } from '../../things/stitch/hooks'
import { neededGrams, type TaughtGrams } from '../../bag/yarn/grams'
import { likelyClasses } from '../../bag/yarn/likelyClasses'
import { yarnNeeds } from '../../bag/yarn/yarn'
import { isWorked } from '../../parts/mouth/cords'
import type { Design } from '../../bag/design/design'
import { hookOfPart } from '../../bag/draft/fold/partGauge'
import { kindOf } from '../../parts/wall/wall'
import { floorWords, isFloorAlone } from './floorWords'

/** A line of a pattern's head. */
export interface Fact {
  readonly name: string
  readonly value: string
}

/** Length that a gauge is told over: ten centimetres, or four inches. */
const OVER: Readonly<Record<Units, { readonly cm: number, readonly words: string }>> = {
  cm: { cm: 10, words: '10 cm' },
  in: { cm: 4 * CM_PER_INCH, words: '4 in' },
}

/** A count over ten centimetres, to the half: nobody counts a tenth of a stitch. */
function halves(count: number): string {
  return String(Math.round(count * 2) / 2)
}

/** Counts over ten centimetres or four inches; of stitches that the pattern is worked in. */
function gaugeFact({ design }: Draft, terms: Terms, used: ReadonlySet<StitchKind>): Fact {
  const { measured, assumed } = design.gauge
  const over = OVER[design.units]
  const worked = (Object.entries(measured) as [FabricKind, SwatchCount][]).filter(([kind]) => used.has(kind))
  const all = worked.length > 0 ? worked : (Object.entries(measured) as [FabricKind, SwatchCount][])
  const counted = all.map(
    ([kind, { stitches, rounds, overCm, tallCm = overCm }]) =>
      `${halves((stitches * over.cm) / overCm)} ${STITCHES[kind][terms].abbreviation} and ${halves((rounds * over.cm) / tallCm)} rounds`,
  )
  const textures = texturesCounted(design, over)
  const how = assumed ? 'assumed: measure your own swatch' : 'or the hook that gives you this'
  return { name: terms === 'us' ? 'Gauge' : 'Tension', value: `${[...counted, ...textures].join('; ')} over ${over.words} (${how})` }
}

/** Counts on swatches of textures, each once. */
function texturesCounted({ wall, repeats }: Design, over: { readonly cm: number }): string[] {
  const told = wall.flatMap((spec) => {
    if (!('swatch' in spec) || !spec.swatch) return []
    const { across, countedIn, overCm, rounds, tallCm } = spec.swatch
    const { title, name } = kindOf(spec)
    const called = title?.(spec, repeats) || name
    const what = countedIn === 'repeats' ? `repeats of ${called}` : `sts of ${called}`
    return [`${halves((across * over.cm) / overCm)} ${what} and ${halves((rounds * over.cm) / tallCm)} rounds`]
  })
  return [...new Set(told)]
}

function weightFact(draft: Draft): Fact {
  const [finer, heavier] = likelyClasses(draft)
  const classes
    = finer === heavier
      ? `class ${finer.number}, ${finer.name}`
      : `class ${finer.number} or ${heavier.number}, ` + `${finer.name} or ${heavier.name}`
  return { name: 'Yarn weight', value: `about ${classes.toLowerCase()}, worked tighter than a label says` }
}

/** Metres and grams by colour; grams by what the likely classes usually hold, so that a ball's band says it better. */
function yarnFact(draft: Draft, taught: TaughtGrams): Fact {
  const { gauge: { strands }, units } = draft.design
  const needs = yarnNeeds(draft).map(({ yarn, metres }) => {
    const { low, high, taught: own } = neededGrams(draft, yarn.name, metres, taught)
    const grams = `${formatGramsRange(low, high, units)}${own ? ' by your own bags' : ''}`
    return `${yarn.name}: about ${formatMetres(Math.ceil(metres), units)}, ${grams}`
  })
  const double = strands > 1 ? `, all ${strands} strands together` : ''
  return { name: 'Yarn', value: `${needs.join('; ')} (estimate${double}; grams by metres on the ball band are surer; add a margin)` }
}

/** Sizes that depend on what hangs or stands on the bag. */
function sizeFacts(draft: Draft): Fact[] {
  const {
    design: { units }, sizes, parts,
  } = draft
  const floored = hasFloor(sizes.floor)
  // A floor that nothing stands on is no bag: it lies as it is.
  if (isFloorAlone(sizes)) return [{ name: 'Floor', value: floorWords(sizes.floor, units) }]
  const folded = floored ? ', half of the floor folded into it' : ''
  const standing = floored ? [{ name: 'Standing', value: `${formatLength(sizes.height, units)} tall, on its floor` }] : []
  const facts: Fact[] = [
    { name: 'Floor', value: floorWords(sizes.floor, units) },
    ...standing,
    { name: 'Lying flat', value: `${formatLength(sizes.flatWidth, units)} wide, ${formatLength(sizes.flatHeight, units)} tall${folded}` },
  ]
  const firstHandle = parts.findIndex(({ edge, handles }) => handles.length > 0 && (edge.free?.length ?? 0) > 0)
  if (firstHandle > 0) {
    const below = parts.slice(0, firstHandle).reduce((cm, { size }) => cm + size.height.cm, 0)
    facts.push({ name: 'Before the handles', value: `${formatCm(below, units)} tall` })
  }
  if (sizes.loadedHeightCm !== undefined)
    facts.push({ name: 'Loaded', value: `about ${formatCm(sizes.loadedHeightCm, units)} tall (estimate)` })
  if (sizes.withHandles) {
    const { emptyCm, togetherCm, loadedCm } = sizes.withHandles
    facts.push({
      name: 'With handles',
      value: `${formatCm(emptyCm, units)} to the top of the handles, about ${formatCm(loadedCm, units)} loaded (estimate); `
        + `${formatCm(togetherCm, units)} held together in one hand`,
    })
  }
  return facts
}

/** Markers in use at once: the most that a round carries, one for its start at least. */
function markersNeeded({ parts, rounds }: Draft): number {
  // The one at the round's start is among them, or comes besides.
  const inRounds = parts.flatMap(({ markers = [], rounds: own }) =>
    markers.map((made, i) => new Set(own[i]?.edge.closed ? [0, ...made] : made).size))
  const feet = parts.map(({ handles }) => 2 * handles.reduce((sum, { feet }) => sum + feet.length, 0))
  return Math.max(rounds.length > 0 ? 1 : 0, ...inRounds, ...feet)
}

/** Things needed besides yarn and hook. */
function notions(draft: Draft): string {
  const { design, parts } = draft
  const markers = markersNeeded(draft)
  const own = [...new Set(parts.flatMap(({ notions = [] }) => notions))]
  return [
    'a wool needle', ...(markers > 0 ? [markers === 1 ? 'a stitch marker' : `${markers} stitch markers`] : []), 'scissors',
    'a tape measure', ...own, ...(parts.some(({ casing }) => casing?.cords && !isWorked(casing.cords.kind)) ? ['a bought cord'] : []),
    ...(design.lining ? ['cloth and thread for the lining'] : []),
  ].join(', ')
}

/** The bag's hook, and those that parts have of their own. */
function hooksWords({ design, parts }: Draft): string {
  const { hookMm, strands } = design.gauge
  // A turn-up goes as the part that stands on it, which says so.
  const others = parts.filter(({ from }) => !from.goesWithNext).flatMap(({ name, from }) => {
    const own = hookOfPart(from, design)
    const held = own.strands === strands ? '' : `, ${own.strands === 1 ? 'one strand' : `${own.strands} strands`}`
    return own.hookMm === hookMm && !held ? [] : [`${name}: ${hookLabel(own.hookMm)}${held}`]
  })
  return [hookLabel(hookMm), ...others].join('; ')
}

/** The head of a pattern: what it comes to and what it takes, each line only where it applies. */
export function headOf(draft: Draft, terms: Terms, used: ReadonlySet<StitchKind>, taught: TaughtGrams = {}): Fact[] {
  const { design, sizes, parts } = draft
  const { strands } = design.gauge
  const lining = liningOf(design, parts, sizes).map(pieceWords)
  return [
    ...sizeFacts(draft), { name: 'Hook', value: hooksWords(draft) }, gaugeFact(draft, terms, used), weightFact(draft),
    yarnFact(draft, taught),
    ...(strands > 1 ? [{ name: 'Strands', value: `hold ${strands === 2 ? 'two' : strands} strands together throughout` }] : []),
    { name: 'You also need', value: notions(draft) },
    ...(lining.length > 0 ? [{ name: 'Lining', value: `${lining.join('; ')} (seams and hem included)` }] : []),
    { name: 'Stitches', value: `${sizes.stitches.toLocaleString('en')} in ${sizes.rounds} rounds` },
  ]
}

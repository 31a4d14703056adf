import type { Design, WallPart } from '../../design/design'
import { tape } from '../../../things/stitch/translate'
import type { Fix } from '../../../parts/part/finding'
import { changeEvenly, mostChange } from '../../../things/round/changes'
import type { Step } from '../../../things/round/step'
import type { AdjustSpec } from '../../../parts/wall/adjust'
import { adjustedTo } from '../../../parts/wall/adjusted'
import type { SolidSpec } from '../../../parts/band/solid'
import type { Stripe } from '../../../parts/texture/bandlike'
import { asPartOf } from '../../design/partIds'
import { isPlain, type WallSpec } from '../../../parts/wall/wall'
import { type Draft, draft } from '../draft'
import { aroundOf, type DraftPart, isBase, wallPartOf } from '../fold/draftPart'

/** Something that can be done about a count that came out otherwise than planned. */
interface DriftWay {
  readonly way: 'next-round' | 'live-with-it' | 'rip-back'
  readonly what: string
  /** The round that puts it right, in steps, for the words. */
  readonly steps?: readonly Step[]
  /** The edit that drafts the rest accordingly; none where only the maker's hands have to do something. */
  readonly fix?: Fix
}

/** Meaning of a count of another number: for the mouth, where it may have come from, and what can be done. */
interface Drift {
  readonly round: number
  readonly planned: number
  readonly counted: number
  readonly mouth: string
  readonly causes: readonly string[]
  readonly ways: readonly DriftWay[]
}

/** Where another count than planned may have come from (craft 13; common practice, no source). */
export function causes({ design, parts }: Draft, part: DraftPart, inPart: number, by: number): string[] {
  const found: string[] = []
  const { style } = design.rounds
  const each = inPart > 1 && Math.abs(by) === inPart
  if (by > 0) {
    found.push(
      style === 'spiral'
        ? 'A stitch worked twice into one place, often at the marker.'
        : 'A stitch worked into the starting chain or the joining stitch. Mark the first stitch of each round.',
    )
    if (each) found.push(`One too many in each of the ${inPart} rounds of this part fits that well.`)
  }
  else {
    found.push(
      style === 'spiral'
        ? 'A stitch passed over, often at the marker.'
        : 'The last stitch of the round missed, or the first one hidden under the join. Recount by the V\'s on top.',
    )
    if (each) found.push(`One missed in each of the ${inPart} rounds of this part fits that well.`)
  }
  if (isBase(part) && parts.length > 0) found.push('In the base: an increase too many or too few. Count each group between increases.')
  return found
}

function turnedTo(stripes: readonly Stripe[] | undefined, by: number): Stripe[] | undefined {
  if (!stripes || stripes.length === 0) return undefined
  const rounds = stripes.flatMap(({ colour, rounds: n }) => Array<string>(n).fill(colour))
  const turned = rounds.map((_, i) => rounds[(i + by) % rounds.length]!)
  return turned
    .map(colour => ({ colour, rounds: 1 }))
    .reduce<Stripe[]>((all, one) => {
      const last = all.at(-1)
      return last?.colour === one.colour ? [...all.slice(0, -1), { colour: one.colour, rounds: last.rounds + 1 }] : [...all, one]
    }, [])
}

function run(spec: SolidSpec, rounds: number, from: number): SolidSpec[] {
  if (rounds <= 0) return []
  const stripes = turnedTo(spec.stripes, from)
  const { stripes: _, ...bare } = spec
  return [{ ...bare, size: { pin: { rounds } }, ...(stripes ? { stripes } : {}) }]
}

/** A plain band cut at a round: as planned below it, as counted in it, and, if asked, put right in the next. */
function cut(spec: SolidSpec, part: DraftPart, inPart: number, by: number, putRight: boolean): WallSpec[] {
  const adjusting = (change: number, round: number, counted: boolean): AdjustSpec => ({
    ...adjustedTo({ pin: { change } }, spec.stitch, part.rounds[round - 1]?.round.colour ?? spec.colour), mirrored: false,
    ...(counted ? { counted } : {}),
  })
  const done = inPart + (putRight ? 1 : 0)
  return [
    ...run(spec, inPart - 1, 0), adjusting(by, inPart, true), ...(putRight ? [adjusting(-by, inPart + 1, false)] : []),
    ...run(spec, part.rounds.length - done, done),
  ]
}

/** Other parts in the place of one: the first of its own kind is known by its id, the others are new. */
function wallEdit({ wall }: Design, id: string, instead: readonly WallSpec[], label: string): Fix {
  const index = wall.findIndex(part => part.id === id)
  const own = instead.findIndex(isPlain)
  const parts: WallPart[] = []
  for (const [i, spec] of instead.entries()) parts.push(i === own ? { ...spec, id } : asPartOf([...wall, ...parts], spec))
  return { label, changes: [{ path: ['wall'], value: [...wall.slice(0, index), ...parts, ...wall.slice(index + 1)] }] }
}

/** How much wider or narrower the mouth comes out if a fix is taken; or that something above no longer divides. */
function mouthAfter(before: Draft, fix: Fix | undefined, by: number, part: DraftPart): string {
  const told = (cm: number) =>
    Math.abs(cm) < 0.05
      ? 'the mouth stays as wide as planned'
      : `the mouth comes out ${tape(Math.abs(cm))} ${cm > 0 ? 'wider' : 'narrower'} lying flat: `
        + `the top ${cm > 0 ? 'flares' : 'draws in'}`
  if (fix) {
    const after = draft({ ...before.design, wall: fix.changes[0]!.value as Design['wall'] })
    const stop = after.findings.find(({ weight }) => weight === 'stop')
    if (stop) return `Left as it is, something above no longer divides: ${stop.what}`
    return `Left as it is, ${told(after.sizes.flatWidth.cm - before.sizes.flatWidth.cm)}.`
  }
  return `Left as it is, ${told((by * aroundOf(part, part.rounds.length - 1)) / part.edge.count / 2)}.`
}

/** Ripping back: what is lost. */
function ripBack(round: number, counted: number): DriftWay {
  return {
    way: 'rip-back',
    what: `Rip back to round ${round - 1}: ${counted} stitches to work again. If the count was right at an earlier check, the mistake `
      + 'lies between; count round by round on the way down.',
  }
}

/**
 * Meaning of a count of another number of stitches than planned in a round.
 *
 * @returns nothing if the count is as planned, or there is no such round
 */
export function drift(of: Draft, round: number, counted: number): Drift | undefined {
  const at = of.rounds[round - 1]
  const planned = at?.worked.edge.count
  if (!at || planned === undefined || planned === counted) return undefined
  const part = of.parts.find(({ id }) => id === at.part)!
  const by = counted - planned
  const inPart = round - part.firstRound + 1
  const spec = wallPartOf(part)
  const plain = spec && isPlain(spec) ? spec : undefined
  const can = plain && Math.abs(by) <= mostChange(planned, by) && Math.abs(by) <= mostChange(counted, -by)
  const live = can
    ? wallEdit(of.design, part.id, cut(plain, part, inPart, by, false), `Live with ${counted} from round ${round} on`)
    : undefined
  const ways: DriftWay[] = []
  if (can && inPart < part.rounds.length) {
    ways.push({
      way: 'next-round', what: `Put it right in round ${round + 1}, spread where it shows least:`,
      steps: changeEvenly(counted, -by, plain.stitch),
      fix: wallEdit(of.design, part.id, cut(plain, part, inPart, by, true), `Put it right in round ${round + 1}`),
    })
  }
  else ways.push({ way: 'next-round', what: nextRoundByHand(part, by) })
  if (live) ways.push({ way: 'live-with-it', what: `Live with it: the rest is drafted from ${counted} stitches.`, fix: live })
  ways.push(ripBack(round, counted))
  return { round, planned, counted, mouth: mouthAfter(of, live, by, part), causes: causes(of, part, inPart, by), ways }
}

/** Putting it right where no plain round follows: in a base, or in a texture. */
function nextRoundByHand(part: DraftPart, by: number): string {
  const n = Math.abs(by)
  const increases = `${n} ${n === 1 ? 'increase' : 'increases'}`
  if (isBase(part)) return `In the next round of the base work ${increases} ${by > 0 ? 'fewer' : 'more'} than written, far apart.`
  return 'In the next plain round '
    + (by > 0
      ? `draw ${n === 1 ? 'two stitches' : `${n} pairs of stitches`} together, `
      : `work two in one, ${n === 1 ? 'once' : `${n} times, far apart`}, `)
    + 'where it shows least. In a texture its repeat must come out: make up for it beside the start of the round.'
}

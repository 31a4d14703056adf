import { beginBase } from '../../../parts/base/base'
import type { Design } from '../../design/design'
import type { Gauge } from '../../../things/gauge/gauge'
import { times } from '../../../things/measure/length'
import type { Finding, Fix } from '../../../parts/part/finding'
import { type PartResult, stopped } from '../../../parts/part/part'
import { type StitchBudgetExceeded, EACH_ROUND, MOST_MADE } from '../../../things/round/stitchBudget'
import { type Edge, foundation } from '../../../things/round/edge'
import { heightAsked } from '../../../parts/wall/wall'
import type { PartSource } from '../fold/draftPart'

/** Rounds of a base that begins with more than anybody could work. */
const USUAL = { lengthCm: 20, widthCm: 12, heightCm: 12 }

/** A part of which more would have to be made than a bag is drafted with: it is not begun. */
export function tooMuch(edge: Edge | undefined, gauge: Gauge): PartResult {
  const on = edge ?? foundation('chain', 1)
  return stopped(on, { height: times(gauge.sc.width, 0), circumference: times(gauge.sc.width, on.count) })
}

const said = (count: number) => (Number.isSafeInteger(count) && count < 1e12 ? count.toLocaleString('en') : 'countless')

/** Why, and what would do: fewer rounds of it, a bag without it, or a base of a usual size. */
export function tooMuchFinding(
  design: Design, id: string, from: PartSource, edge: Edge | undefined, beyond: StitchBudgetExceeded,
): Finding {
  const fixes = fixesFor(design, id, from, Math.floor((MOST_MADE - beyond.made) / (EACH_ROUND + (edge?.count ?? 1))))
  return {
    code: 'too-much', weight: 'stop', part: id,
    what:
      `Up to here the bag comes to ${said(beyond.made)} stitches, straps and all, each round and row counted as ${EACH_ROUND} more; `
      + `the next would make ${said(beyond.asked)} more. Beyond ${said(MOST_MADE)} it is not drafted: ask for less, or check the swatch.`,
    ...(fixes[0] ? { fix: fixes[0] } : {}), ...(fixes.length > 1 ? { otherFixes: fixes.slice(1) } : {}),
  }
}

function fixesFor(design: Design, id: string, { wall }: PartSource, roundsLeft: number): Fix[] {
  if (!wall) {
    const { form, stitch, colour } = design.base
    return [
      { label: 'Begin with a small base', changes: [{ path: ['base'], value: beginBase(form, { ...USUAL, stitch, colour }) }] },
    ]
  }
  const rounds = Math.floor(roundsLeft / 2)
  const without: Fix = { label: 'Leave this part out', changes: [{ path: ['wall'], value: design.wall.filter(part => part.id !== id) }] }
  if (rounds < 1 || !heightAsked(wall)) return [without]
  const fewer: Fix = { label: `Work ${rounds} rounds of it`, changes: [{ path: ['wall', id, 'size'], value: { pin: { rounds } } }] }
  return [fewer, without]
}

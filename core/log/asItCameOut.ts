import { pinned } from '../base/sizing'
import type { Design, DesignGauge, WallPart } from '../design/design'
import type { Draft, DraftPart } from '../draft/draft'
import type { WaysField } from '../field/field'
import type { InHand } from '../make/plan'
import type { MakeState } from '../make/state'
import { relativeUncertainty } from '../measure/length'
import { baseSetting } from '../design/seen'
import { FABRIC_KINDS, type FabricKind } from '../stitch/dictionary'
import { kindOf } from '../wall/wall'
import { NINE_OF_TEN } from './estimate'

/*
 * A new design from a bag as it came out: the counts that were really worked, pinned, in the gauge that the work itself showed.
 */

const overTen = (cm: number) => Math.round(1000 / cm) / 100
const percent = (share: number) => Math.max(0.1, Math.round(1000 * NINE_OF_TEN * share) / 10)

/** The gauge that a bag's own measures showed; the swatch's where nothing was measured. */
function shownGauge({ gauge, swatchGauge }: Draft, { gauge: before }: Design, hookMm: number | undefined): DesignGauge {
  const hook = hookMm ?? before.hookMm
  if (gauge === swatchGauge) return { ...before, hookMm: hook }
  const kinds = FABRIC_KINDS.filter(kind => before.measured[kind] || gauge[kind].known === 'measured')
  const sizes = kinds.map(kind => gauge[kind])
  const { assumed: _assumed, learnt: _learnt, ...rest } = before
  return {
    ...rest, hookMm: hook,
    measured: Object.fromEntries(
      kinds.map((kind: FabricKind) => [
        kind, { stitches: overTen(gauge[kind].width.cm), rounds: overTen(gauge[kind].height.cm), overCm: 10 },
      ]),
    ),
    learnt: {
      bags: 1, widePercent: Math.max(...sizes.map(({ width }) => percent(relativeUncertainty(width)))),
      tallPercent: Math.max(...sizes.map(({ height }) => percent(relativeUncertainty(height)))),
    },
  }
}

/** A part of the wall with the counts it has pinned. */
function pinnedPart(spec: WallPart, part: DraftPart | undefined, { gauge }: Draft): WallPart {
  const { size } = kindOf(spec).fields
  const way = size?.is === 'ways' ? (size as WaysField).ways.find(({ under }) => under === 'pin') : undefined
  if (!way || !part || part.rounds.length === 0) return spec
  const now = { part, gauge }
  return { ...spec, ...way.sets?.(spec, now), size: { pin: way.from(spec, now) } } as WallPart
}

/** What cannot be said again by counts: rounds that came out with others than planned. */
function oddCounts({ counts }: Pick<MakeState, 'counts'>): string {
  const odd = counts.filter(({ found, planned, choice }) => choice !== 'as-planned' && found !== planned)
  return odd.map(({ round, found, planned }) => `Round ${round} had ${found} then, ${planned} here.`).join(' ')
}

/** A bag as it came out, as a design of its own. */
export function asItCameOut({ draft: made, plan }: InHand, state: Pick<MakeState, 'counts' | 'wrote'>): Design {
  const { measuredBase: _base, measured: _measured, ...design } = made.design
  const [base] = made.parts
  const note = [plan.note, state.wrote.notes ?? '', oddCounts(state)].filter(Boolean).join('\n').slice(0, 4000)
  return {
    ...design, name: `${plan.name.slice(0, 60)}, as it came out`, note, gauge: shownGauge(made, plan, state.wrote.hookMm),
    base: base ? pinned(design.base, baseSetting(design, made.swatchGauge), base) : design.base,
    wall: design.wall.map(spec => pinnedPart(spec, made.parts.find(({ id }) => id === spec.id), made)),
  }
}

import { wallPartOf } from '../../bag/draft/fold/draftPart'
import { hasFloor, isDisc } from '../../parts/part/floor'
import { pinned } from '../../parts/base/sizing'
import type { Design, DesignGauge, WallPart } from '../../bag/design/design'
import { applyFix } from '../../bag/design/edit'
import type { Measure } from '../../bag/design/measures'
import { type Draft, draft, type DraftPart } from '../../bag/draft/draft'
import { drift } from '../../bag/draft/replan/drift'
import type { WaysField } from '../../parts/field/field'
import type { CountDeed } from '../make/event'
import type { InHand } from '../make/plan'
import type { MakeState } from '../make/makeState'
import { relativeUncertainty } from '../../things/measure/length'
import { baseSetting } from '../../bag/design/partContexts'
import { FABRIC_KINDS, type FabricKind } from '../../things/stitch/dictionary'
import { isPlain, kindOf } from '../../parts/wall/wall'
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

/** Things that cannot be said again by counts: rounds that came out with others than planned. */
function oddCounts(odd: readonly CountDeed[]): string {
  return odd.map(({ round, found, planned }) => `Round ${round} had ${found} then, ${planned} here.`).join(' ')
}

/** The round of a design at which a kept count can be said: its own, in a plain band, or the first of the plain band above it. */
function sayableAt({ parts, rounds }: Draft, round: number): number | undefined {
  const at = parts.findIndex(part => part.id === rounds[round - 1]?.part)
  const band = parts.slice(at).find((part) => {
    const spec = wallPartOf(part)
    return spec !== undefined && isPlain(spec) && part.rounds.length > 1
  })
  return band && Math.max(round, band.firstRound)
}

/**
 * A design in which a kept count is an adjusting round of its plain band, so that all above comes to what it came to. Nothing where it
 * cannot be said so, or the bag would come out otherwise above.
 */
function withKeptCount(design: Design, { round, found, planned }: CountDeed, made: Draft): Design | undefined {
  const now = draft(design)
  const at = sayableAt(now, round)
  if (at === undefined) return undefined
  const count = now.rounds[at - 1]!.worked.edge.count + found - planned
  const fix = drift(now, at, count)?.ways.find(({ way }) => way === 'live-with-it')?.fix
  const kept = fix && applyFix(design, fix).design
  const after = kept && draft(kept)
  const [top, wanted] = [after, made].map(one => one?.rounds.at(-1)?.worked.edge.count)
  const same = after?.rounds.length === made.rounds.length && top === wanted
  return same ? kept : undefined
}

/** The finished floor as it was measured last, so that the next bag knows how large it really was. */
function measuredFloor(
  { parts: [base] }: Draft,
  stitches: number,
  { measured }: Pick<MakeState, 'measured'>,
): Pick<Design, 'measuredBase'> {
  const cm = (what: Measure) => measured.findLast(one => one.do === 'measured' && one.what === what && one.round === base?.rounds.length)
  const [length, width] = [cm('base-length'), cm('base-width')].map(one => (one?.do === 'measured' ? one.cm : undefined))
  if (!base || (length === undefined && width === undefined)) return {}
  const { floor } = base.size
  const disc = isDisc(floor)
  return {
    measuredBase: {
      lengthCm: length ?? (disc ? width! : floor?.length.cm ?? width!), rounds: base.rounds.length, stitches,
      ...(disc || !hasFloor(floor) ? {} : { widthCm: width ?? floor.width.cm }),
    },
  }
}

/** A bag as it came out, as a design of its own. */
export function designAsMade({ draft: made, plan }: InHand, state: Pick<MakeState, 'counts' | 'measured' | 'wrote'>): Design {
  const { measuredBase: _base, measured: _measured, ...design } = made.design
  const [base] = made.parts
  const pinnedDesign: Design = {
    ...design, name: `${plan.name.slice(0, 60)}, as it came out`, gauge: shownGauge(made, plan, state.wrote.hookMm),
    base: base ? pinned(design.base, baseSetting(design, made.swatchGauge), base) : design.base,
    wall: design.wall.map(spec => pinnedPart(spec, made.parts.find(({ id }) => id === spec.id), made)),
  }
  const kept = state.counts.filter(({ found, planned, choice }) => choice === 'live-with-it' && found !== planned)
  const [said, unsaid] = kept.reduce<readonly [Design, readonly CountDeed[]]>(([now, left], count) => {
    const next = withKeptCount(now, count, made)
    return next ? [next, left] : [now, [...left, count]]
  }, [pinnedDesign, []])
  const note = [plan.note, state.wrote.notes ?? '', oddCounts(unsaid)].filter(Boolean).join('\n').slice(0, 4000)
  // A count that was kept in the floor is said above it: the floor of the new design has its planned stitches.
  const stitches = draft(said).parts[0]?.edge.count ?? 0
  return { ...said, note, ...measuredFloor(made, stitches, state) }
}

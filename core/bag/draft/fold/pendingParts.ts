import { workBase } from '../../../parts/base/base'
import type { Design, WallPart } from '../../design/design'
import { partNames } from '../../design/partNames'
import { roundsOf, contextsIn } from '../../design/partContexts'
import type { Gauge } from '../../../things/gauge/gauge'
import type { PartResult, Setting } from '../../../parts/part/part'
import type { Edge } from '../../../things/round/edge'
import { turnUp } from '../../../parts/wall/turnUp'
import { looksUp, mainStitch, workWall } from '../../../parts/wall/wall'
import { accepts } from './accepts'
import { asked, type Rework } from '../replan/resumePart'
import type { PartSource } from './draftPart'

/*
 * The parts of a bag from the floor up, each waiting to be worked onto the edge below.
 */

/** A part waiting to be worked onto the edge below. */
export interface PendingPart {
  readonly id: string
  readonly name: string
  readonly from: PartSource
  /** Things that it looks at besides its spec and what lies below. */
  readonly sees: readonly unknown[]
  /** Works it onto the edge below; the base stands on none. */
  readonly work: (edge: Edge | undefined, setting: Setting, instead: Parameters<Rework>[0]) => PartResult
}

/** A part of the wall in its place, and what it is called there. */
interface NamedPart {
  readonly spec: WallPart
  readonly name: string
  readonly index: number
}

/**
 * The parts of a bag, from the floor up.
 *
 * @param dividing what lies below is worked: counts that are found come to what everything above accepts
 */
export function pendingParts(design: Design, gauge: Gauge, dividing: boolean): PendingPart[] {
  const names = partNames(design)
  return [
    pendingBase(design), pendingTurnUp(design, gauge),
    ...design.wall.map((spec, index) => pendingWallPart(design, gauge, { spec, name: names[index]!, index }, dividing)),
  ]
}

/** On which hook and in what rounds a part is worked, as far as its answers say. */
function howItGoes({ hook, goes }: Pick<PartSource, 'hook' | 'goes'>): Pick<PartSource, 'hook' | 'goes'> {
  return { ...(hook ? { hook } : {}), ...(goes ? { goes } : {}) }
}

function pendingBase({ base, repeats }: Design): PendingPart {
  return {
    id: 'base', name: base.called ?? 'Base', from: { path: ['base'], spec: base, ...howItGoes(base), base, stitch: base.stitch, index: 0 },
    sees: [repeats],
    work: (_, setting) => workBase(base, setting),
  }
}

/** The turn-up, in the stitch and yarn of what stands on it. */
function pendingTurnUp(design: Design, gauge: Gauge): PendingPart {
  const [first] = design.wall
  const stitch = first ? mainStitch(first, contextsIn(design, gauge)) : design.base.stitch
  const colour = first?.colour ?? design.base.colour
  return {
    id: 'turnUp', name: design.turnUpCalled ?? 'Turn-up',
    from: { path: ['turnUp'], spec: design.turnUp, ...howItGoes(first ?? {}), goesWithNext: true, stitch, index: 0 },
    sees: [stitch, colour, roundsOf(first ?? {}, design.rounds), first?.hook],
    work: (edge, setting) => turnUp(design.turnUp, stitch, colour, edge!, setting),
  }
}

function pendingWallPart(design: Design, gauge: Gauge, { spec, name, index }: NamedPart, dividing: boolean): PendingPart {
  const above = looksUp(spec) || dividing ? [...design.wall.slice(index + 1), design.mouth?.divides] : []
  const context = contextsIn(design, gauge)
  const { repeats, hook } = context
  return {
    id: spec.id, name,
    from: { path: ['wall', spec.id], spec, ...howItGoes(spec), wall: spec, stitch: mainStitch(spec, context), index },
    sees: [design.repeats, hook.hookMm, hook.strands, index, name, dividing, ...above],
    work: (edge, setting, instead) =>
      workWall(asked(spec, instead), edge!, {
        ...setting, repeats, hook, accepts: accepts(design, index + 1, gauge), ...(dividing ? { dividing } : {}),
      }),
  }
}

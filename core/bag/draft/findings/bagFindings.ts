import { hasFloor } from '../../../parts/part/floor'
import { flatness, flatnessFinding } from '../../../parts/base/flatness'
import { discIncreases } from '../../../parts/base/increaseSchools'
import type { Design } from '../../design/design'
import { gaugeOf } from '../../../things/gauge/gauge'
import type { Finding } from '../../../parts/part/finding'
import { hasRound } from '../../../parts/wall/turnUp'
import { HOOK_SIZES, hookLabel } from '../../../things/stitch/hooks'
import type { Bag } from './judge'
import type { BagSizes } from '../sizes'

/** A bag that folds flat has no fold between floor and wall. */
function needlessTurnUp(design: Design, sizes: BagSizes): Finding[] {
  if (hasFloor(sizes.floor) || !hasRound(design.turnUp)) return []
  return [
    {
      code: 'turn-up-needless', weight: 'watch', part: 'turnUp',
      what: 'A bag without a floor wants no turn-up: the round would show as a line across it.',
      fix: { label: 'Leave the turn-up plain', changes: [{ path: ['turnUp'], value: 'plain' }] },
    },
  ]
}

/** The next hook on the list, larger or smaller. */
function nextHook(mm: number, larger: boolean): number | undefined {
  const sizes = HOOK_SIZES.map(hook => hook.mm)
  return larger ? sizes.find(size => size > mm) : sizes.filter(size => size < mm).at(-1)
}

/**
 * Makers also change the hook: a larger one for a base that cups, a smaller one for one that ruffles. What it does to the
 * gauge is a guess until it is measured: stitches as much wider and taller as the hook (from memory).
 */
function otherHook(design: Design): Finding[] {
  const gauge = gaugeOf(design.gauge)
  const increases = discIncreases(design.base, gauge)
  if (increases === undefined) return []
  const stitch = gauge[design.base.stitch]
  const { weight } = flatnessFinding(increases, design.base.stitch, stitch, 0)
  const { hookMm } = design.gauge
  // What is normal practice needs no other hook.
  const other = weight === 'note' ? undefined : nextHook(hookMm, flatness(increases, stitch).judgement === 'dish')
  if (other === undefined) return []
  const by = other / hookMm
  const measured = Object.fromEntries(
    Object.entries(design.gauge.measured).map(([kind, { overCm, tallCm, ...counts }]) => [
      kind,
      {
        ...counts, overCm: Math.min(200, Math.max(1, overCm * by)),
        ...(tallCm ? { tallCm: Math.min(200, Math.max(1, tallCm * by)) } : {}),
      },
    ]),
  )
  return [
    {
      code: 'other-hook', weight: 'note', part: 'base',
      what: `Some makers would try a ${hookLabel(other)} hook first. Its gauge here is an estimate, and the ratio of width to height `
        + 'changes only if your hands do: work a new swatch.',
      fix: {
        label: `Try ${other} mm, as an estimate`,
        changes: [{ path: ['gauge'], value: { ...design.gauge, hookMm: other, measured, assumed: true } }],
      },
    },
  ]
}

/** Findings that take more than one part to see. */
export function bagFindings({ design, sizes }: Bag): Finding[] {
  return [...needlessTurnUp(design, sizes), ...otherHook(design)]
}

import { footprintOf, outlineOf } from '../part/floor'
import { tenths } from '../field/context'
import { kind } from '../kind/kind'
import { tape } from '../../things/stitch/translate'
import type { Finding } from '../part/finding'
import type { PartResult, Setting } from '../part/part'
import type { Edge } from '../../things/round/edge'
import { SLOT_CM, slotFields, slotsOn, type SlotsSpec } from './slotSpec'
import { slotsDemand } from './slotDemand'
import { slotCm, strongerSlots, workSlots } from './slots'

/** Straps from corner to corner lie along the bag's long side. */
function offCorners(spec: SlotsSpec, { rounds: [first] }: PartResult, { floor, gauge }: Setting): Finding[] {
  if (!first || !floor) return []
  const wideCm = slotCm(spec, slotsOn(spec, first.on, { gauge }, first.round.begin.turn), gauge)
  const longCm = outlineOf(floor).straightCm(footprintOf(floor))
  if (longCm < 3 || Math.abs(wideCm - longCm) < 1.5) return []
  return [
    {
      code: 'not-at-corners', weight: 'note',
      what: `The straps stand ${tape(wideCm)} apart; the bag's long side is ${tape(longCm)} from corner to corner.`,
      fix: { label: 'From corner to corner', changes: [{ path: ['width'], value: { want: { widthCm: Math.round(longCm * 10) / 10 } } }] },
    },
  ]
}

function workChainStraps(spec: SlotsSpec, edge: Edge, setting: Setting): PartResult {
  const result = workSlots(spec, edge, setting)
  return { ...result, findings: [...result.findings, ...offCorners(spec, result, setting)] }
}

/** Chain straps: slots from corner to corner (craft 10). */
export const chainStraps = kind({
  kind: 'chain-straps', group: 'Handles', name: 'chain straps',
  does: 'A long chain from corner to corner on each face, and a round worked over everything.',
  fields: slotFields('From corner to corner', 'over'), tools: ['where-placed'],
  sample: { on: 'rim', spec: spec => ({ ...spec, chains: { want: { dropCm: 4 } }, width: { want: { widthCm: 8 } }, rounds: 2 }) },
  begins: ({ stitch, aroundCm }) => ({
    stitch, chains: { want: { dropCm: 20 } }, width: { want: { widthCm: Math.max(4, tenths(aroundCm / 3.2, SLOT_CM)) } },
  }),
  demand: (spec, { gauge }) => slotsDemand(spec, gauge), main: spec => spec.stitch, work: workChainStraps, strengthen: strongerSlots,
})

import type { PartResult, Setting } from '../part/part'
import { type BaseSpec, workBase } from './base'
import { increasesOf } from './circle'
import { ovalCounts, perEndOf } from './oval'

/** A base with the counts it comes to pinned, increases by gauge included: it stays as it is whatever the gauge. */
export function pinned(spec: BaseSpec, setting: Setting, worked: PartResult): BaseSpec {
  const rounds = Math.max(1, worked.rounds.length)
  switch (spec.form) {
    case 'circle': return { ...spec, increases: increasesOf(spec, setting.gauge[spec.stitch]), size: { pin: { rounds } } }
    case 'double-disc': return { ...spec, increases: increasesOf(spec, setting.gauge[spec.stitch]), size: { pin: { rounds: Math.max(1, (rounds - 1) / 2) } } }
    case 'oval': return { ...spec, perEnd: perEndOf(spec, setting.gauge[spec.stitch]), size: { pin: ovalCounts(spec, setting) } }
    case 'boat': return { ...spec, size: { pin: { sideStitches: Math.max(1, worked.edge.count / 2 - spec.perEnd) } } }
    case 'rectangle': return { ...spec, size: { pin: { stitches: worked.rounds[0]?.edge.count ?? 2, rows: Math.max(1, rounds - 1) } } }
    case 'tube': return { ...spec, size: { pin: { stitches: worked.edge.count } } }
    case 'folded': return { ...spec, size: { pin: { repeats: Math.max(1, Math.round((worked.edge.count / 2 - spec.edgeStitches) / spec.repeat)), rows: rounds } } }
    case 'bought': return spec
  }
}

function tenth(cm: number): number {
  return Math.min(150, Math.max(1, Math.round(cm * 10) / 10))
}

/** A base wanted in the size it has now. */
export function wanted(spec: BaseSpec, worked: PartResult): BaseSpec {
  const { floor, circumference, height } = worked.size
  const [lengthCm, widthCm] = [tenth(floor?.length.cm ?? circumference.cm / 2), tenth(floor?.width.cm ?? 1)]
  switch (spec.form) {
    case 'circle':
    case 'double-disc': return { ...spec, size: { want: { diameterCm: lengthCm } } }
    case 'oval':
    case 'rectangle': return { ...spec, size: { want: { lengthCm, widthCm } } }
    case 'boat':
    case 'tube': return { ...spec, size: { want: { flatWidthCm: lengthCm } } }
    case 'folded': return { ...spec, size: { want: { widthCm: lengthCm, heightCm: tenth(height.cm) } } }
    case 'bought': return spec
  }
}

/** A base one count away from another: what it pins and how large it is. */
export interface Neighbour {
  readonly spec: BaseSpec
  readonly worked: PartResult
  /** Whether it is the one the choice is about. */
  readonly here: boolean
}

/**
 * The bases on either side of one: each of its counts one fewer and one more, the others as they are. When a wanted size
 * cannot be hit exactly, these are the nearest there are.
 */
export function neighbours(spec: BaseSpec, setting: Setting): Neighbour[] {
  const worked = workBase(spec, setting)
  const own = pinned(spec, setting, worked)
  const found: Neighbour[] = [{ spec: own, worked, here: true }]
  if (!('size' in own) || !('pin' in own.size) || worked.rounds.length === 0) return found
  const counts = own.size.pin as Readonly<Record<string, number>>
  for (const [name, count] of Object.entries(counts)) {
    for (const by of [-1, 1]) {
      if (count + by < 1) continue
      const other = { ...own, size: { pin: { ...counts, [name]: count + by } } } as BaseSpec
      found.push({ spec: other, worked: workBase(other, setting), here: false })
    }
  }
  const size = ({ worked: { size } }: Neighbour) => (size.floor?.length.cm ?? 0) * 1000 + (size.floor?.width.cm ?? 0)
  return found.sort((a, b) => size(a) - size(b))
}

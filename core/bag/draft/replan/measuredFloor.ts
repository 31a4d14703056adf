import { hasFloor, isDisc } from '../../../parts/part/floor'
import { changed } from '../../../parts/field/changed'
import { workBase } from '../../../parts/base/base'
import { evidenceOf } from '../../../parts/base/measuredBase'
import type { TapeMeasurement } from '../../../parts/base/form'
import { pinned } from '../../../parts/base/sizing'
import type { BaseSpec } from '../../../parts/base/base'
import type { Design } from '../../design/design'
import { baseSetting } from '../../design/partContexts'
import type { Gauge } from '../../../things/gauge/gauge'
import { type Evidence, TAPE_CM } from '../../../things/gauge/refine'
import type { Length } from '../../../things/measure/length'
import type { PartSize } from '../../../parts/part/part'
import type { DraftPart } from '../fold/draftPart'
import type { Stop } from './measurements'

/** A finished floor as the tape said: the side that was not measured is as sure as it was. */
export interface MeasuredFloor {
  readonly length: Length
  readonly width: Length | undefined
}

/** A floor under the tape, as it was measured or as it was told. */
type BaseSides = TapeMeasurement & { readonly only?: 'width' }

/** The tape's length of a base, the side that was not measured as it was told; nothing if it was not laid there. */
function tapedBase(told: BaseSides, stop: Stop): BaseSides | undefined {
  const cm = (what: string) => (stop.taken.findLast(one => 'what' in one && one.what === what) as { cm: number } | undefined)?.cm
  const [length, width] = [cm('base-length'), cm('base-width')]
  if (length === undefined && width === undefined) return undefined
  if (told.widthCm === undefined) return { lengthCm: (length ?? width)! }
  if (length !== undefined) return { lengthCm: length, widthCm: width ?? (told.widthCm * length) / told.lengthCm }
  return { lengthCm: told.lengthCm + width! - told.widthCm, widthCm: width!, only: 'width' }
}

/** How long and wide a base is told to be; a disc, or what has no floor, has no width of its own. */
function sidesOf({ floor, circumference }: PartSize): BaseSides {
  if (!hasFloor(floor)) return { lengthCm: floor?.length.cm || circumference.cm / 2 }
  return isDisc(floor) ? { lengthCm: floor.length.cm } : { lengthCm: floor.length.cm, widthCm: floor.width.cm }
}

/** A base as far as it is worked, its counts pinned. */
export function asFarAs(spec: BaseSpec, rounds: number): BaseSpec {
  if (!('size' in spec) || !('pin' in spec.size)) return spec
  const pin = Object.fromEntries(
    Object.entries(spec.size.pin).map(([name, count]) => [name, name === 'rounds' || name === 'rows' ? rounds : count]),
  )
  return changed(spec, { size: { pin } })
}

/** A stitch by what a length of the work was and should have been: as much larger or smaller. */
function byRatio(stitch: Length, real: Length | undefined, told: Length | undefined): Length | undefined {
  if (!real || !told || told.cm <= 0 || real.cm <= 0) return undefined
  return { cm: (stitch.cm * real.cm) / told.cm, plusMinusCm: (stitch.cm * real.plusMinusCm) / told.cm }
}

/** Evidence of a measured base about its stitch. A form says what it makes of a length: of the one measured, and of the one told. */
export function baseEvidence(part: DraftPart, design: Design, gauge: Gauge, stop: Stop): Evidence | undefined {
  const { base } = part.from
  if (!base) return undefined
  const setting = baseSetting(design, gauge)
  const rounds = stop.round - part.firstRound + 1
  const whole = pinned(base, setting, part)
  const done = rounds === part.rounds.length
  const worked = done ? whole : asFarAs(whole, rounds)
  const told = sidesOf(done ? part.size : workBase(worked, setting).size)
  const taped = tapedBase(told, stop)
  const [real, then] = [taped && evidenceOf(worked, taped, setting), evidenceOf(worked, told, setting)]
  if (!real || !then) return undefined
  const stitch = gauge[real.kind]
  const width = taped?.only === 'width' ? undefined : byRatio(stitch.width, real.width, then.width)
  const height = byRatio(stitch.height, real.height, then.height)
  return width || height ? { kind: real.kind, ...(width ? { width } : {}), ...(height ? { height } : {}) } : undefined
}

/** A finished floor by the tape; nothing if that was not laid there. */
export function tapedFloor(part: DraftPart, stop: Stop): MeasuredFloor | undefined {
  const told = sidesOf(part.size)
  const taped = tapedBase(told, stop)
  if (!taped) return undefined
  const measured = (what: string) => stop.taken.some(one => 'what' in one && one.what === what)
  const one = (cm: number, sure: boolean, before: number): Length => ({ cm, plusMinusCm: sure ? TAPE_CM : before })
  const { length, width } = part.size.floor ?? {}
  const [alone, both] = [taped.widthCm === undefined, measured('base-length')]
  return {
    length: one(taped.lengthCm, alone || both, length?.plusMinusCm ?? TAPE_CM),
    width: taped.widthCm === undefined ? undefined : one(taped.widthCm, measured('base-width'), width?.plusMinusCm ?? TAPE_CM),
  }
}

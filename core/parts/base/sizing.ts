import { changed } from '../field/changed'
import type { QuestionContext } from '../field/context'
import type { Way, WaysField } from '../field/field'
import type { PartResult, Setting } from '../part/part'
import { type BaseSpec, formOf, workBase } from './base'

/** The first way of deciding a base's size under a name; none of a form that has no size to decide. */
function sizeWay(spec: BaseSpec, under: Way['under']): Way | undefined {
  const { size } = formOf(spec).fields
  return size?.is === 'ways' ? (size as WaysField).ways.find(way => way.under === under) : undefined
}

function decidedBy(spec: BaseSpec, under: Way['under'], now: QuestionContext): BaseSpec {
  const way = sizeWay(spec, under)
  return way ? changed(spec, { ...way.sets?.(spec, now), size: { [under]: way.from(spec, now) } }) : spec
}

/** A base with the counts it comes to pinned, increases by gauge included: it stays as it is whatever the gauge. */
export function pinned(spec: BaseSpec, { gauge }: Pick<Setting, 'gauge'>, worked: PartResult): BaseSpec {
  return decidedBy(spec, 'pin', { part: worked, gauge })
}

/** A base wanted in the size it has now. */
export function wanted(spec: BaseSpec, { gauge }: Pick<Setting, 'gauge'>, worked: PartResult): BaseSpec {
  return decidedBy(spec, 'want', { part: worked, gauge })
}

/** A base one count away from another: what it pins and how large it is. */
interface Neighbour {
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

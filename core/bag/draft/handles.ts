import type { Design } from '../design/design'
import { dropCm, legPull, stretchShare } from '../../parts/handle/drop'
import type { Handle } from '../../parts/part/handle'
import type { DraftPart } from './fold/draftPart'

/** A handle of the bag as it hangs, empty and loaded. */
export interface Hanging {
  readonly handle: Handle
  readonly part: DraftPart
  /** How high above the floor its feet stand. */
  readonly feetCm: number
  readonly dropCm: number
  /** Its share of the load that was stated, and the pull on each centimetre of its width. */
  readonly kg?: number
  readonly kgPerCm?: number
  /** The share by which it lengthens under that load, and what becomes of its drop. */
  readonly stretch: number
  readonly loadedDropCm: number
  /** By the maker's own strip, or by the usual share. */
  readonly tested: boolean
}

/** Height that a handle adds above its lower edge: of one that arches in its own plane its width, of a strap that lies flat nothing. */
function backCm({ aboveCm, widthCm }: Handle): number {
  return aboveCm > 0 ? widthCm : 0
}

function hangingOf(design: Design, part: DraftPart, handle: Handle, feetCm: number, sharedBy: number): Hanging {
  const weight = design.contents?.weightKg
  const kg = weight === undefined ? undefined : weight / sharedBy
  const pull = kg === undefined ? undefined : legPull(kg, handle.lengthCm, handle.gapCm)
  const test = pull === undefined || handle.bought ? undefined : design.stretch
  const stretch = handle.bought ? 0 : stretchShare(test, pull ?? 0, handle.widthCm)
  return {
    handle, part, feetCm, stretch, tested: test !== undefined,
    dropCm: dropCm(handle.lengthCm, handle.gapCm), loadedDropCm: dropCm(handle.lengthCm * (1 + stretch), handle.gapCm),
    ...(kg === undefined || pull === undefined ? {} : { kg, kgPerCm: pull / handle.widthCm }),
  }
}

/** Every handle of a bag, from the floor up: together they carry what the bag must hold, each as much as the others. */
export function hangingsOf(design: Design, parts: readonly DraftPart[]): Hanging[] {
  const sharedBy = parts.reduce((sum, { handles }) => sum + handles.length, 0)
  let tall = 0
  return parts.flatMap((part) => {
    const below = tall
    tall += part.size.height.cm
    return part.handles.map(handle => hangingOf(design, part, handle, below + handle.aboveCm, sharedBy))
  })
}

/** How tall a bag is to the top of its handles held up: empty, and loaded, where a net lengthens besides. */
export interface WithHandles {
  /** Their feet held apart, as they stand on the rim. */
  readonly emptyCm: number
  /** Gathered in one hand: each reaches half its length up. */
  readonly togetherCm: number
  readonly loadedCm: number
}

/** The bag's height with its handles; nothing for a bag without any. */
export function withHandles(hangings: readonly Hanging[], heightCm: number, loadedHeightCm: number | undefined): WithHandles | undefined {
  if (hangings.length === 0) return undefined
  const more = (loadedHeightCm ?? heightCm) - heightCm
  return {
    emptyCm: Math.max(heightCm, ...hangings.map(({ handle, feetCm, dropCm: drop }) => feetCm + drop + backCm(handle))),
    togetherCm: Math.max(heightCm, ...hangings.map(({ handle, feetCm }) => feetCm + handle.lengthCm / 2 + backCm(handle))),
    loadedCm: more + Math.max(heightCm, ...hangings.map(({ handle, feetCm, loadedDropCm }) => feetCm + loadedDropCm + backCm(handle))),
  }
}

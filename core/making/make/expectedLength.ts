import { workBase } from '../../parts/base/base'
import { pinned } from '../../parts/base/sizing'
import { heightAt } from '../../readers/beats/checks'
import type { Measure } from '../../bag/design/measures'
import type { Draft, DraftPart } from '../../bag/draft/draft'
import { aroundOf, isBase } from '../../bag/draft/fold/draftPart'
import { asFarAs } from '../../bag/draft/replan/measuredFloor'
import { holds } from '../../bag/draft/replan/measurements'
import type { Length } from '../../things/measure/length'
import { relativeUncertainty } from '../../things/measure/length'
import { baseSetting } from '../../bag/design/partContexts'
import { type Floor, hasFloor, isDisc } from '../../parts/part/floor'

/** Expected length of the work when so many rounds of the bag are done, and of what. */
export interface ExpectedLength {
  readonly what: Measure
  readonly length: Length
  readonly part: DraftPart
  /** So many of its rounds are done. */
  readonly rounds: number
}

/** The floor when so many of its rounds are worked. */
function floorAt({ design, stages }: Draft, part: DraftPart, rounds: number): Floor | undefined {
  const { base } = part.from
  if (!base || rounds === part.rounds.length) return part.size.floor
  const setting = baseSetting(design, stages.fold.known.gauge)
  return workBase(asFarAs(pinned(base, setting, part), rounds), setting).size.floor
}

/** The part's own height when so many of its rounds are done. */
function ownHeight(part: DraftPart, rounds: number): Length {
  const { cm } = heightAt([part], part, rounds)
  return { cm, plusMinusCm: cm * relativeUncertainty(part.size.height) }
}

/** Expected reading of the tape when a bag's `round`-th round is done; nothing where that cannot be measured there. */
export function expected(drafted: Draft, round: number, what: Measure): ExpectedLength | undefined {
  const part = drafted.parts.find(one => holds(one, round))
  if (!part) return undefined
  const rounds = round - part.firstRound + 1
  const length = lengthOf(drafted, part, rounds, what)
  return length && length.cm > 0 ? { what, length, part, rounds } : undefined
}

function lengthOf(drafted: Draft, part: DraftPart, rounds: number, what: Measure): Length | undefined {
  if (isBase(part)) {
    const floor = floorAt(drafted, part, rounds)
    if (what === 'base-length') return floor?.length
    return what === 'base-width' && hasFloor(floor) ? floor.width : undefined
  }
  switch (what) {
    case 'flat-width': {
      const cm = aroundOf(part, rounds - 1) / 2
      return { cm, plusMinusCm: cm * relativeUncertainty(part.size.circumference) }
    }
    case 'height': return heightAt(drafted.parts, part, rounds)
    case 'part-height': return ownHeight(part, rounds)
    default: return undefined
  }
}

/** Everything that can be measured of a bag when its `round`-th round is done. */
export function measurable(drafted: Draft, round: number): ExpectedLength[] {
  const all: readonly Measure[] = ['base-width', 'base-length', 'part-height', 'height', 'flat-width']
  const found = all.flatMap(what => expected(drafted, round, what) ?? [])
  const disc = isDisc(drafted.parts[0]?.size.floor)
  const only = found[0] && isBase(found[0].part) && disc ? found.slice(0, 1) : found
  // Of the first band right above the floor the two heights are one.
  const [own, whole] = [only.find(({ what }) => what === 'part-height'), only.find(({ what }) => what === 'height')]
  return own && whole && Math.abs(own.length.cm - whole.length.cm) < 1e-6 ? only.filter(one => one !== own) : only
}

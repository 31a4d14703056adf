import { hasFloor } from '../../parts/part/floor'
import { type DraftPart, isBase } from '../../bag/draft/fold/draftPart'
import { tape } from '../../things/stitch/translate'
import { heightAt } from './checks'
import type { Leg, Route } from './leg'

/** So many rounds of a net are nothing to look at yet (craft 17). */
const NET_SHOWS_AFTER = 3
/** So many rounds above a floor it still stands like a boat, or is drawn in (craft 17). */
const SETTLES_AFTER = 5

/** A flat piece, which is folded when it is done. */
function flatLooks(part: DraftPart, inPart: number): string[] {
  if (part.rounds[inPart - 1]?.round.join !== 'open') return []
  const share = Math.round((100 * inPart) / part.rounds.length)
  return [
    `A flat piece, about ${share} % of it. It curls along its first rows and lies down as it grows; its edges are uneven until they are `
    + `seamed.`,
  ]
}

function floorLooks(part: DraftPart, inPart: number): string[] {
  const { floor } = part.size
  if (part.laid)
    return [
      `A round piece about ${tape(2 * part.laid.ringsCm[inPart - 1]!)} across.`,
      'Loops curl and look like nothing until a few rounds hold them; pulled out and patted flat it lies.',
    ]
  if (!hasFloor(floor)) return flatLooks(part, inPart)
  const share = inPart / part.rounds.length
  const said
    = floor.length.cm === floor.width.cm
      ? [`A disc about ${tape(floor.width.cm * share)} across.`]
      : [`About ${Math.round(share * 100)} % of the floor: done, it measures ${tape(floor.length.cm)} by ${tape(floor.width.cm)}.`]
  return [
    ...said,
    inPart <= 3
      ? 'It may curl into a little bowl: that is how it begins.'
      : 'A slight wave or dome is no mistake: it settles as the wall is worked.',
  ]
}

function wallLooks({ draft }: Route, part: DraftPart, inPart: number): string[] {
  const { cm } = heightAt(draft.parts, part, inPart)
  const base = draft.parts[0]!
  const aboveBase = part.firstRound + inPart - 1 - base.rounds.length
  const tall = cm >= 1 ? [`It stands about ${tape(cm)} tall.`] : []
  if (aboveBase <= SETTLES_AFTER) {
    return [
      ...tall, 'It looks too small still, and may stand like a boat or draw in: a floor keeps growing a round or two into the wall, '
      + 'and then the sides fold up.',
    ]
  }
  if (part.net && inPart < NET_SHOWS_AFTER) return [...tall, 'A net looks like nothing before its third round.']
  if (part.net) return [...tall, 'It hangs longer than it lies: pull it down to see the loops open.']
  if (part.casing) return [...tall, 'The holes of this round are meant to be there: the cord or the hand goes through.']
  return tall
}

/** Notes on how a leg should look in the hand while it is in work; texts before they are translated (translate.ts). */
export function lookWordsAt(road: Route, leg: Leg): string[] {
  const part = road.draft.parts.find(({ id }) => id === leg.part)
  if (leg.sort === 'row' && leg.worked?.round.join === 'open')
    return ['A strip of its own, longer than it is wide: it curls until it is sewn on.']
  if (!part || leg.sort !== 'round') return []
  const inPart = leg.number - part.firstRound + 1
  const own = part.looks && inPart > part.rounds.length / 2 ? [part.looks] : []
  return [...(isBase(part) ? floorLooks(part, inPart) : wallLooks(road, part, inPart)), ...own]
}

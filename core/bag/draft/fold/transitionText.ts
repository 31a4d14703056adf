import type { Design } from '../../design/design'
import type { Hook } from '../../../things/gauge/onHook'
import type { Rounds } from '../../../things/round/style'
import { hookLabel } from '../../../things/stitch/hooks'
import { hookOfPart, roundsOfPart } from './partGauge'
import type { PartSource } from './draftPart'

/*
 * Notes where a part goes otherwise than the one below: how its rounds are joined, which side faces, what its starting chains are,
 * and with which hook and how many strands it is worked.
 */

/** How rounds go on from others. */
function styleWords(now: Rounds, then: Rounds, wrongBelow: boolean): string[] {
  if (now.style === then.style && (now.turnsAfter ?? 0) === 0) return []
  const right = wrongBelow ? ' Turn once first, so that the right side faces, and then no more.' : ''
  if (now.style === 'spiral')
    return [`From here on work in a spiral: do not join, put a marker in the first stitch of each round and move it up.${right}`]
  const evened = then.style === 'spiral' ? ' Even the step of the spiral with a {slst} first.' : ''
  if (now.style === 'joined') return [`From here on join each round, with the right side facing.${evened}${right}`]
  const { turnsAfter = 0 } = now
  const first = turnsAfter === 1 ? 'first one' : `first ${turnsAfter}`
  const begins = turnsAfter === 0 ? ' and turn after it' : `; turn after the ${first}, and after every one from then on`
  return [`From here on join each round${begins}.${evened}`]
}

const COUNTS: Readonly<Record<string, string>> = {
  true: 'From here on the starting chain counts as the first stitch.',
  false: 'From here on the starting chain does not count.',
  tall: 'From here on the starting chain counts as a stitch in {dc} and {tr}, and does not in {sc} and {hdc}.',
}

/** Note on the starting chain. */
function chainWords(now: Rounds, then: Rounds): string[] {
  if (now.style === 'spiral') return []
  return now.startingChainCounts === then.startingChainCounts && then.style !== 'spiral' ? [] : [COUNTS[String(now.startingChainCounts)]!]
}

function hookWords(now: Hook, then: Hook): string[] {
  const strands = now.strands === 1 ? 'one strand' : `${now.strands} strands held together`
  return [
    ...(now.hookMm === then.hookMm ? [] : [`Change to the ${hookLabel(now.hookMm)} hook.`]),
    ...(now.strands === then.strands ? [] : [`Go on with ${strands}.`]),
  ]
}

/**
 * Notes before a part is begun, by the one below it.
 *
 * @param wrongBelow whether the last round below has the wrong side facing
 */
export function transitionText(design: Design, from: PartSource, below: PartSource, wrongBelow: boolean, hasRounds: boolean): string[] {
  const [now, then] = [from, below].map(one => roundsOfPart(one, design)) as [Rounds, Rounds]
  const [hook, before] = [from, below].map(one => hookOfPart(one, design)) as [Hook, Hook]
  const style = hasRounds && now !== then ? [...styleWords(now, then, wrongBelow && now.style !== 'turned'), ...chainWords(now, then)] : []
  return [...style, ...hookWords(hook, before)]
}

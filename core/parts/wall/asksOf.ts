import type { PartContext } from '../kind/kind'
import { asksWords } from '../part/asks'
import { demandOf, kindOf, type WallSpec } from './wall'

/** Demand of a part on the stitches below it, and its yield; nothing if it takes any, or comes to a count of its own. */
export function asksOfPart(spec: WallSpec, seen: PartContext): string {
  const demand = kindOf(spec).group === 'Shaping' ? undefined : demandOf(spec, seen)
  if (!demand) return ''
  const { multiple, plus } = demand.asks
  if (multiple === 1 && plus === 0) return ''
  if (demand.asks.takes) return `Asks for ${asksWords(demand.asks)}.`
  const left = demand.leaves(multiple + plus) - plus
  return `Asks for ${asksWords(demand.asks)}${left === multiple ? '' : `, leaves ${left} for each ${multiple}`}.`
}

import { chainStraps } from '~~/core/parts/handle/chainStraps'
import { slots } from '~~/core/parts/handle/slots'

/** Handles that are worked in the rim: slots, and chains over the mouth. */
export const PARTS = [slots, chainStraps] as const

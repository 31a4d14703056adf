import { chainStraps } from '~~/core/handle/chainStraps'
import { slots } from '~~/core/handle/slots'

/** Handles that are worked in the rim: slots, and chains over the mouth. */
export const PARTS = [slots, chainStraps] as const

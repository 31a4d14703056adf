import { eyelets } from '~~/core/parts/mouth/eyelets'

/** Casings for cords. */
export const PARTS = [eyelets] as const

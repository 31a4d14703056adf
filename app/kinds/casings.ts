import { eyelets } from '~~/core/mouth/eyelets'

/** Casings for cords. */
export const PARTS = [eyelets] as const

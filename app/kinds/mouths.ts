import { eyelets } from '~~/core/mouth/eyelets'
import { picots } from '~~/core/mouth/picots'
import { rim } from '~~/core/mouth/rim'
import { ruffle } from '~~/core/mouth/ruffle'
import { shells } from '~~/core/mouth/shells'

/** Casings, edgings and firm rims. */
export const PARTS = [eyelets, ruffle, picots, shells, rim] as const

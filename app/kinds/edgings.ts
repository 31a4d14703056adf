import { picots } from '~~/core/mouth/picots'
import { rim } from '~~/core/mouth/rim'
import { ruffle } from '~~/core/mouth/ruffle'
import { shells } from '~~/core/mouth/shells'

/** Edgings and firm rims. */
export const PARTS = [ruffle, picots, shells, rim] as const

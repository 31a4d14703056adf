import { picots } from '~~/core/parts/mouth/picots'
import { rim } from '~~/core/parts/mouth/rim'
import { ruffle } from '~~/core/parts/mouth/ruffle'
import { shells } from '~~/core/parts/mouth/shells'

/** Edgings and firm rims. */
export const PARTS = [ruffle, picots, shells, rim] as const

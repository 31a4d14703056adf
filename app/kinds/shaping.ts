import { adjust } from '~~/core/wall/adjust'
import { taper } from '~~/core/wall/taper'
import { written } from '~~/core/wall/written'

/** What changes the count: adjusting rounds, tapers, rounds written freely. */
export const PARTS = [adjust, taper, written] as const

import { adjust } from '~~/core/parts/wall/adjust'
import { taper } from '~~/core/parts/wall/taper'
import { written } from '~~/core/parts/wall/written'

/** Parts that change the count: adjusting rounds, tapers, rounds written freely. */
export const PARTS = [adjust, taper, written] as const

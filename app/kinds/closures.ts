import { buttonLoop } from '~~/core/parts/handle/buttonLoop'
import { tab } from '~~/core/parts/handle/tab'
import { zip } from '~~/core/parts/handle/zip'

/** Closures of a bag. */
export const PARTS = [buttonLoop, tab, zip] as const

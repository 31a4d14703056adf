import { buttonLoop } from '~~/core/handle/buttonLoop'
import { tab } from '~~/core/handle/tab'
import { zip } from '~~/core/handle/zip'

/** What closes a bag. */
export const PARTS = [buttonLoop, tab, zip] as const

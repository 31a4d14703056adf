import { boughtHandles } from '~~/core/handle/boughtHandles'
import { buttonLoop } from '~~/core/handle/buttonLoop'
import { crossBody } from '~~/core/handle/crossBody'
import { grownStrap } from '~~/core/handle/grownStrap'
import { knotStraps } from '~~/core/handle/knotStraps'
import { sewnStraps } from '~~/core/handle/sewnStraps'
import { tab } from '~~/core/handle/tab'
import { underStrap } from '~~/core/handle/underStrap'
import { zip } from '~~/core/handle/zip'

/** Straps, bought handles and closures. */
export const PARTS = [grownStrap, knotStraps, sewnStraps, underStrap, crossBody, boughtHandles, buttonLoop, tab, zip] as const

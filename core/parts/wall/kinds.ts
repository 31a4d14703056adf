import { BANDS } from '../band/kinds'
import { boughtHandles } from '../handle/boughtHandles'
import { buttonLoop } from '../handle/buttonLoop'
import { chainStraps } from '../handle/chainStraps'
import { crossBody } from '../handle/crossBody'
import { grownStrap } from '../handle/grownStrap'
import { knotStraps } from '../handle/knotStraps'
import { sewnStraps } from '../handle/sewnStraps'
import { slots } from '../handle/slots'
import { tab } from '../handle/tab'
import { underStrap } from '../handle/underStrap'
import { zip } from '../handle/zip'
import type { SpecOf } from '../kind/kind'
import { loops } from '../mesh/loops'
import { eyelets } from '../mouth/eyelets'
import { picots } from '../mouth/picots'
import { rim } from '../mouth/rim'
import { ruffle } from '../mouth/ruffle'
import { shells } from '../mouth/shells'
import { adjust } from './adjust'
import { panels } from './panels'
import { taper } from './taper'
import { written } from './written'

/**
 * Kinds of parts that a wall can be stacked from, in the order they are offered: the only list of them. A further kind is a line here
 * and a file.
 */
export const WALL_KINDS = [
  ...BANDS, loops, panels, eyelets, ruffle, picots, shells, rim,
  slots, chainStraps, grownStrap, knotStraps, sewnStraps, underStrap, crossBody, boughtHandles, buttonLoop, tab, zip, adjust, taper,
  written,
] as const

/** The spec of a part of a wall, of any kind. */
export type WallSpec = SpecOf<(typeof WALL_KINDS)[number]>

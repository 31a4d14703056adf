import { boxes } from './boxes'
import { groups } from './groups'
import { hills } from './hills'
import { moss } from './moss'
import { own } from './own'
import { pairs } from './pairs'
import { rib } from './rib'
import { ridges, solid } from './solid'
import { sprigs } from './sprigs'
import { vees } from './vees'
import { waves } from './waves'

/** Bands of a stitch pattern, in the order they are offered. Those that say how they go in rows are bands of flat pieces too. */
export const BANDS = [solid, ridges, rib, pairs, groups, vees, sprigs, waves, hills, boxes, moss, own] as const

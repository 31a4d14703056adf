import { boxes } from '~~/core/parts/band/boxes'
import { groups } from '~~/core/parts/band/groups'
import { hills } from '~~/core/parts/band/hills'
import { moss } from '~~/core/parts/band/moss'
import { own } from '~~/core/parts/band/own'
import { pairs } from '~~/core/parts/band/pairs'
import { rib } from '~~/core/parts/band/rib'
import { sprigs } from '~~/core/parts/band/sprigs'
import { vees } from '~~/core/parts/band/vees'
import { waves } from '~~/core/parts/band/waves'
import { panels } from '~~/core/parts/wall/panels'

/** Fabric of more than one stitch in every stitch, and box meshes. */
export const PARTS = [rib, pairs, groups, vees, sprigs, waves, hills, boxes, moss, own, panels] as const

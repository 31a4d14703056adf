import { boxes } from '~~/core/band/boxes'
import { groups } from '~~/core/band/groups'
import { hills } from '~~/core/band/hills'
import { moss } from '~~/core/band/moss'
import { own } from '~~/core/band/own'
import { pairs } from '~~/core/band/pairs'
import { rib } from '~~/core/band/rib'
import { sprigs } from '~~/core/band/sprigs'
import { vees } from '~~/core/band/vees'
import { waves } from '~~/core/band/waves'
import { panels } from '~~/core/wall/panels'

/** Fabric of more than one stitch in every stitch, and box meshes. */
export const PARTS = [rib, pairs, groups, vees, sprigs, waves, hills, boxes, moss, own, panels] as const

import { elevation } from '~~/core/chart/elevation'
import { type Front, frontOf } from '~~/core/chart/front'
import type { Design } from '~~/core/design/design'
import { newDesign } from '~~/core/design/starter'
import { draft } from '~~/core/draft/draft'
import { isEdging, type WallSpec } from '~~/core/wall/wall'
import { firstRepeat, ofKind } from './wallKinds'

/** A little piece of a kind of wall, drawn as the bench draws it, in a box that starts at the top left. */
export interface Tile extends Front {
  /** The fabric itself. */
  readonly outline: string
  readonly width: number
  readonly height: number
  readonly left: number
  readonly top: number
}

const SAMPLE: Design = {
  ...newDesign('Tile'), gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } } },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 24 } }, colour: 'main' }, turnUp: 'plain', repeats: [firstRepeat('own-1')],
}

const known = new Map<WallSpec['band'], Tile>()

function drawn(band: WallSpec['band']): Tile {
  const like: WallSpec = { band: 'solid', stitch: 'sc', size: { want: { heightCm: 3 } }, colour: 'main' }
  const spec = ofKind(band, like, SAMPLE, 12)
  // An adjusting round shows as what it does: fewer stitches above it than below.
  const wall: WallSpec[] = spec.band === 'adjust' ? [like, { ...spec, to: { pin: { change: -6 } } }, like] : spec.band === 'loops' ? [{ ...spec, skip: 2, hold: { pin: { chains: 4 } }, size: { pin: { rounds: 6 } }, finish: undefined } as WallSpec] : spec.band === 'taper' ? [{ ...spec, size: { pin: { rounds: 7, stitches: 12 } } }] : [spec]
  const whole: WallSpec[] = isEdging(spec) || spec.band === 'eyelets' ? [{ ...like, size: { want: { heightCm: 2 } } }, spec] : wall
  const courses = elevation(draft({ ...SAMPLE, wall: whole }))
  const fronts = courses.map(course => frontOf(course))
  const join = (what: keyof Front) => fronts.map(front => front[what]).join('')
  const right = courses.flatMap(({ outline, bottomCm, heightCm }) => [`${outline.lengthCm / 2} ${-bottomCm}`, `${outline.lengthCm / 2} ${-(bottomCm + heightCm)}`])
  const left = [...right].reverse().map(spot => `-${spot}`)
  return { outline: `M${[...right, ...left].join('L')}Z`, threads: join('threads'), posts: join('posts'), ridges: join('ridges'), holes: join('holes'), net: join('net'), open: join('open'), left: -3.1, top: -3.6, width: 6.2, height: 3.5 }
}

/** The tile of a kind; drawn once. */
export function tileOf(band: WallSpec['band']): Tile {
  let tile = known.get(band)
  if (!tile) known.set(band, tile = drawn(band))
  return tile
}

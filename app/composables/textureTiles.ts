import { elevation } from '~~/core/chart/elevation'
import { handleFronts } from '~~/core/chart/handles'
import { type Front, frontOf } from '~~/core/chart/front'
import type { Design } from '~~/core/design/design'
import { newDesign } from '~~/core/design/starter'
import { draft } from '~~/core/draft/draft'
import { isEdging, isFitted, isSlots, type WallSpec } from '~~/core/wall/wall'
import { firstRepeat, ofKind } from './wallKinds'

/** A strip or a sign on a tile: its line, and how thick it is. */
interface Sign {
  readonly path: string
  readonly thick: number
}

/** A little piece of a kind of wall, drawn as the bench draws it, in a box that starts at the top left. */
export interface Tile extends Front {
  /** The fabric itself. */
  readonly outline: string
  readonly width: number
  readonly height: number
  readonly left: number
  readonly top: number
  /** Handles and closures, drawn on the rim of a whole little bag. */
  readonly signs: readonly Sign[]
}

const SAMPLE: Design = {
  ...newDesign('Tile'), gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } } },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 24 } }, colour: 'main' }, turnUp: 'plain', repeats: [firstRepeat('own-1')],
}

/** Signs of what has no handle to draw: a loop over a button, a tab with its hole, the teeth of a zip. */
const CLOSURES: Partial<Record<WallSpec['band'], readonly Sign[]>> = {
  'button-loop': [{ path: 'M-0.9 -7V-5.2a0.9 0.9 0 0 0 1.8 0V-7', thick: 0.3 }, { path: 'M-0.6 -5a0.6 0.6 0 1 0 1.2 0a0.6 0.6 0 1 0 -1.2 0', thick: 0.35 }],
  'tab': [{ path: 'M0 -7V-3.4', thick: 2 }, { path: 'M-0.5 -4.4H0.5', thick: 0.3 }],
  'zip': [{ path: 'M-5.6 -7H5.6', thick: 0.5 }, { path: Array.from({ length: 14 }, (_, i) => `M${-5.2 + i * 0.8} -7.5v1`).join(''), thick: 0.25 }],
}

/** The rim of a whole little bag with what a kind puts on it. */
function onBag(spec: WallSpec): Tile {
  const like: WallSpec = { band: 'solid', stitch: 'sc', size: { want: { heightCm: 6 } }, colour: 'main' }
  const small = isSlots(spec) ? { ...spec, chains: { want: { dropCm: spec.band === 'slots' ? 3.4 : 4 } }, width: { want: { widthCm: spec.band === 'slots' ? 3.6 : 8 } }, rounds: 2 } : 'length' in spec ? { ...spec, length: { want: { dropCm: 4.6 } } } : spec
  const knotted = spec.band === 'knot-straps' ? { ...spec, foot: 3, wide: 2, width: { pin: { stitches: 3 } }, short: { want: { dropCm: 2.4 } }, long: { want: { dropCm: 4.6 } } } : spec.band === 'bought-handles' ? { ...spec, lengthCm: 10, apartCm: 4 } : spec.band === 'sewn-straps' ? { ...small, wide: 3, inCm: 2.5 } : small
  const drafted = draft({ ...SAMPLE, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 48 } }, colour: 'main' }, wall: [like, { ...knotted, ...('wide' in knotted ? { wide: Math.min(3, knotted.wide) } : {}) } as WallSpec] })
  const outline = 'M-6 0V-7H6V0Z'
  const handles = handleFronts(drafted, 'held').filter(({ behind }) => !behind).map(({ path, widthCm }) => ({ path, thick: Math.max(0.5, widthCm) }))
  return { outline, threads: '', posts: '', ridges: '', holes: '', net: '', open: '', left: -8, top: -12.4, width: 16, height: 9, signs: CLOSURES[spec.band] ?? handles }
}

const known = new Map<WallSpec['band'], Tile>()

function drawn(band: WallSpec['band']): Tile {
  const like: WallSpec = { band: 'solid', stitch: 'sc', size: { want: { heightCm: 3 } }, colour: 'main' }
  const spec = ofKind(band, like, SAMPLE, 12)
  if (isSlots(spec) || isFitted(spec)) return onBag(spec)
  // An adjusting round shows as what it does: fewer stitches above it than below.
  const wall: WallSpec[] = spec.band === 'adjust' ? [like, { ...spec, to: { pin: { change: -6 } } }, like] : spec.band === 'loops' ? [{ ...spec, skip: 2, hold: { pin: { chains: 4 } }, size: { pin: { rounds: 6 } }, finish: undefined } as WallSpec] : spec.band === 'taper' ? [{ ...spec, size: { pin: { rounds: 7, stitches: 12 } } }] : [spec]
  const whole: WallSpec[] = isEdging(spec) || spec.band === 'eyelets' ? [{ ...like, size: { want: { heightCm: 2 } } }, spec] : wall
  const courses = elevation(draft({ ...SAMPLE, wall: whole }))
  const fronts = courses.map(course => frontOf(course))
  const join = (what: keyof Front) => fronts.map(front => front[what]).join('')
  const right = courses.flatMap(({ outline, bottomCm, heightCm }) => [`${outline.lengthCm / 2} ${-bottomCm}`, `${outline.lengthCm / 2} ${-(bottomCm + heightCm)}`])
  const left = [...right].reverse().map(spot => `-${spot}`)
  return { outline: `M${[...right, ...left].join('L')}Z`, threads: join('threads'), posts: join('posts'), ridges: join('ridges'), holes: join('holes'), net: join('net'), open: join('open'), signs: [], left: -3.1, top: -3.6, width: 6.2, height: 3.5 }
}

/** The tile of a kind; drawn once. */
export function tileOf(band: WallSpec['band']): Tile {
  let tile = known.get(band)
  if (!tile) known.set(band, tile = drawn(band))
  return tile
}

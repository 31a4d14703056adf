import { type Course, elevation } from '~~/core/readers/chart/elevation'
import { type Front, frontOf } from '~~/core/readers/chart/frontView'
import { handleFronts } from '~~/core/readers/chart/handles'
import { silhouette } from '~~/core/readers/chart/silhouette'
import type { Design, DesignGauge } from '~~/core/bag/design/design'
import { stacked } from '~~/core/bag/design/partIds'
import { keptOf } from '~~/core/bag/design/stacking'
import { newDesign } from '~~/core/bag/design/starter'
import type { KeptTexture } from '~~/core/parts/texture/ownSize'
import { draft } from '~~/core/bag/draft/draft'
import { countNear } from '~~/core/parts/flat/flat'
import { gaugeOf } from '~~/core/things/gauge/gauge'
import type { Sample } from '~~/core/parts/kind/kind'
import { firstRepeat } from '~~/core/parts/band/own'
import { beginPart, kindOf, type WallSpec } from '~~/core/parts/wall/wall'

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

/** A little bag of so many stitches round, with a wall of these. */
function little(stitches: number, ...wall: readonly WallSpec[]): Design {
  return {
    ...newDesign('Tile'), gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } } },
    base: { form: 'tube', stitch: 'sc', size: { pin: { stitches } }, colour: 'main' }, turnUp: 'plain', repeats: [firstRepeat('own-1')],
    wall: stacked(wall),
  }
}

const plain = (heightCm: number): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { want: { heightCm } }, colour: 'main' })

const NO_FABRIC = { threads: '', posts: '', ridges: '', holes: '', net: '' }

/** The rim of a whole little bag with what a kind puts on it. */
function onRim(spec: WallSpec, signs: readonly Sign[] | undefined): Tile {
  const hung = () =>
    handleFronts(draft(little(48, plain(6), spec)), 'held')
      .filter(({ behind }) => !behind)
      .map(({ path, widthCm }): Sign => ({ path, thick: Math.max(0.5, widthCm) }))
  return { ...NO_FABRIC, outline: 'M-6 0V-7H6V0Z', left: -8, top: -12.4, width: 16, height: 9, signs: signs ?? hung() }
}

/** A piece of fabric in full, seen from the front. */
function piece(courses: readonly Course[]): Omit<Tile, 'left' | 'top' | 'width' | 'height'> {
  const fronts = courses.map(course => frontOf(course))
  const join = (what: keyof Front) => fronts.map(front => front[what]).join('')
  return {
    outline: silhouette(courses), threads: join('threads'), posts: join('posts'), ridges: join('ridges'),
    holes: join('holes'), net: join('net'), signs: [],
  }
}

/** A piece of the fabric of a little bag. */
function fabric(wall: readonly WallSpec[]): Tile {
  return { ...piece(elevation(draft(little(24, ...wall)))), left: -3.1, top: -3.6, width: 6.2, height: 3.5 }
}

function drawn(band: string): Tile {
  const begun = beginPart(band, keptOf(little(24), plain(3), 12))
  const { on, spec: small, signs }: Sample<WallSpec> = kindOf({ kind: band }).sample
  const spec = small?.(begun) ?? begun
  if (on === 'rim') return onRim(spec, signs)
  return fabric(on === 'itself' ? [spec] : on === 'fabric' ? [plain(2), spec] : [plain(3), spec, plain(3)])
}

const known = new Map<string, Tile>()

/** The tile of a kind; drawn once. */
export function tileOf(band: string): Tile {
  let tile = known.get(band)
  if (!tile) known.set(band, (tile = drawn(band)))
  return tile
}

/** A few centimetres of a texture as it was counted on a swatch, seen from the front, from its middle downwards. */
export function tileOfTexture({ of, counted, lines }: KeptTexture, gauge: DesignGauge, sideCm: number): Tile {
  const repeats = lines ? [{ id: String(of.repeat), name: '', lines }] : []
  const tall = { want: { heightCm: sideCm + 3 } }
  const spec = { ...of, size: tall, colour: 'main', swatch: counted } as unknown as WallSpec
  const asks = kindOf(spec).texture?.(spec, repeats)?.asks
  const around = Math.ceil((2 * (sideCm + 3)) / gaugeOf(gauge).sc.width.cm)
  const courses = elevation(draft({ ...little(asks ? countNear(around, asks) : around, spec), gauge, repeats }))
  return { ...piece(courses), left: -sideCm / 2, top: -(sideCm + 1), width: sideCm, height: sideCm }
}

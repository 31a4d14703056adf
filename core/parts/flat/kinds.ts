import { BANDS } from '../band/kinds'
import { oneOfKinds } from '../field/questions'
import type { Gauge } from '../../things/gauge/gauge'
import { beginnings } from '../kind/beginnings'
import type { Fields } from '../field/field'
import type { Keeps, PartKind } from '../kind/kind'
import type { PartResult, Setting } from '../part/part'
import type { Edge } from '../../things/round/edge'
import { isPlainly } from '../texture/mirrored'
import { askedFor, inDoubt, inOwnSize, type OwnShare, shareBySwatch } from '../texture/ownSize'
import type { Texture } from '../texture/texture'
import { workTexture } from '../texture/workTexture'
import { loopRows } from './loopRows'
import type { FlatBand, FlatKind } from './flatKind'
import { narrow } from './narrow'

export type { FlatBand, FlatKind } from './flatKind'

/*
 * Kinds of rows that a flat piece can be stacked from: bands of the wall that can be worked to and fro too, and some that are of rows
 * alone.
 */

/** Fields that only parts of a wall have: a flat band goes as its piece does. */
const OF_WALLS = ['goes', 'hook']

/** The size of its own that a band is told in by the swatch of it. */
function ownSizeOf({ swatch }: FlatBand, texture: Texture | undefined, gauge: Gauge): OwnShare | undefined {
  return swatch && texture ? shareBySwatch(swatch, texture, gauge) : undefined
}

/** A texture to and fro, told in its own size as far as that is known; one that nobody measured is in more doubt. */
function workInOwnSize(texture: Texture, band: FlatBand, on: Edge, setting: Setting): PartResult {
  const share = ownSizeOf(band, texture, setting.gauge) ?? {}
  const { size } = band
  const asked = 'want' in size ? { ...band, size: { want: { heightCm: askedFor(size.want.heightCm, share) } } } : band
  const told = inOwnSize(workTexture(texture, asked, on, setting), share)
  return isPlainly(texture) ? told : inDoubt(told, share)
}

/** A band of the wall as flat pieces read it: by what it does with any of their bands. */
type BandInRows = PartKind<string, Fields, FlatBand>

/** A band of the wall as one of a flat piece, if it can be worked to and fro. */
function flat(kind: BandInRows): FlatKind[] {
  if (!kind.inRows) return []
  const inRows = kind.inRows.bind(kind)
  // The swatch of the bag is one of plain stitches already.
  const others = kind.plain ? [...OF_WALLS, 'swatch'] : OF_WALLS
  return [{
    kind: kind.kind, name: kind.name, does: kind.does,
    fields: Object.fromEntries(Object.entries(kind.fields).filter(([name]) => !others.includes(name))),
    asks: (band, repeats) => inRows(band, repeats)?.asks, begins: keeps => kind.begins(keeps),
    work: (band, on, setting) => {
      const texture = inRows(band, setting.repeats ?? [])
      return texture && workInOwnSize(texture, band, on, setting)
    },
    estimated: (band, repeats) => {
      const texture = inRows(band, repeats)
      return texture !== undefined && !isPlainly(texture) && !band.swatch
    },
    ownSize: (band, { gauge, repeats = [] }) => ownSizeOf(band, inRows(band, repeats), gauge),
  }]
}

/** Every band that a flat piece can be stacked from, in the order they are offered. */
export const FLAT_KINDS: readonly FlatKind[] = [...BANDS.flatMap(kind => flat(kind)), loopRows, narrow]

const BY_KIND = new Map(FLAT_KINDS.map(kind => [kind.kind, kind]))

/** The kind of a band of a flat piece. */
export function flatKindOf({ kind: band }: { readonly kind: string }): FlatKind {
  const kind = BY_KIND.get(band)
  if (!kind) throw new Error(`no band of a flat piece is called ${band}: documents are checked before they get here`)
  return kind
}

const MOST_FLAT_BANDS = 12

/** Asks for the bands of a flat piece, from its first row up. */
export function bandsField(label: string, says: string) {
  return oneOfKinds<readonly FlatBand[]>(
    label,
    'kind',
    FLAT_KINDS.map(({ kind: band, fields, name, does }) => ({ value: band, fields, name, does })),
    {
      list: {
        all: 'bands', most: MOST_FLAT_BANDS, least: 1, inRows: true, begin: (band, like, spec) => bandLike(band, like ?? spec),
      },
      says,
    },
  )
}

/** A new band of a kind, keeping of another what both have. */
export function beginBand(band: string, keeps: Keeps): FlatBand {
  const kind = flatKindOf({ kind: band })
  return { kind: band, ...beginnings(kind.fields), size: keeps.size, ...keeps.yarn, ...kind.begins(keeps) } as FlatBand
}

/** A new band of a kind in the place of one, or beside it: as tall, in the same stitch and yarn where both have them. */
function bandLike(band: string, like: object): FlatBand {
  const { stitch, size, colour = 'main', stripes } = like as Partial<FlatBand> & { readonly stitch?: Keeps['stitch'] }
  const tall = size && 'pin' in size && 'rounds' in size.pin ? size : { pin: { rounds: 6 } }
  return beginBand(band, {
    stitch: stitch ?? 'sc', size: size && 'want' in size && 'heightCm' in size.want && !('widthCm' in size.want) ? size : tall,
    yarn: { colour, ...(stripes ? { stripes } : {}) }, repeats: [], aroundCm: 0,
  })
}

/** The bands of a piece, or plain rows where nobody has stacked any yet. */
export function stackedOr(bands: readonly FlatBand[] | undefined, stitch: Keeps['stitch'], colour: string): readonly FlatBand[] {
  return bands && bands.length > 0 ? bands : [plainBand(stitch, 1, colour)]
}

/** Plain rows, as many as asked: what a flat piece begins with. */
export function plainBand(stitch: 'sc' | 'hdc' | 'dc', rows: number, colour = 'main'): FlatBand {
  return { kind: 'solid', stitch, size: { pin: { rounds: rows } }, colour } as FlatBand
}

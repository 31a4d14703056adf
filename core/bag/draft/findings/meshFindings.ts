import { contentOf, girthCm, leastThroughCm, roomOf } from '../../../parts/contents/contents'
import { tape } from '../../../things/stitch/translate'
import type { Design } from '../../design/design'
import type { Gauge } from '../../../things/gauge/gauge'
import { hangLoaded } from '../../../parts/mesh/hang'
import { liningPieces, type Piece, roundLining } from '../../../parts/mesh/lining'
import { netOpening, SAFE_SHARE } from '../../../parts/mesh/openings'
import type { Finding, Fix } from '../../../parts/part/finding'
import type { Opening } from '../../../parts/part/roles'
import { kindOf } from '../../../parts/wall/wall'
import type { Bag } from './judge'
import { type DraftPart, wallPartOf } from '../fold/draftPart'
import { riseOf } from '../../../parts/part/rise'
import { rebaseFixes } from '../fold/partInBag'
import type { BagSizes } from '../sizes'

/** The holes of a part, if it has any that things could leave by: of a net by how it hangs. */
export function openingOf({ net, arounds, opening }: DraftPart): Opening | undefined {
  return net ? netOpening(net, arounds ?? []) : opening
}

/** Ways to keep what is carried in: what the part itself can do, or a lining. */
function fixesFor(part: DraftPart, design: Design, gauge: Gauge, leastCm: number): Fix[] {
  const spec = wallPartOf(part)
  const own = spec ? (kindOf(spec).tighten?.(spec, leastCm, gauge) ?? []) : []
  return [...rebaseFixes(part.from, own), { label: 'Line the bag', changes: [{ path: ['lining'], value: { seamCm: 1.5 } }] }]
}

function holes(part: DraftPart, design: Design, gauge: Gauge): Finding[] {
  const opening = openingOf(part)
  const least = design.contents && leastThroughCm(design.contents)
  if (!opening || part.rounds.length === 0) return []
  const size = `Its holes let a ball of ${tape(opening.ballCm)} be pushed through, and a rod of `
    + `${tape(opening.rodCm)} fall through.`
  if (least === undefined || design.lining)
    return [{ code: 'holes', weight: 'note', part: part.id, what: `${size}${design.lining ? ' The lining keeps things in.' : ''}` }]
  if (opening.ballCm < least * SAFE_SHARE)
    return [{ code: 'holes', weight: 'note', part: part.id, what: `${size} What it must hold stays in.` }]
  const [fix, ...otherFixes] = fixesFor(part, design, gauge, least)
  const gone = opening.ballCm >= least
  return [
    {
      code: gone ? 'holes-too-large' : 'holes-nearly-too-large', weight: gone ? 'caution' : 'watch', part: part.id,
      what: `${size} ${contentOf(design.contents!).called(design.contents!)} of ${tape(least)} `
        + `${gone ? 'can leave by them' : 'only just stays in'}.`,
      ...(fix ? { fix } : {}), otherFixes,
    },
  ]
}

/** A piece of lining in words: `floor: a circle 15.4 cm across`. */
export function pieceWords({ what, cut, lengthCm, widthCm, times }: Piece): string {
  const size = `${tape(lengthCm)} by ${tape(widthCm)}`
  const shape
    = cut === 'circle'
      ? `a circle ${tape(lengthCm)} across`
      : cut === 'rounded'
        ? `${size}, its short ends rounded to half circles`
        : size
  return `${what}: ${times > 1 ? `${times} of ` : ''}${shape}`
}

/** The lining's pieces, cut to the bag as it hangs empty: as wide as its widest part. */
export function liningOf(design: Design, parts: readonly DraftPart[], sizes: BagSizes): Piece[] {
  if (!design.lining) return []
  const laid = parts[0]?.laid
  if (laid) return roundLining(laid.acrossCm, design.lining.seamCm)
  const around = Math.max(...parts.map(part => Math.max(part.size.circumference.cm, ...(part.arounds ?? []))))
  return liningPieces(sizes.floor, around, sizes.height.cm, design.lining.seamCm)
}

/** How tall the bag hangs with a load in it; nothing for a bag without a net. */
export function loadedHeightCm(design: Design, parts: readonly DraftPart[]): number | undefined {
  if (!parts.some(({ net }) => net)) return undefined
  const room = design.contents && roomOf(design.contents)
  let tall = 0
  for (const part of parts) {
    if (!part.net) {
      tall += part.size.height.cm
      continue
    }
    const { loops, loopsCm } = part.net
    const rows = hangLoaded(loopsCm, loops, room && { aroundCm: girthCm(room), heightCm: room.heightCm - tall })
    tall += rows.reduce((sum, { riseCm }) => sum + riseCm, 0)
    // A solid round on top stays as it is.
    for (let i = loopsCm.length; i < part.rounds.length; i++) tall += riseOf(part, i)
  }
  return tall
}

/** Findings about mesh: its holes, how it hangs, its lining. */
export function meshFindings({ design, parts, sizes, gauge }: Bag): Finding[] {
  const loaded = sizes.loadedHeightCm
  const hangs: Finding[]
    = loaded === undefined
      ? []
      : [
          {
            code: 'hangs', weight: 'note', part: parts.find(({ net }) => net)!.id,
            what: `${design.contents ? 'Around what it must hold it stands' : 'Empty it hangs'} `
              + `${tape(sizes.height.cm)} tall; hung up with a load it draws narrow above that and is about `
              + `${tape(loaded)} (an estimate by rule of thumb). Mesh gives: it holds more than it looks, and handles `
              + 'lengthen. Test it low over the floor.',
          },
        ]
  const pieces = liningOf(design, parts, sizes)
  const lining: Finding[]
    = pieces.length > 0
      ? [
          {
            code: 'lining', weight: 'note', part: 'lining',
            what: `Cut for the lining, seams and hem included: ${pieces.map(pieceWords).join('; ')}. It `
              + 'is cut to the empty bag, so that the lining takes the strain and not the mesh.',
          },
        ]
      : []
  return [...parts.flatMap(part => holes(part, design, gauge)), ...hangs, ...lining]
}

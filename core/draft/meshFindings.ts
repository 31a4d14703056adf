import { type Contents, roomOf } from '../contents/contents'
import type { Design } from '../design/design'
import type { Gauge } from '../gauge/gauge'
import { formatCm, type Units } from '../measure/format'
import { hangLoaded } from '../mesh/hang'
import { liningPieces, type Piece } from '../mesh/lining'
import { boxOpening, leastThrough, netOpening, type Opening } from '../mesh/openings'
import type { Finding, Fix } from '../part/finding'
import { type DraftPart, riseOf } from './part'
import type { BagSizes } from './sizes'

/** The holes of a part of the wall, if it has any that things could leave by. */
export function openingOf(part: DraftPart, design: Design, gauge: Gauge): Opening | undefined {
  if (part.net) return netOpening(part.net, part.arounds ?? [])
  const spec = part.id.startsWith('wall.') ? design.wall[Number(part.id.slice(5))] : undefined
  if (spec?.band === 'boxes') return boxOpening(spec.chains, gauge)
  return spec?.band === 'vees' ? boxOpening(1, gauge) : undefined
}

/** Thread wears and knots slip: a hole should be this much smaller than what it must keep in (from memory). */
const SAFE_SHARE = 0.85

/** Ways to keep what is carried in: shorter loops, smaller holes, a lining. */
function fixesFor(part: DraftPart, design: Design, gauge: Gauge, leastCm: number): Fix[] {
  const index = Number(part.id.slice(5))
  const spec = design.wall[index]!
  const fixes: Fix[] = []
  const chains = Math.floor((leastCm * SAFE_SHARE * Math.PI) / 2 / gauge.ch.width.cm)
  if (spec.band === 'loops' && chains >= 2) {
    fixes.push({
      label: `Loops of at most ${chains} chains`,
      changes: [
        { path: ['wall', index, 'hold'], value: { pin: { chains } } }, { path: ['wall', index, 'first'], value: Math.min(spec.first, chains) },
        ...(spec.last ? [{ path: ['wall', index, 'last'], value: { pin: { chains: Math.min(chains, 'pin' in spec.last ? spec.last.pin.chains : chains) } } }] : []),
      ],
    })
  }
  if (spec.band === 'loops' && boxOpening(1, gauge).ballCm < leastCm * SAFE_SHARE) {
    fixes.push({ label: 'Boxes instead of loops', changes: [{ path: ['wall', index], value: { band: 'boxes', chains: 1, finish: true, size: spec.size, colour: spec.colour } }] })
  }
  return [...fixes, { label: 'Line the bag', changes: [{ path: ['lining'], value: { seamCm: 1.5 } }] }]
}

function named(contents: Contents): string {
  if (contents.kind === 'balls') return contents.count === 1 ? 'The ball' : 'A ball'
  return contents.kind === 'bottle' ? 'The bottle' : 'The box'
}

function holes(part: DraftPart, design: Design, gauge: Gauge): Finding[] {
  const opening = openingOf(part, design, gauge)
  const least = design.contents && leastThrough(design.contents)
  if (!opening || part.rounds.length === 0) return []
  const { units } = design
  const size = `Its holes let a ball of ${formatCm(opening.ballCm, units)} be pushed through, and a rod of ${formatCm(opening.rodCm, units)} fall through.`
  if (least === undefined || design.lining) return [{ code: 'holes', weight: 'note', part: part.id, what: `${size}${design.lining ? ' The lining keeps things in.' : ''}` }]
  if (opening.ballCm < least * SAFE_SHARE) return [{ code: 'holes', weight: 'note', part: part.id, what: `${size} What it must hold stays in.` }]
  const [fix, ...otherFixes] = fixesFor(part, design, gauge, least)
  const gone = opening.ballCm >= least
  return [{
    code: gone ? 'holes-too-large' : 'holes-nearly-too-large', weight: gone ? 'caution' : 'watch', part: part.id,
    what: `${size} ${named(design.contents!)} of ${formatCm(least, units)} ${gone ? 'can leave by them' : 'only just stays in'}.`, ...(fix ? { fix } : {}), otherFixes,
  }]
}

/** A piece of lining in words: `floor: a circle 15.4 cm across`. */
export function pieceWords({ what, cut, lengthCm, widthCm, times }: Piece, units: Units): string {
  const size = `${formatCm(lengthCm, units)} by ${formatCm(widthCm, units)}`
  const shape = cut === 'circle' ? `a circle ${formatCm(lengthCm, units)} across` : cut === 'rounded' ? `${size}, its short ends rounded to half circles` : size
  return `${what}: ${times > 1 ? `${times} of ` : ''}${shape}`
}

/** The lining's pieces, cut to the bag as it hangs empty: as wide as its widest part. */
export function liningOf(design: Design, parts: readonly DraftPart[], sizes: BagSizes): Piece[] {
  if (!design.lining) return []
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
    const girth = room && (room.round ? Math.PI * room.lengthCm : 2 * (room.lengthCm + room.widthCm))
    const rows = hangLoaded(loopsCm, loops, room && { aroundCm: girth!, heightCm: room.heightCm - tall })
    tall += rows.reduce((sum, { riseCm }) => sum + riseCm, 0)
    // A solid round on top stays as it is.
    for (let i = loopsCm.length; i < part.rounds.length; i++) tall += riseOf(part, i)
  }
  return tall
}

/** What mesh should be watched for: its holes, how it hangs, its lining. */
export function meshFindings(design: Design, parts: readonly DraftPart[], sizes: BagSizes, gauge: Gauge): Finding[] {
  const loaded = sizes.loadedHeightCm
  const hangs: Finding[] = loaded === undefined
    ? []
    : [{
        code: 'hangs', weight: 'note', part: parts.find(({ net }) => net)!.id,
        what: `${design.contents ? 'Around what it must hold it stands' : 'Empty it hangs'} ${formatCm(sizes.height.cm, design.units)} tall; hung up with a load it draws narrow above that and is about ${formatCm(loaded, design.units)} (an estimate, from memory). Mesh gives: it holds more than it looks, and handles lengthen. Test it low over the floor.`,
      }]
  const pieces = liningOf(design, parts, sizes)
  const lining: Finding[] = pieces.length > 0
    ? [{ code: 'lining', weight: 'note', part: 'lining', what: `Cut for the lining, seams and hem included: ${pieces.map(piece => pieceWords(piece, design.units)).join('; ')}. It is cut to the empty bag, so that the lining takes the strain and not the mesh.` }]
    : []
  return [...parts.flatMap(part => holes(part, design, gauge)), ...hangs, ...lining]
}

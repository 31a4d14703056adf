import { hasFloor, isDisc } from '../../../parts/part/floor'
import { squareSpread } from '../../../parts/mesh/diamond'
import { tape } from '../../../things/stitch/translate'
import type { Bag } from './judge'
import { type DraftPart, isStopped } from '../fold/draftPart'
import type { BagSizes } from '../sizes'
import type { Finding } from '../../../parts/part/finding'
import { contentOf, type Contents, girthCm, roomOf } from '../../../parts/contents/contents'

interface Shortfall {
  readonly what: string
  readonly needCm: number
  readonly haveCm: number
}

/**
 * Where a bag is too small for its contents. A round thing needs its own width both ways; a box in a round or oval bag
 * needs its corners inside, so a disc must span its diagonal. A bag without a floor must go round: half its edge against
 * the half-girth of what it holds.
 */
function shortfalls(contents: Contents, sizes: BagSizes): Shortfall[] {
  const room = roomOf(contents)
  const { floor } = sizes
  const diagonal = Math.hypot(room.lengthCm, room.widthCm)
  const across: Shortfall[]
    = !hasFloor(floor)
      ? [
          {
            what: 'lying flat, it would have to be', needCm: room.round ? (Math.PI * room.lengthCm) / 2 : room.lengthCm + room.widthCm,
            haveCm: sizes.flatWidth.cm,
          },
        ]
      : isDisc(floor)
        ? [{ what: 'across the floor', needCm: room.round ? room.lengthCm : diagonal, haveCm: floor.length.cm }]
        : [
            { what: 'along the floor', needCm: room.lengthCm, haveCm: floor.length.cm },
            { what: 'across the floor', needCm: room.widthCm, haveCm: floor.width.cm },
          ]
  return [...across, { what: 'up to the mouth', needCm: room.heightCm, haveCm: sizes.height.cm }].filter(
    ({ needCm, haveCm }) => haveCm < needCm,
  )
}

/** The capacity of a bag with a net, in words: a net gives, so neither its floor nor its empty width says. */
interface NetHold {
  /** As far round as its longest loops stretch, nearly flat. */
  readonly aroundCm: number
  /** The net alone, its diamonds square. */
  readonly litres: number
}

/** Loops are not pulled quite flat by what is carried (from memory). */
const STRETCHED = 0.9

function netHold(parts: readonly DraftPart[]): NetHold | undefined {
  const nets = parts.flatMap(({ net }) => (net ? [net] : []))
  if (nets.length === 0) return undefined
  const rows = nets.flatMap(({ loops, loopsCm }) => loopsCm.map(loopCm => ({ loopCm, loops })))
  const netCm3 = rows.reduce((sum, { loopCm, loops }) => {
    const around = squareSpread(loopCm) * loops
    return sum + ((around * around) / (4 * Math.PI)) * (squareSpread(loopCm) / 2)
  }, 0)
  return { aroundCm: Math.max(...rows.map(({ loopCm, loops }) => loopCm * loops * STRETCHED)), litres: netCm3 / 1000 }
}

function netShortfalls(contents: Contents, hold: NetHold): string[] {
  const litres = contentOf(contents).pouredLitres?.(contents)
  if (litres !== undefined) {
    return litres > hold.litres
      ? [`poured in they take about ${litres.toFixed(1)} litres, and the net, its diamonds square, holds about ${hold.litres.toFixed(1)}`]
      : []
  }
  const girth = girthCm(roomOf(contents))
  return girth > hold.aroundCm
    ? [`around it ${tape(girth)} are needed, and the net stretches to ${tape(hold.aroundCm)}`]
    : []
}

/** Whether the contents fit: a caution that says where they do not and by how much, or a note that they do. */
export function contentsFindings({ design: { contents }, sizes, parts }: Bag): Finding[] {
  // Of a bag that goes no further nobody knows what it holds.
  if (!contents || parts.some(isStopped)) return []
  const hold = netHold(parts)
  const short = hold
    ? netShortfalls(contents, hold)
    : shortfalls(contents, sizes).map(
        ({ what, needCm, haveCm }) => `${what} ${tape(needCm)} is needed and there is ${tape(haveCm)}`,
      )
  if (short.length === 0)
    return [
      {
        code: 'contents-fit', weight: 'note', part: 'contents',
        what: hold ? 'What it must hold fits inside: a net gives.' : 'What it must hold fits inside.',
      },
    ]
  const where = short.join('; ')
  return [
    {
      code: 'contents-outgrow', weight: 'caution', part: 'contents',
      what: `What it must hold no longer fits: ${where}. Make those larger, or let the contents propose a bag.`,
    },
  ]
}

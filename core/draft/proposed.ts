import { propose } from '../contents/contents'
import { withParts } from '../design/partIds'
import type { Fix } from '../part/finding'
import { heightAsked, type WallSpec } from '../wall/wall'
import type { Draft } from './draft'

/**
 * A bag made to hold what it must, as a change of the one there is: its base, and its topmost band with a height of its own,
 * which takes up what the others leave; a rim, slots and casings stay as they are.
 */
export function proposed({ design, parts }: Draft): Fix | undefined {
  if (!design.contents) return undefined
  const { stitch, colour } = design.base
  const { base, heightCm } = propose(design.contents, stitch, colour)
  const band = design.wall.findLast(part => heightAsked(part))
  const others = parts.slice(1).reduce((sum, { id, size }) => id === band?.id ? sum : sum + size.height.cm, 0)
  const size = { want: { heightCm: Math.max(1, Math.round((heightCm - others) * 10) / 10) } }
  const plain: WallSpec = { band: 'solid', stitch, size, colour }
  return {
    label: 'A bag for what it must hold',
    changes: [
      { path: ['base'], value: base }, { path: ['measuredBase'], value: undefined },
      band ? { path: ['wall', band.id, 'size'], value: size } : { path: ['wall'], value: withParts(design.wall, [{ at: 0, spec: plain }]) },
    ],
  }
}

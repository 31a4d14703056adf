import type { Finding } from '../part/finding'
import type { Grip } from '../part/handle'
import type { Setting } from '../part/part'
import type { Edge } from '../../things/round/edge'
import { facingBelow, facingOf } from '../../things/round/style'
import { fractionRound } from '../../things/round/fractionRound'
import { markedAnew, type Placing } from './placing'

/** A rim as the maker has it: with its sides where they were marked anew, if they were, and how far round that moved them. */
export function asMarked(
  edge: Edge,
  setting: Pick<Setting, 'rounds' | 'turns'>,
  sideAt: number | undefined,
): { readonly edge: Edge, readonly sidesMoved?: number } {
  if (sideAt === undefined) return { edge }
  const marked = markedAnew(edge, facingOf(setting, 0).turn, sideAt)
  const facing = facingBelow(setting)
  const moved = fractionRound(marked, marked.sides[0], facing) - fractionRound(edge, edge.sides[0], facing)
  return { edge: marked, sidesMoved: moved - Math.round(moved) }
}

/** How wide a stitch of the rim is: by how far round it goes, however it was worked. */
export function rimStitchCm(edge: Edge, { belowCm, gauge }: Pick<Setting, 'belowCm' | 'gauge'>): number {
  return belowCm === undefined ? gauge.sc.width.cm : belowCm / edge.count
}

/** A span of the rim by its face: the free part over it goes from foot to foot. */
interface OnFace {
  readonly name: 'front' | 'back'
  readonly feet: readonly [number, number]
}

/** Two opposite spans by the faces they lie on, each from its first boundary on, with the rounds as seen from the right side. */
export function faces(
  edge: Edge,
  setting: Pick<Setting, 'rounds' | 'turns'>,
  firsts: readonly [number, number],
  places: number,
): [OnFace, OnFace] {
  const facing = facingBelow(setting)
  const side = fractionRound(edge, edge.sides[0], facing)
  const face = (first: number): OnFace => {
    const [a, b] = [fractionRound(edge, first, facing), fractionRound(edge, first + places, facing)]
    const feet = facing === 'wrong' ? ([b, a] as const) : ([a, b] as const)
    const middle = feet[0] + places / edge.count / 2
    return { name: middle - side - Math.floor(middle - side) < 0.5 ? 'front' : 'back', feet }
  }
  const [one, other] = [face(firsts[0]), face(firsts[1])]
  return one.name === other.name
    ? [
        { ...one, name: 'front' },
        { ...other, name: 'back' },
      ]
    : [one, other]
}

/** The spans that are used, by where they begin and the face that each lies on: both, or the one on the face that the maker picked. */
export function used(
  edge: Edge,
  setting: Pick<Setting, 'rounds' | 'turns'>,
  { firsts, places }: Placing,
  { number, face: picked = 'front' }: { readonly number: 1 | 2, readonly face?: 'front' | 'back' },
): { readonly first: number, readonly face: OnFace }[] {
  const both = faces(edge, setting, firsts, places).map((face, i) => ({ first: firsts[i]!, face }))
  return number === 2 ? both : both.filter(({ face }) => face.name === picked)
}

/** Grips of two opposite spans on the faces, on the front. */
export function gripOf(edge: Edge, setting: Pick<Setting, 'rounds' | 'turns'>, { firsts, places, gaps, room }: Placing): Grip {
  const on = faces(edge, setting, firsts, places)
  const first = on[0].name === 'front'
  const onward = first === (facingBelow(setting) === 'right') ? 1 : -1
  // Half of each gap lies on the front; the gap at the first span's own start is the second one.
  const [nearer, further] = [gaps[1], gaps[0]]
  const atStart = onward === 1 ? nearer : further
  const half = (gap: number, up: boolean) => (up ? Math.ceil(gap / 2) : Math.floor(gap / 2))
  return {
    span: (first ? on[0] : on[1]).feet, count: edge.count, stitches: places, before: half(atStart, false),
    after: half(edge.count - 2 * places - atStart, true), onward, room,
  }
}

/**
 * The front of straps from side to side: what lies between their feet there; it is moved by keyboard alone, since both feet
 * move.
 */
export function gripBetween(edge: Edge, setting: Pick<Setting, 'rounds' | 'turns'>, { firsts: [a, b], places, gaps, room }: Placing): Grip {
  const spans = [
    { first: a + places, stitches: gaps[0] },
    { first: b + places, stitches: gaps[1] },
  ] as const
  const [front] = spans
    .map(({ first, stitches }) => ({ stitches, face: faces(edge, setting, [first, first], stitches)[0] }))
    .sort((one, other) => middleOf(edge, setting, one) - middleOf(edge, setting, other))
  return {
    span: front!.face.feet, count: edge.count, stitches: front!.stitches, before: Math.floor(places / 2), after: Math.ceil(places / 2),
    onward: 0, room,
  }
}

/** How far from the middle of the front a span's middle lies. */
function middleOf(
  edge: Edge,
  setting: Pick<Setting, 'rounds' | 'turns'>,
  { stitches, face }: { readonly stitches: number, readonly face: OnFace },
): number {
  const way = face.feet[0] + stitches / edge.count / 2 - fractionRound(edge, edge.sides[0], facingBelow(setting))
  return Math.abs(way - Math.floor(way) - 0.25)
}

/** The places of a span as a maker finds them: counted along the last round from its start, as it was worked. */
export function sts(first: number, places: number, count: number): string {
  const at = (place: number) => (((place % count) + count) % count) + 1
  const [from, to] = [at(first), at(first + places - 1)]
  if (places === 1) return `st ${from}`
  const run = (a: number, b: number) => (a === b ? `${a}` : `${a}–${b}`)
  return from <= to ? `sts ${run(from, to)}` : `sts ${run(from, count)} and ${run(1, to)}`
}

/** Advice on a placing that does not come out even: an odd stitch, an axis between two stitches, a nudge. */
export function offPlace({ gaps, offSides }: Placing, { nudge }: { readonly nudge: number }, what: string, opposed = true): Finding[] {
  const apart = Math.abs(gaps[0] - gaps[1])
  if (nudge !== 0) {
    return [
      {
        code: 'off-centre', weight: 'note',
        what:
          `Moved ${Math.abs(nudge)} ${Math.abs(nudge) === 1 ? 'stitch' : 'stitches'} from the middle of the `
          + `bag${opposed ? `: ${gaps[0]} and ${gaps[1]} stitches lie between at the sides` : ''}.`,
        fix: { label: 'Back to the middle', changes: [{ path: ['nudge'], value: 0 }] },
      },
    ]
  }
  if (!opposed) return []
  if (apart === 1)
    return [
      {
        code: 'odd-stitch', weight: 'note',
        what:
          `An odd stitch is left between: ${gaps[0]} on one side of the bag and ${gaps[1]} on the other. Nobody will see it; a `
          + 'slot of one stitch more or less does not mend it, a stitch more or fewer in the rim does.',
      },
    ]
  if (offSides >= 0.5)
    return [
      {
        code: 'off-sides', weight: 'note',
        what: `${what}: half a stitch off the marked sides, both alike. One stitch wider or narrower would be dead on.`,
      },
    ]
  return []
}

import type { BaseSpec } from '../../parts/base/base'
import type { Design } from '../design/design'
import type { TallAs } from '../fit/wholeSize'
import type { Bounds } from '../../parts/field/field'
import type { WallSpec } from '../../parts/wall/wall'

/** A size that is asked of a whole bag. */
export interface SizeAsked {
  readonly name: 'wide' | 'tall' | 'deep'
  readonly label: string
  readonly usualCm: number
  readonly bounds: Bounds
}

/** How a bag is carried. */
interface CarriedBy {
  readonly id: string
  readonly name: string
  readonly wall: (yarn: string) => readonly WallSpec[]
}

export type Sizes = Readonly<Record<SizeAsked['name'], number>>

/** A whole bag: what it is for, which sizes are asked, and how it can be carried. */
export interface WholeBag {
  readonly id: string
  readonly name: string
  readonly does: string
  readonly asks: readonly SizeAsked[]
  /** Ways to carry it, the usual one first; none of a bag that has none. */
  readonly carried: readonly CarriedBy[]
  readonly base: (sizes: Sizes, yarn: string) => BaseSpec
  readonly wall: (sizes: Sizes, yarn: string) => readonly WallSpec[]
  readonly like?: Partial<Pick<Design, 'rounds' | 'turnUp' | 'mouth'>>
  /** How its height is told: of the whole bag, lying flat or standing; of one band of it, if left out. */
  readonly tallAs?: TallAs
}

const size = (name: SizeAsked['name'], label: string, usualCm: number, least: number, most: number): SizeAsked =>
  ({ name, label, usualCm, bounds: { least, most } })

const solid = (heightCm: number, colour: string): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { want: { heightCm } }, colour })

const rounds = (count: number, colour: string): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds: count } }, colour })

const circle = (diameterCm: number, colour: string): BaseSpec => ({
  form: 'circle', stitch: 'sc', increases: 'by-gauge', noneFlat: 'more', size: { want: { diameterCm } }, start: 'ring',
  placing: 'staggered', increaseAt: 'last', colour,
})

const SLOTS: CarriedBy = {
  id: 'slots', name: 'hand slots in its rim',
  wall: colour => [
    {
      kind: 'slots', number: 2, width: { want: { widthCm: 11 } }, chains: { want: { dropCm: 12 } }, into: 'chains', corners: 1, rounds: 4,
      stitch: 'sc', nudge: 0, colour,
    },
  ],
}

const HOLES: CarriedBy = {
  id: 'holes', name: 'hand holes',
  wall: colour => [
    {
      kind: 'slots', number: 2, width: { want: { widthCm: 9 } }, chains: { want: { hole: true } }, into: 'chains', corners: 0, rounds: 2,
      stitch: 'sc', nudge: 0, colour,
    },
  ],
}

const SEWN: CarriedBy = {
  id: 'sewn', name: 'two straps, sewn on',
  wall: colour => [
    rounds(3, colour),
    {
      kind: 'sewn-straps', number: 2, worked: 'along', wide: 6, length: { want: { dropCm: 26 } }, inCm: 6, overlapCm: 4, lines: 2,
      reinforced: 'none', stitch: 'sc', nudge: 0, colour,
    },
  ],
}

const GROWN: CarriedBy = {
  id: 'grown', name: 'a strap grown from the rim',
  wall: colour => [
    rounds(3, colour),
    { kind: 'grown-strap', foot: 9, wide: 7, length: { want: { dropCm: 24 } }, join: 'sewn', stitch: 'sc', nudge: 0, colour },
  ],
}

const CROSS: CarriedBy = {
  id: 'cross', name: 'a cord across the body',
  wall: colour => [
    rounds(3, colour), { kind: 'cross-body', cord: 'slip-stitched', length: { want: { dropCm: 55 } }, nudge: 0, colour },
  ],
}

const BARE: CarriedBy = { id: 'bare', name: 'nothing', wall: colour => [rounds(2, colour)] }

/** Whole bags, in the order in which they are offered. */
export const WHOLE_BAGS: readonly WholeBag[] = [
  {
    id: 'tote', name: 'Tote', does: 'An oval floor, a plain wall, handles: for shopping and books.',
    asks: [
      size('wide', 'Wide, lying flat', 38, 16, 70), size('deep', 'Floor, front to back', 12, 4, 30),
      size('tall', 'Tall in all, lying flat', 38, 18, 75),
    ],
    tallAs: 'flat', carried: [SLOTS, SEWN, GROWN, CROSS],
    base: ({ wide, deep }, colour) => ({
      form: 'oval', stitch: 'sc', perEnd: 'by-gauge', noneFlat: 'more',
      size: { want: { flatWidthCm: wide, widthCm: Math.min(deep, wide / 2) } }, start: 'chain', placing: 'staggered',
      increaseAt: 'last', colour,
    }),
    wall: ({ tall }, colour) => [solid(tall, colour)],
  },
  {
    id: 'net', name: 'Market net', does: 'A round floor and a net of loops that grows around what it carries.',
    asks: [size('wide', 'Floor across', 12, 6, 30), size('tall', 'Net, hanging', 26, 10, 60)], carried: [GROWN, SEWN],
    base: ({ wide }, colour) => circle(wide, colour),
    wall: ({ tall }, colour) => [
      rounds(2, colour),
      {
        kind: 'loops', skip: 1, first: 4, hold: { pin: { chains: 8 } }, last: { pin: { chains: 6 } }, size: { want: { heightCm: tall } },
        ends: 'closed', finish: { inLoop: 2, inStitch: 0 }, colour,
      },
      rounds(3, colour),
    ],
  },
  {
    id: 'pouch', name: 'Drawstring pouch', does: 'A round floor, a casing with two cords, a frill: for small things.',
    asks: [size('wide', 'Floor across', 12, 5, 30), size('tall', 'Tall in all, standing', 17, 8, 45)], tallAs: 'standing', carried: [],
    base: ({ wide }, colour) => circle(wide, colour), like: { turnUp: 'back-and-third-loop' },
    wall: ({ tall }, colour) => [
      solid(tall, colour), { kind: 'adjust', stitch: 'sc', to: { want: { divides: true } }, mirrored: true, colour },
      {
        kind: 'eyelets', eyelets: 'boxes', between: 4, chains: 2, evenOut: false,
        cords: { number: 2, kind: 'slip-stitched', size: { want: { tailCm: 12 } }, opening: false, colour }, colour,
      },
      { kind: 'ruffle', stitch: 'sc', inEach: 2, every: 3, colour },
    ],
  },
  {
    id: 'sling', name: 'Sling', does: 'A boat-shaped base and two straps that knot: hangs at the hip.',
    asks: [size('wide', 'Wide, lying flat', 32, 18, 60), size('tall', 'Tall without its straps', 30, 18, 60)], tallAs: 'flat',
    carried: [
      {
        id: 'knot', name: 'straps that knot',
        wall: colour => [
          {
            kind: 'knot-straps', foot: 10, wide: 8, width: { want: { widthCm: 8 } }, short: { want: { dropCm: 9 } },
            long: { want: { dropCm: 24 } }, join: 'sewn', stitch: 'sc', nudge: 0, colour,
          },
        ],
      },
      GROWN,
    ],
    base: ({ wide }, colour) => ({ form: 'boat', stitch: 'sc', perEnd: 3, size: { want: { flatWidthCm: wide } }, colour }),
    wall: ({ tall }, colour) => [solid(tall, colour)],
  },
  {
    id: 'basket', name: 'Basket', does: 'A round floor, firm low wall, hand holes: stands by itself.',
    asks: [size('wide', 'Floor across', 20, 8, 40), size('tall', 'Tall in all, standing', 17, 8, 40)], tallAs: 'standing',
    carried: [HOLES, BARE],
    base: ({ wide }, colour) => circle(wide, colour), like: { turnUp: 'back-and-third-loop' },
    wall: ({ tall }, colour) => [solid(tall, colour)],
  },
  {
    id: 'wrap', name: 'Folded wrap', does: 'One flat piece in rows, folded and seamed, with a button.',
    asks: [size('wide', 'Wide', 22, 10, 50), size('tall', 'Tall', 20, 8, 50)], carried: [],
    base: ({ wide, tall }, colour) => ({
      form: 'folded', stitch: 'sc', pattern: 'plain', fold: 'below', seam: 'whip', repeat: 6, edgeStitches: 1,
      size: { want: { widthCm: wide, heightCm: tall } }, colour,
    }),
    wall: (_, colour) => [rounds(2, colour), { kind: 'button-loop', buttonCm: 2, colour }],
  },
  {
    id: 'satchel', name: 'Satchel', does: 'A rectangular floor, a wall in moss stitch, a tab that buttons: holds a book.',
    asks: [
      size('wide', 'Floor, side to side', 24, 12, 45), size('deep', 'Floor, front to back', 6, 3, 15),
      size('tall', 'Tall in all, standing', 20, 10, 45),
    ],
    tallAs: 'standing',
    carried: [CROSS, SEWN],
    base: ({ wide, deep }, colour) => ({
      form: 'rectangle', stitch: 'sc', size: { want: { lengthCm: wide, widthCm: Math.min(deep, wide) } }, rowEnds: 'by-gauge',
      corners: 'none', colour,
    }),
    wall: ({ tall }, colour) => [
      { kind: 'moss', size: { want: { heightCm: tall } }, colour }, rounds(2, colour),
      { kind: 'tab', stitch: 'sc', wide: 9, lengthCm: 8, buttonCm: 2.2, colour },
    ],
  },
  {
    id: 'tube', name: 'Flat pouch', does: 'No floor: worked round a chain, lies flat, with a cord across the body.',
    asks: [size('wide', 'Wide, lying flat', 18, 8, 45), size('tall', 'Tall in all', 22, 9, 50)], tallAs: 'flat', carried: [CROSS, BARE],
    base: ({ wide }, colour) => ({ form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: wide } }, colour }),
    wall: ({ tall }, colour) => [solid(tall, colour)],
  },
  {
    id: 'floor', name: 'Floor alone', does: 'A flat disc to begin with: a mat, or the base of whatever comes.',
    asks: [size('wide', 'Across', 20, 6, 60)], carried: [],
    base: ({ wide }, colour) => circle(wide, colour), wall: () => [],
  },
]

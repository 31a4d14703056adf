import { gaugeOf } from '~~/core/gauge/gauge'
import type { Design } from '~~/core/design/design'
import { asksWords } from '~~/core/part/asks'
import type { Bandlike } from '~~/core/texture/bandlike'
import { demandOf, type WallSpec } from '~~/core/wall/wall'

/** A kind of part that a wall can have, as it is offered. */
export interface WallKind {
  readonly value: WallSpec['band']
  readonly name: string
  readonly does: string
  readonly group: KindGroup
}

/** Kinds are offered by what they are for, from the floor up. */
export const KIND_GROUPS = ['Fabric', 'Mesh', 'Mouth and edge', 'Handles', 'Closures', 'Shaping'] as const
export type KindGroup = (typeof KIND_GROUPS)[number]

/** The kinds of part, in the order and the words they are offered. */
export const WALL_KINDS: readonly WallKind[] = [
  { value: 'solid', group: 'Fabric', name: 'plain', does: 'A stitch in every stitch, round upon round.' },
  { value: 'ridges', group: 'Fabric', name: 'ridges', does: 'The same in the back loop alone: the free loops stand as fine ridges.' },
  { value: 'rib', group: 'Fabric', name: 'rib', does: 'Columns around the post, some standing out, some standing back: thick, and it gives.' },
  { value: 'pairs', group: 'Fabric', name: 'pairs', does: 'Two {hdc} together, and two between each two of the round below: a close, cushioned fabric.' },
  { value: 'groups', group: 'Fabric', name: 'groups of three', does: 'Three {dc} into each gap, the middle one reaching down a round. Gaps serve as eyelets.' },
  { value: 'vees', group: 'Mesh', name: 'open V\'s', does: 'Two {dc} with two chains between, over three stitches: airy.' },
  { value: 'sprigs', group: 'Fabric', name: 'sprigs', does: 'One {sc} and two {hdc} in one place, two skipped: a slanting, speckled fabric.' },
  { value: 'waves', group: 'Fabric', name: 'waves', does: 'Fans of three {dc} with one {sc} between, each standing on the other.' },
  { value: 'boxes', group: 'Mesh', name: 'boxes', does: 'One {dc}, chains, as many skipped: a square mesh that keeps its width.' },
  { value: 'loops', group: 'Mesh', name: 'net', does: 'Loops of chains, each caught in the middle of one below: it hangs in diamonds and gives.' },
  { value: 'moss', group: 'Fabric', name: 'moss', does: 'Short stitches and long ones that reach down a round, alternating: dense, pebbled.' },
  { value: 'own', group: 'Fabric', name: 'a repeat of your own', does: 'Typed in the same abbreviations as the pattern, and checked as you type.' },
  { value: 'eyelets', group: 'Mouth and edge', name: 'casing', does: 'A round of eyelets for drawstrings, with the cords, how they are threaded, and how the mouth closes.' },
  { value: 'ruffle', group: 'Mouth and edge', name: 'ruffle', does: 'So many stitches in each box or every second stitch, then increases: it ripples.' },
  { value: 'picots', group: 'Mouth and edge', name: 'picots', does: 'Little points of chain between {sc}.' },
  { value: 'shells', group: 'Mouth and edge', name: 'shells', does: 'A shell of {dc}, one {sc} between, over six stitches.' },
  { value: 'rim', group: 'Mouth and edge', name: 'firm rim', does: 'A last round of {slst} or of {sc} worked backwards: it keeps the mouth from stretching.' },
  { value: 'slots', group: 'Handles', name: 'slots', does: 'Openings with a chain over each: hand holes, or handles where the chain is longer than what it skips.' },
  { value: 'chain-straps', group: 'Handles', name: 'chain straps', does: 'A long chain from corner to corner on each face, and a round worked over everything.' },
  { value: 'grown-strap', group: 'Handles', name: 'grown strap', does: 'Rows grown from the rim at one side, over the mouth, joined to the other.' },
  { value: 'knot-straps', group: 'Handles', name: 'knot straps', does: 'A short strap around one end of the rim and a long one around the other: the long one passes through the short one.' },
  { value: 'sewn-straps', group: 'Handles', name: 'sewn straps', does: 'Straps worked on their own and sewn on, so far in from each side.' },
  { value: 'under-strap', group: 'Handles', name: 'strap under the bag', does: 'One strap under the whole bag, sewn up both sides: the load hangs in it. The strongest for weight.' },
  { value: 'cross-body', group: 'Handles', name: 'cross-body cord', does: 'A long cord from side to side, worn across the body.' },
  { value: 'bought-handles', group: 'Handles', name: 'bought handles', does: 'Handles with rings or holes: where their ends go, and how to fix them.' },
  { value: 'button-loop', group: 'Closures', name: 'button and loop', does: 'A chain loop at the middle of the back over a button on the front.' },
  { value: 'tab', group: 'Closures', name: 'tab', does: 'A tab grown from the back, with a buttonhole of chains.' },
  { value: 'zip', group: 'Closures', name: 'zip', does: 'Two facings for a zip, sewn inside the rim.' },
  { value: 'adjust', group: 'Shaping', name: 'adjusting round', does: 'One plain round with increases or decreases spread over it, so that what comes above divides.' },
  { value: 'taper', group: 'Shaping', name: 'taper', does: 'Draws in or opens out to a wanted circumference, evenly over its height.' },
]

export function kindOf(value: WallSpec['band']): WallKind {
  return WALL_KINDS.find(kind => kind.value === value)!
}

/** What a part asks of the stitches below it; nothing if it takes any. */
export function asksOf(spec: WallSpec, design: Design): string {
  if (spec.band === 'adjust' || spec.band === 'taper') return ''
  const demand = demandOf(spec, design.repeats, gaugeOf(design.gauge))
  if (!demand) return ''
  const { asks: { multiple, plus }, gives } = demand
  if (multiple === 1 && plus === 0) return ''
  const left = gives(multiple + plus) - plus
  return `Asks for ${asksWords(demand.asks)}${left === multiple ? '' : `, leaves ${left} for each ${multiple}`}.`
}

/** What a part keeps when it becomes one of another kind. */
interface Keeps {
  readonly stitch: 'sc' | 'hdc' | 'dc'
  readonly size: Bandlike['size']
  readonly yarn: Pick<Bandlike, 'colour' | 'stripes'>
  readonly design: Design
  /** How far round the part below it goes. */
  readonly aroundCm: number
}

function tenths(cm: number): number {
  return Math.round(cm * 10) / 10
}

function onRim({ stitch, yarn: { colour } }: Keeps) {
  return { stitch, nudge: 0, colour }
}

function slotsFrom(keeps: Keeps) {
  return { number: 2, chains: { want: { dropCm: 12 } }, into: 'chains', corners: 1, rounds: 4, ...onRim(keeps) } as const
}

const STARTS: { readonly [K in WallSpec['band']]: (keeps: Keeps) => Extract<WallSpec, { band: K }> } = {
  'solid': ({ stitch, size, yarn }) => ({ band: 'solid', stitch, size, ...yarn }),
  'ridges': ({ stitch, size, yarn }) => ({ band: 'ridges', stitch, size, ...yarn }),
  'rib': ({ stitch, size, yarn }) => ({ band: 'rib', stitch: stitch === 'sc' ? 'hdc' : stitch, front: 1, back: 1, size, ...yarn }),
  'pairs': ({ size, yarn }) => ({ band: 'pairs', size, ...yarn }),
  'groups': ({ size, yarn }) => ({ band: 'groups', size, ...yarn }),
  'vees': ({ size, yarn }) => ({ band: 'vees', size, ...yarn }),
  'sprigs': ({ size, yarn }) => ({ band: 'sprigs', seamStitch: false, size, ...yarn }),
  'waves': ({ size, yarn }) => ({ band: 'waves', size, ...yarn }),
  'boxes': ({ size, yarn }) => ({ band: 'boxes', chains: 1, finish: false, size, ...yarn }),
  'loops': ({ size, yarn: { colour } }) => ({ band: 'loops', skip: 1, first: 3, hold: { pin: { chains: 6 } }, size, ends: 'closed', finish: { inLoop: 1, inStitch: 1 }, colour }),
  'moss': ({ size, yarn }) => ({ band: 'moss', size, ...yarn }),
  'own': ({ size, yarn, design }) => ({ band: 'own', repeat: design.repeats[0]?.id ?? 'own-1', size, ...yarn }),
  'eyelets': ({ yarn: { colour } }) => ({ band: 'eyelets', eyelets: 'boxes', between: 4, chains: 2, evenOut: false, cords: { number: 2, kind: 'chain', size: { want: { tailCm: 10 } }, opening: false, colour }, colour }),
  'ruffle': ({ stitch, yarn: { colour } }) => ({ band: 'ruffle', stitch, inEach: 3, every: 3, colour }),
  'picots': ({ yarn: { colour } }) => ({ band: 'picots', chains: 3, between: 1, colour }),
  'shells': ({ yarn: { colour } }) => ({ band: 'shells', stitches: 4, colour }),
  'rim': ({ yarn: { colour } }) => ({ band: 'rim', rim: 'slip', colour }),
  'slots': keeps => ({ band: 'slots', ...slotsFrom(keeps), width: { want: { widthCm: Math.max(4, Math.min(12, tenths(keeps.aroundCm / 4))) } } }),
  'chain-straps': keeps => ({ band: 'chain-straps', ...slotsFrom(keeps), width: { want: { widthCm: Math.max(4, tenths(keeps.aroundCm / 3.2)) } }, into: 'over', chains: { want: { dropCm: 20 } } }),
  'grown-strap': keeps => ({ band: 'grown-strap', foot: 7, wide: 7, length: { want: { dropCm: 28 } }, join: 'sewn', ...onRim(keeps) }),
  'knot-straps': keeps => ({ band: 'knot-straps', foot: 7, wide: 7, width: { want: { widthCm: Math.max(2, tenths(keeps.aroundCm / 6)) } }, short: { want: { dropCm: 10 } }, long: { want: { dropCm: 22 } }, join: 'sewn', ...onRim(keeps) }),
  'sewn-straps': keeps => ({ band: 'sewn-straps', number: 2, worked: 'along', wide: 6, length: { want: { dropCm: 24 } }, inCm: Math.max(1, tenths(keeps.aroundCm / 12)), overlapCm: 4, lines: 2, reinforced: 'none', ...onRim(keeps) }),
  'under-strap': keeps => ({ band: 'under-strap', worked: 'along', wide: 8, length: { want: { dropCm: 28 } }, lines: 2, ...onRim(keeps) }),
  'cross-body': ({ yarn: { colour } }) => ({ band: 'cross-body', cord: 'slip-stitched', length: { want: { dropCm: 60 } }, nudge: 0, colour }),
  'bought-handles': ({ yarn: { colour }, aroundCm }) => ({ band: 'bought-handles', number: 2, holds: 'rings', lengthCm: 38, apartCm: Math.max(2, Math.min(12, tenths(aroundCm / 6))), foot: 3, nudge: 0, colour }),
  'button-loop': ({ yarn: { colour } }) => ({ band: 'button-loop', buttonCm: 2.5, colour }),
  'tab': ({ stitch, yarn: { colour } }) => ({ band: 'tab', stitch, wide: 9, lengthCm: 8, buttonCm: 2.5, colour }),
  'zip': ({ stitch, yarn: { colour } }) => ({ band: 'zip', stitch, facingCm: 3, colour }),
  'adjust': ({ stitch, yarn: { colour } }) => ({ band: 'adjust', stitch, to: { want: { divides: true } }, mirrored: true, colour }),
  'taper': ({ stitch, size, yarn, aroundCm }) => ({
    band: 'taper', stitch, size: { want: { heightCm: 'want' in size ? size.want.heightCm : 6, aroundCm: Math.round(aroundCm * 8.5) / 10 } }, mirrored: false, ...yarn,
  }),
}

/** A part of another kind in the place of one, keeping what both have: height, yarn, stripes, stitch. */
export function ofKind(band: WallSpec['band'], like: WallSpec, design: Design, aroundCm: number): WallSpec {
  return STARTS[band]({
    stitch: 'stitch' in like ? like.stitch : 'sc',
    size: 'size' in like && like.band !== 'taper' ? like.size : { want: { heightCm: 6 } },
    yarn: { colour: like.colour, ...('stripes' in like && like.stripes ? { stripes: like.stripes } : {}) },
    design, aroundCm,
  })
}

/** The repeat that a new one of the maker's own starts from. */
export function firstRepeat(id: string): Design['repeats'][number] {
  return { id, name: 'my repeat', lines: ['sc in next, (sc, ch 1, sc) in next, sk next 2 sts', 'sc in next 2, sk next ch-sp, 2 sc in next'] }
}

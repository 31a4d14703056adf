import type { Gauge } from '../../things/gauge/gauge'
import type { CordKind, CordsSpec } from '../part/roles'
import { STITCHES } from '../../things/stitch/dictionary'

/** A cord, however it is come by. */
interface CordMaking {
  readonly value: CordKind
  readonly name: string
  readonly does?: string
  /** How it is made of so many chains, in words. */
  readonly made: (chains: number) => string
  /** How thick it is, in widths of a chain (from memory). */
  readonly thick: number
  /** Yarn in a length of it, in lengths: a chain eats three to four times its length (craft 12; from memory). */
  readonly yarn: number
  /** How long its chains are against plain ones (from memory); none for a cord that is not worked. */
  readonly stretch?: number
}

const CHAIN = STITCHES.ch.yarnPerWidth

/** Ways to come by a cord. A further one is a further row. */
const CORDS: readonly CordMaking[] = [
  {
    value: 'chain', name: 'a chain', does: 'Quick and round; it stretches a little.', made: chains => `ch ${chains}`, thick: 0.5,
    yarn: CHAIN, stretch: 1,
  },
  {
    value: 'slip-stitched', name: 'a chain, slip-stitched', does: 'With {slst} along its back: flatter and firmer.',
    made: chains => `ch ${chains}, then {slst} in the back bump of each ch`, thick: 0.65, yarn: CHAIN + STITCHES.slst.yarnPerWidth,
    stretch: 1,
  },
  {
    value: 'doubled', name: 'a double-yarn chain', does: 'Thick and fast.', made: chains => `with the yarn double, ch ${chains}`,
    thick: 0.8, yarn: 2 * CHAIN, stretch: 1.35,
  },
  { value: 'bought', name: 'bought', made: () => 'a bought cord', thick: 0.6, yarn: 0 },
]

/** Everything there is to know of a way to come by a cord. */
export function cordMaking(kind: CordKind): CordMaking {
  return CORDS.find(({ value }) => value === kind)!
}

/** Whether a cord is worked by the maker. */
export function isWorked(kind: CordKind): boolean {
  return cordMaking(kind).stretch !== undefined
}

/** Cords to choose from. */
export const CORD_OPTIONS = CORDS.map(({ value, name, does }) => ({ value, name, ...(does ? { does } : {}) }))

/** Length and way of a cord. */
export interface Cord {
  /** From end to end, knots made. */
  readonly lengthCm: number
  /** Each end, beyond the mouth, when the bag is open. */
  readonly tailCm: number
  /** Chains to work before the knots are made; none for a bought one. */
  readonly chains: number
  /** Yarn for one cord. */
  readonly yarnCm: number
  readonly thickCm: number
}

/** Length for the knots at both ends (from memory). */
const KNOTS_CM = 6
/** An opening cord, from its post and back, both ends (from memory). */
const OPENING_CM = 24

/** A cord so long from end to end; its ends hang out beyond a mouth so far round. */
export function cordOf(kind: CordKind, lengthCm: number, aroundCm: number, gauge: Gauge): Cord {
  const { thick, yarn, stretch } = cordMaking(kind)
  const worked = lengthCm + (stretch === undefined ? 0 : KNOTS_CM)
  const chains = stretch === undefined ? 0 : Math.ceil(worked / (gauge.ch.width.cm * stretch))
  return { lengthCm, tailCm: (lengthCm - aroundCm) / 2, chains, yarnCm: worked * yarn, thickCm: thick * gauge.ch.width.cm }
}

/** The drawstring for a mouth: once round and its two ends (craft 9). */
export function drawstring({ kind, size }: CordsSpec, mouthCm: number, gauge: Gauge): Cord {
  if ('want' in size) return cordOf(kind, mouthCm + 2 * size.want.tailCm, mouthCm, gauge)
  return 'chains' in size.pin
    ? cordOfChains(kind, size.pin.chains, mouthCm, gauge)
    : cordOf(kind, size.pin.lengthCm, mouthCm, gauge)
}

/** A cord of so many chains; of a bought one as long as so many would be. */
function cordOfChains(kind: CordKind, chains: number, aroundCm: number, gauge: Gauge): Cord {
  const { stretch } = cordMaking(kind)
  const lengthCm = Math.max(1, chains * gauge.ch.width.cm * (stretch ?? 1) - (stretch === undefined ? 0 : KNOTS_CM))
  return { ...cordOf(kind, lengthCm, aroundCm, gauge), chains: stretch === undefined ? 0 : chains }
}

/** From fingertip to fingertip: how makers measure yarn for a cord (craft 12; common practice, no source). */
export const ARM_SPAN_CM = 150

/** One of the two short cords that open the bag. */
export function openingCord({ kind }: CordsSpec, gauge: Gauge): Cord {
  return cordOf(kind, OPENING_CM, 0, gauge)
}

/** A length of a yarn of the bag. */
export interface YarnLength {
  readonly colour: string
  readonly cm: number
}

/** All the yarn that the cords take: the drawstrings, and the opening cords, which may be of another. */
export function cordsYarn(spec: CordsSpec, mouthCm: number, gauge: Gauge): YarnLength[] {
  return [
    { colour: spec.colour, cm: spec.number * drawstring(spec, mouthCm, gauge).yarnCm },
    ...(spec.opening ? [{ colour: spec.openingColour ?? spec.colour, cm: 2 * openingCord(spec, gauge).yarnCm }] : []),
  ]
}

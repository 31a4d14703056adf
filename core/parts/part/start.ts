/** Traits of a way to start, besides its words. */
interface StartTraits {
  /** The first round goes into its chains. */
  readonly intoChains?: true
  /** Its chains lie along the first row, and are yarn of their own. */
  readonly laid?: true
  /** It is of stitches, worked chain and stitch in one. */
  readonly stitched?: true
  /** Of stitches too, which are the first side of round 1. */
  readonly sided?: true
  /** Its chains are joined, and worked into all the way round. */
  readonly looped?: true
  /** Its chains are joined into a ring that round 1 is worked into. */
  readonly ringed?: true
  /** It is no chain at all: there are holes to work into. */
  readonly holed?: true
}

/** The ways to start a bag, or a piece of its own (craft 5). */
const STARTS = {
  'ring': {}, 'chain-ring': { ringed: true }, 'chain': { intoChains: true }, 'foundation-chain': { intoChains: true, laid: true },
  'foundation-sc': { stitched: true }, 'foundation-side': { sided: true }, 'chain-loop': { looped: true }, 'bought': { holed: true },
} as const satisfies Readonly<Record<string, StartTraits>>

/** Foundation of a bag's first round, or of a piece's first row. */
export interface Start {
  readonly kind: keyof typeof STARTS
  /** Chains made before the first round, turning chain included; 0 for a ring of yarn; holes of a bought floor. */
  readonly chains: number
  /** Which of those chains, from the hook, the first stitch goes into. */
  readonly firstInto?: number
  /** How long the foundation should be before anything is worked into it: it shrinks a little (craft 4). */
  readonly beforeCm?: number
}

/** Traits of a start. */
export function traitsOf({ kind }: Start): StartTraits {
  return STARTS[kind]
}

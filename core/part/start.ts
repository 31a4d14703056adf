/** What the first round of a bag, or the first row of a piece, is worked into. */
export interface Start {
  readonly kind: 'ring' | 'chain-ring' | 'chain' | 'foundation-chain' | 'foundation-sc' | 'chain-loop' | 'bought'
  /** Chains made before the first round, turning chain included; 0 for a ring of yarn; holes of a bought floor. */
  readonly chains: number
  /** Which of those chains, from the hook, the first stitch goes into. */
  readonly firstInto?: number
  /** How long the foundation should be before anything is worked into it: it shrinks a little (handbook 4). */
  readonly beforeCm?: number
}

import type { BagWork } from './bagWork'
import type { KeptBag } from './settle'
import type { MakeSeen } from './toMake'

/** A bag as a line of an order names it. */
export interface LineAsked {
  readonly bag: string
  readonly name: string
}

/** What one of a bag takes; or why that is not known. */
export interface BagKnown {
  /** The bag of the house that is meant; empty if there is none. */
  readonly bag: string
  readonly work: BagWork | null
  readonly why?: string
}

/** What the house knows of the bags of some orders. */
export interface KnownOfOrders {
  readonly here: readonly KeptBag[]
  readonly makes: readonly MakeSeen[]
  /** Minutes at the hook that are gone of today's evening. */
  readonly workedToday: number
  /** Line by line, as they were asked. */
  readonly bags: readonly BagKnown[]
}

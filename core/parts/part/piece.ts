import type { CardId } from '../../things/entry/cards'
import type { WorkedRound } from '../../things/round/workedRound'
import type { LayOut } from './layOut'
import type { Start } from './start'

/** Something worked on its own, in rows, and joined to the bag: a strap, a tab, a facing, a loop of chain. */
export interface Piece {
  /** Told apart from its part's other pieces by this. */
  readonly id: string
  readonly name: string
  /** How many of them are made. */
  readonly times: number
  /** Foundation of its first row. */
  readonly start: Start
  /** Said instead of the start, where it grows from the bag or is no more than a chain. */
  readonly lead?: string
  readonly rows: readonly WorkedRound[]
  readonly lengthCm: number
  readonly widthCm: number
  /** Of a piece in rounds: where its stitches lie. */
  readonly layOut?: LayOut
  /** Its first row runs along its length, not across it. */
  readonly along: boolean
  /** Made before the rounds of its part, which are worked on it. */
  readonly before?: true
  /** Begun with the yarn of the bag's last round, which is not cut. */
  readonly goesOn?: true
  /** Its last row is left free: nothing is sewn there. */
  readonly free?: true
  /** How it is sewn on; whip stitch if left out. */
  readonly seam?: CardId
  /** Yarn that its rows do not tell: of a cord. */
  readonly cordYarnCm?: number
  readonly colour: string
  /** Said before its rows, and after them. */
  readonly advice: readonly string[]
  readonly finish: readonly string[]
}

import type { Fields } from '../field/field'
import type { Finding } from '../part/finding'
import type { Setting } from '../part/part'
import type { Edge } from '../../things/round/edge'
import type { WorkedRound } from '../../things/round/workedRound'

/** Rounds of a motif, as a document holds them: what they are, in which yarn, and what their kind asks besides. */
export interface MotifBand {
  readonly kind: string
  readonly colour: string
}

/** A motif as far as it is worked: its edge, how far out that lies, and the round that left it. */
export interface Within {
  readonly edge: Edge
  readonly radiusCm: number
  readonly last?: WorkedRound
}

/** Rounds worked on a motif: how much each lies further out, and what was noticed. */
export interface Outward {
  readonly rounds: readonly WorkedRound[]
  readonly rises: readonly number[]
  readonly findings: readonly Finding[]
}

/** A kind of rounds of a motif. */
export interface MotifKind {
  readonly kind: string
  readonly name: string
  readonly does: string
  readonly fields: Fields
  readonly work: (band: MotifBand, within: Within, setting: Setting) => Outward
}

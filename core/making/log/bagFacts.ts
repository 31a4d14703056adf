import type { Measure } from '../../bag/design/measures'
import type { CountChoice, KeptFigures, Lies } from '../make/event'
import type { Units } from '../../things/measure/format'
import type { MakeState } from '../make/makeState'
import type { FabricKind, StitchKind } from '../../things/stitch/dictionary'
import type { Sitting } from './workedRounds'

/** How quickly a stitch went, alone or in a stitch pattern: rounds that a rest lay in are left out. */
export interface PaceFact {
  /** The stitch, and the pattern where it is one: `sc`, `sprigs in hdc`. */
  readonly key: string
  readonly kind: StitchKind
  readonly stitches: number
  readonly minutes: number
  readonly rounds: number
  /** Of these what was worked late in a sitting. */
  readonly late: { readonly stitches: number, readonly minutes: number }
}

/** A size as the plan said it before the first stitch, and as the tape did. */
export interface SizeFact {
  readonly what: Measure
  readonly part: string
  readonly round: number
  readonly rounds: number
  readonly saidCm: number
  readonly plusMinusCm: number
  readonly cm: number
}

/** A stitch as large as finished work said, beside the swatch. */
export interface TensionFact {
  readonly key: string
  readonly kind: FabricKind
  readonly side: 'width' | 'height'
  readonly cm: number
  readonly swatchCm: number
  readonly error: number
  /** How far into the bag, 0 to 1. */
  readonly along: number
}

/** Predicted and weighed use of a yarn. */
export interface YarnFact {
  readonly yarn: string
  readonly name: string
  readonly saidMetres: number
  readonly grams: number
  /** Whether the whole bag was weighed, or a stretch of it. */
  readonly whole: boolean
}

/** A count that was not the planned one. */
interface CountFact {
  readonly round: number
  readonly planned: number
  readonly found: number
  readonly choice: CountChoice
}

/** Something that was changed on the way, in words. */
export interface ChangeFact {
  readonly at: number
  readonly what: string
}

/** Facts of a make. */
export interface BagFacts {
  readonly version: number
  readonly name: string
  readonly bag?: string
  readonly begun: number
  readonly finished?: number
  readonly lastAt: number
  readonly words: string
  readonly share: number
  readonly minutes: number
  readonly sittings: readonly Sitting[]
  /** Unit of the maker's tape. */
  readonly units: Units
  readonly hookMm: number
  readonly strands: number
  readonly gaugeFrom: 'swatch' | 'craft' | 'you'
  readonly yarns: readonly { readonly id: string, readonly name: string, readonly colour: string }[]
  readonly forWhom: string
  readonly yarnUsed: string
  readonly notes: string
  readonly rounds: { readonly done: number, readonly planned: number, readonly begun: number }
  readonly stitches: number
  readonly ripped: MakeState['ripped']
  /** When rounds were done, and the ripping back. */
  readonly timeline: readonly { readonly at: number, readonly round: number }[]
  readonly pace: readonly PaceFact[]
  readonly sizes: readonly SizeFact[]
  readonly tension: readonly TensionFact[]
  readonly yarn: readonly YarnFact[]
  readonly counted: number
  readonly off: readonly CountFact[]
  readonly changed: readonly ChangeFact[]
  /** Of a bag that came in by a table: what the table says of it. Nothing is learnt from it. */
  readonly kept?: KeptFigures
  readonly floor?: { readonly lies: Lies, readonly increases: number, readonly ratio: number, readonly kind: FabricKind }
}

/** Facts of the bag itself, and the maker's words. */
export type LoggedFacts = Pick<BagFacts, 'units' | 'hookMm' | 'strands' | 'gaugeFrom' | 'yarns' | 'forWhom' | 'yarnUsed' | 'notes'>

/** The figures of a bag's line in the logbook: those of its table, if it came in by one, else as it was worked. */
export function lineFigures({ kept, sittings, minutes, rounds, stitches, ripped, off }: BagFacts): KeptFigures {
  return kept ?? { sittings: sittings.length, minutes, rounds: rounds.done, stitches, ripped: ripped.rounds, off: off.length }
}

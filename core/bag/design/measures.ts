import { between, choice, count, length, text } from '../../parts/field/questions'
import type { ValuesOf } from '../../parts/field/spec'

/** Lengths of a bag being made that a tape can be laid along. */
export const MEASURES = ['base-length', 'base-width', 'flat-width', 'height', 'part-height'] as const
export type Measure = (typeof MEASURES)[number]

/** Fields of a part of the bag under the tape, done or half done. */
export const MEASURED_PART_FIELDS = {
  part: text('Part', 1, 30, { says: '`base`, or the id of a part of the wall.' }),
  rounds: count('Rounds worked', between(1, 2001)),
  stitches: count('Stitches', between(1, 200_000), { says: 'That its last round left, by which it is known again.' }),
  what: choice('What', MEASURES.map(value => ({ value, name: value }))),
  cm: length('Measured', between(0.1, 1000)),
} as const

export type MeasuredPart = ValuesOf<typeof MEASURED_PART_FIELDS>

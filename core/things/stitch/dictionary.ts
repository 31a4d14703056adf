import { byName } from '../measure/byName'
import { type Stitch, STITCH_ROWS, type StitchName } from './stitches'

export type { Stitch, StitchName } from './stitches'

/** The two vocabularies of the craft. */
export type Terms = 'us' | 'uk'

type StitchRow = (typeof STITCH_ROWS)[number]
export type StitchKind = StitchRow['kind']
/** The stitches that stand up and make fabric. */
export type FabricKind = Exclude<StitchRow, { readonly heightInSc: 0 }>['kind']

export const STITCH_KINDS: readonly StitchKind[] = STITCH_ROWS.map(({ kind }) => kind)
export const FABRIC_KINDS = STITCH_ROWS.filter(({ heightInSc }) => heightInSc > 0).map(({ kind }) => kind as FabricKind)

/** Every stitch by its kind. */
export const STITCHES = byName<StitchKind, Stitch>(STITCH_KINDS, (_, i) => STITCH_ROWS[i]!)

/** Every kind as a small number, so that a round of thousands can be kept in a byte each. */
export const STITCH_CODE = byName(STITCH_KINDS, (_, code) => code)

/** A stitch's names in the maker's vocabulary. */
export function stitchName(kind: StitchKind, terms: Terms): StitchName {
  return STITCHES[kind][terms]
}

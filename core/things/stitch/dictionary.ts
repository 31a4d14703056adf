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
export const STITCHES = Object.fromEntries(STITCH_ROWS.map(row => [row.kind, row])) as unknown as Readonly<Record<StitchKind, Stitch>>

/** Every kind as a small number, so that a round of thousands can be kept in a byte each. */
export const STITCH_CODE = Object.fromEntries(STITCH_KINDS.map((kind, code) => [kind, code])) as Readonly<Record<StitchKind, number>>

/** A stitch's names in the maker's vocabulary. */
export function stitchName(kind: StitchKind, terms: Terms): StitchName {
  return STITCHES[kind][terms]
}

/**
 * The stitches the house knows, under their US abbreviations, which the documents use as well.
 * Their UK names are other words for the same movements of the hook, never other stitches.
 */
export const STITCH_KINDS = ['ch', 'slst', 'sc', 'hdc', 'dc', 'tr'] as const
export type StitchKind = (typeof STITCH_KINDS)[number]

/** The stitches that stand up and make fabric. */
export const FABRIC_KINDS = ['sc', 'hdc', 'dc', 'tr'] as const
export type FabricKind = (typeof FABRIC_KINDS)[number]

/** The two vocabularies of the craft. */
export type Terms = 'us' | 'uk'

/** What a stitch is called in one vocabulary. */
export interface StitchName {
  readonly name: string
  readonly abbreviation: string
}

/** A stitch as the craft knows it. */
export interface Stitch {
  readonly kind: StitchKind
  readonly us: StitchName
  readonly uk: StitchName
  /** Height in chains, and so the starting chain that stands as tall (handbook 2; common practice, no source). */
  readonly heightChains: number
  /** Height as a multiple of a single crochet's, for kinds that were not measured (handbook 4; from memory). */
  readonly heightInSc: number
  /** Yarn it eats as a multiple of a stitch's width (handbook 12; from memory). */
  readonly yarnPerWidth: number
}

/**
 * Names and abbreviations follow the Craft Yarn Council's published list of crochet abbreviations and its US/UK
 * conversion chart (from memory); heights are common practice, yarn factors from memory.
 */
export const STITCHES: Readonly<Record<StitchKind, Stitch>> = {
  ch: {
    kind: 'ch', us: { name: 'chain', abbreviation: 'ch' }, uk: { name: 'chain', abbreviation: 'ch' },
    heightChains: 1, heightInSc: 0, yarnPerWidth: 3.5,
  },
  slst: {
    kind: 'slst', us: { name: 'slip stitch', abbreviation: 'sl st' }, uk: { name: 'slip stitch', abbreviation: 'ss' },
    heightChains: 0, heightInSc: 0, yarnPerWidth: 3,
  },
  sc: {
    kind: 'sc', us: { name: 'single crochet', abbreviation: 'sc' }, uk: { name: 'double crochet', abbreviation: 'dc' },
    heightChains: 1, heightInSc: 1, yarnPerWidth: 7.5,
  },
  hdc: {
    kind: 'hdc', us: { name: 'half double crochet', abbreviation: 'hdc' }, uk: { name: 'half treble', abbreviation: 'htr' },
    heightChains: 2, heightInSc: 1.4, yarnPerWidth: 9.5,
  },
  dc: {
    kind: 'dc', us: { name: 'double crochet', abbreviation: 'dc' }, uk: { name: 'treble', abbreviation: 'tr' },
    heightChains: 3, heightInSc: 2, yarnPerWidth: 12,
  },
  tr: {
    kind: 'tr', us: { name: 'treble crochet', abbreviation: 'tr' }, uk: { name: 'double treble', abbreviation: 'dtr' },
    heightChains: 4, heightInSc: 2.8, yarnPerWidth: 16,
  },
}

/** Every kind as a small number, so that a round of thousands can be kept in a byte each. */
export const STITCH_CODE = Object.fromEntries(STITCH_KINDS.map((kind, code) => [kind, code])) as Readonly<Record<StitchKind, number>>

/** What a stitch is called in the maker's vocabulary. */
export function stitchName(kind: StitchKind, terms: Terms): StitchName {
  return STITCHES[kind][terms]
}

/** A stitch's names in one vocabulary. */
export interface StitchName {
  readonly name: string
  readonly abbreviation: string
}

/** The mark of a stitch on a chart: an oval along its line, a dot at its foot, or a stem with bars. */
type StitchMark = { readonly is: 'oval' } | { readonly is: 'dot' } | StemMark

/** Where along the stem bars cross it, straight or slanted: 0 at its foot, 1 at its head. */
interface StemMark {
  readonly is: 'stem'
  readonly across: readonly number[]
  readonly slanted: readonly number[]
}

/** A stitch as the craft knows it: everything that the program knows of it. */
export interface Stitch {
  /** Its US abbreviation in one word, which the documents use as well. */
  readonly kind: string
  readonly us: StitchName
  readonly uk: StitchName
  /** Height in chains, and so the starting chain that stands as tall (craft 2; common practice, no source). */
  readonly heightChains: number
  /** Where a starting chain that does not count is usually lower than that, how many chains it has. */
  readonly uncountedChains?: number
  /** Height as a multiple of a single crochet's, for kinds that were not measured (craft 4; from memory); 0 if it does not stand up. */
  readonly heightInSc: number
  /** Yarn it eats as a multiple of a stitch's width (craft 12; from memory). */
  readonly yarnPerWidth: number
  /** Worked in runs, into no place of its own. */
  readonly inRuns?: true
  readonly mark: StitchMark
  /**
   * How it looks on the fabric's right side: a V that fills its height, a V on a stem, or a thread along the top with the fabric open
   * below.
   */
  readonly front: 'vee' | 'stemmed' | 'open'
}

/** The mark of a stitch that stands up, with its bars. */
function stem(across: readonly number[], slanted: readonly number[] = []): StemMark {
  return { is: 'stem', across, slanted }
}

/**
 * The stitches that the program knows; a further one is a further row. UK names are other words for the same movements of the hook, never
 * other stitches. Names and abbreviations follow the Craft Yarn Council's published list of crochet abbreviations and its US/UK
 * conversion chart, marks its published chart symbols (both from memory); heights are common practice, yarn factors from memory.
 */
export const STITCH_ROWS = [
  {
    kind: 'ch', us: { name: 'chain', abbreviation: 'ch' }, uk: { name: 'chain', abbreviation: 'ch' }, heightChains: 1, heightInSc: 0,
    yarnPerWidth: 3.5, inRuns: true, mark: { is: 'oval' }, front: 'open',
  },
  {
    kind: 'slst', us: { name: 'slip stitch', abbreviation: 'sl st' }, uk: { name: 'slip stitch', abbreviation: 'ss' }, heightChains: 0,
    heightInSc: 0, yarnPerWidth: 3, mark: { is: 'dot' }, front: 'vee',
  },
  {
    kind: 'sc', us: { name: 'single crochet', abbreviation: 'sc' }, uk: { name: 'double crochet', abbreviation: 'dc' }, heightChains: 1,
    heightInSc: 1, yarnPerWidth: 7.5, mark: stem([0.55]), front: 'vee',
  },
  {
    kind: 'hdc', us: { name: 'half double crochet', abbreviation: 'hdc' }, uk: { name: 'half treble', abbreviation: 'htr' },
    heightChains: 2, heightInSc: 1.4, yarnPerWidth: 9.5, mark: stem([1]), front: 'stemmed',
  },
  {
    kind: 'dc', us: { name: 'double crochet', abbreviation: 'dc' }, uk: { name: 'treble', abbreviation: 'tr' }, heightChains: 3,
    uncountedChains: 2, heightInSc: 2, yarnPerWidth: 12, mark: stem([1], [0.5]), front: 'stemmed',
  },
  {
    kind: 'tr', us: { name: 'treble crochet', abbreviation: 'tr' }, uk: { name: 'double treble', abbreviation: 'dtr' }, heightChains: 4,
    heightInSc: 2.8, yarnPerWidth: 16, mark: stem([1], [0.4, 0.6]), front: 'stemmed',
  },
] as const satisfies readonly Stitch[]

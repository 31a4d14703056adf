import { STITCHES, type StitchKind, type Terms } from '../stitch/dictionary'

/**
 * Findings, advice and descriptions name stitches in curly brackets, since they are written before the maker's vocabulary is
 * known: `{dc}` for the abbreviation, `{dc.name}` for the whole name. This puts them into words.
 */
export function inTerms(text: string, terms: Terms): string {
  return text.replace(/\{(\w+)(\.name)?\}/g, (whole, kind: string, name?: string) =>
    kind in STITCHES ? STITCHES[kind as StitchKind][terms][name ? 'name' : 'abbreviation'] : whole,
  )
}

import { type FabricKind, stitchName, type Terms } from '~~/core/stitch/dictionary'

/** Stitches to choose from, in the maker's vocabulary: the abbreviation, and the name it stands for. */
export function stitchChoices<K extends FabricKind>(kinds: readonly K[], terms: Terms): { readonly value: K, readonly name: string, readonly does: string }[] {
  return kinds.map(value => ({ value, name: stitchName(value, terms).abbreviation, does: stitchName(value, terms).name }))
}

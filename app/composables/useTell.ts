import { tell } from '~~/core/stitch/tell'
import { useTape } from '~/stores/tape'
import { useWays } from '~/stores/ways'

/** Tells the core's texts in the maker's vocabulary, on the tape of the bag that is open. */
export function useTell(): (text: string) => string {
  const ways = useWays()
  const tape = useTape()
  return text => tell(text, { terms: ways.terms, units: tape.units ?? ways.units ?? 'cm' })
}

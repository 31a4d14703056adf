import { tell } from '~~/core/things/stitch/translate'
import { useWays } from '~/stores/ways'
import { useUnits } from './useUnits'

/** Tells the core's texts in the maker's vocabulary, on the tape of the bag that is open. */
export function useTell(): (text: string) => string {
  const ways = useWays()
  const units = useUnits()
  return text => tell(text, { terms: ways.terms, units: units.value })
}

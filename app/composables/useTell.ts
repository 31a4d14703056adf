import { tell } from '~~/core/stitch/tell'
import { useDocument } from '~/stores/document'
import { useWays } from '~/stores/ways'

/** Tells the core's texts in the maker's vocabulary, on the tape of the bag that is open. */
export function useTell(): (text: string) => string {
  const ways = useWays()
  const bag = useDocument()
  return text => tell(text, { terms: ways.terms, units: bag.isOpen ? bag.design.units : 'cm' })
}

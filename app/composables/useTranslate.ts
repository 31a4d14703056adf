import { translate } from '~~/core/things/stitch/translate'
import { useSettings } from '~/stores/settings'
import { useUnits } from './useUnits'

/** Tells the core's texts in the maker's vocabulary, on the tape of the bag that is open. */
export function useTranslate(): (text: string) => string {
  const settings = useSettings()
  const units = useUnits()
  return text => translate(text, { terms: settings.terms, units: units.value })
}

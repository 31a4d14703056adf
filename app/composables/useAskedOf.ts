import { computed, type ComputedRef } from 'vue'
import { withChanges } from '~~/core/bag/design/edit'
import { ASSUMED_GAUGE } from '~~/core/bag/design/starter'
import { gaugeOf } from '~~/core/things/gauge/gauge'
import { useSettings } from '~/stores/settings'
import type { Asking } from './useAnswers'

/** Asks a document that is no bag, or a part of one: answers go to `take`, as the document that they make. */
export function useAskedOf<D extends object>(document: () => D, take: (next: D) => void, currency?: () => string): ComputedRef<Asking> {
  const settings = useSettings()
  return computed(() => ({
    spec: document(), now: { gauge: gaugeOf(ASSUMED_GAUGE) }, units: settings.units ?? 'cm', yarns: [],
    ...(currency ? { currency: currency() } : {}),
    answer(_, changes) {
      take(withChanges(document(), changes))
      return undefined
    },
  }))
}

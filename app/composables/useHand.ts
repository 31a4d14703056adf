import { computed, type ComputedRef } from 'vue'
import type { Handedness } from '~~/core/bag/design/design'
import { useTape } from '~/stores/tape'
import { useSettings } from '~/stores/settings'

/** The hand that drawings are for: the open bag's, or the maker's. */
export function useHand(): ComputedRef<Handedness> {
  const tape = useTape()
  const settings = useSettings()
  return computed(() => tape.hands ?? settings.hands ?? 'right')
}

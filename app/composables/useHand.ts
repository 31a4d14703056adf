import { computed, type ComputedRef } from 'vue'
import type { Hands } from '~~/core/design/design'
import { useDocument } from '~/stores/document'
import { useWays } from '~/stores/ways'

/** The hand that drawings are for: the open bag's, or the maker's. */
export function useHand(): ComputedRef<Hands> {
  const bag = useDocument()
  const ways = useWays()
  return computed(() => (bag.isOpen ? bag.design.hands : ways.hands) ?? 'right')
}

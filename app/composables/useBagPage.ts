import { useEventListener, useIntervalFn } from '@vueuse/core'
import { onBeforeUnmount, watch } from 'vue'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'

/** Looks for what was saved elsewhere so often, while the page is looked at. */
const LOOK_MS = 20_000

/** Opens the bag that the address names, and sees that it is saved when the page is put away. */
export function useBagPage() {
  const route = useRoute()
  const bag = useDocument()
  const saving = useSaving()
  watch(() => route.params.id as string, wanted => saving.open(wanted), { immediate: true })
  useHead({ title: () => bag.isOpen ? `${bag.design.name} · Fair Hollow` : 'Fair Hollow' })

  /** A page that is put away may be ended without a word: what is left is sent now. */
  function putAway(): void {
    void saving.flush()
  }

  function onVisible(): void {
    if (document.visibilityState === 'hidden') putAway()
    else void saving.look()
  }

  useEventListener(['pagehide', 'online'], putAway)
  useEventListener(document, 'visibilitychange', onVisible)
  useIntervalFn(() => document.visibilityState === 'visible' && void saving.look(), LOOK_MS)
  onBeforeUnmount(putAway)
  return bag
}

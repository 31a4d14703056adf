import { onBeforeUnmount, onMounted, watch } from 'vue'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'

/** Opens the bag that the address names, and sees that nothing of it is lost when the page closes. */
export function useBagPage() {
  const route = useRoute()
  const bag = useDocument()
  const saving = useSaving()
  watch(() => route.params.id as string, wanted => saving.open(wanted), { immediate: true })
  useHead({ title: () => bag.isOpen ? `${bag.design.name} · Fair Hollow` : 'Fair Hollow' })

  function onLeave(event: BeforeUnloadEvent): void {
    if (saving.state === 'saved') return
    void saving.flush()
    event.preventDefault()
  }
  onMounted(() => window.addEventListener('beforeunload', onLeave))
  onBeforeUnmount(() => {
    window.removeEventListener('beforeunload', onLeave)
    void saving.flush()
  })
  return bag
}

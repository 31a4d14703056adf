import { onBeforeUnmount, onMounted, watch } from 'vue'
import { useBench } from '~/stores/bench'

/** Opens the bag that the address names, and sees that nothing of it is lost when the page closes. */
export function useBagPage() {
  const route = useRoute()
  const bench = useBench()
  watch(() => route.params.id as string, wanted => bench.open(wanted), { immediate: true })
  useHead({ title: () => bench.design ? `${bench.design.name} · Fair Hollow` : 'Fair Hollow' })

  function onLeave(event: BeforeUnloadEvent): void {
    if (bench.saving === 'saved') return
    void bench.flush()
    event.preventDefault()
  }
  onMounted(() => window.addEventListener('beforeunload', onLeave))
  onBeforeUnmount(() => {
    window.removeEventListener('beforeunload', onLeave)
    void bench.flush()
  })
  return bench
}

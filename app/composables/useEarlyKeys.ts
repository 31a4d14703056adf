import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'

/** Keeps what is typed while something that was asked for is still on its way, and hands it over when it is there. */
export function useEarlyKeys() {
  let typed = ''
  const keeping = ref(false)

  function keep(event: KeyboardEvent): void {
    if (!keeping.value || event.ctrlKey || event.metaKey || event.altKey || event.key.length !== 1) return
    event.preventDefault()
    event.stopImmediatePropagation()
    typed += event.key
  }

  function begin(): void {
    typed = ''
    keeping.value = true
  }

  /** The keys typed until now; from here on keys go where they should. */
  function end(): string {
    keeping.value = false
    return typed
  }

  useEventListener('keydown', keep, { capture: true })
  return { begin, end }
}

import { onBeforeUnmount } from 'vue'

/** Keeps what is typed while something that was asked for is still on its way, and hands it over when it is there. */
export function useEarlyKeys() {
  let typed = ''

  function keep(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || event.key.length !== 1) return
    event.preventDefault()
    event.stopImmediatePropagation()
    typed += event.key
  }

  function begin(): void {
    typed = ''
    window.addEventListener('keydown', keep, { capture: true })
  }

  /** The keys typed until now; from here on keys go where they should. */
  function end(): string {
    window.removeEventListener('keydown', keep, { capture: true })
    return typed
  }

  onBeforeUnmount(end)
  return { begin, end }
}

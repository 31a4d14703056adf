import { onBeforeUnmount, type ShallowRef, shallowRef, watch } from 'vue'

/**
 * A value that follows its source once the page has been painted with it: a large drawing takes longer than a key may, and what was typed
 * and counted is on the page before it. Where it is something else altogether, as a bag that was opened, it follows at once.
 */
export function useAfterPaint<T>(source: () => T, another: () => unknown): Readonly<ShallowRef<T>> {
  const after = shallowRef(source())
  let frame = 0
  let task: ReturnType<typeof setTimeout> | undefined
  const stop = () => {
    cancelAnimationFrame(frame)
    clearTimeout(task)
  }
  watch(source, () => {
    stop()
    frame = requestAnimationFrame(() => (task = setTimeout(() => (after.value = source()))))
  })
  watch(another, () => {
    stop()
    after.value = source()
  }, { flush: 'sync' })
  onBeforeUnmount(stop)
  return after
}

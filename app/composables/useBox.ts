import { onBeforeUnmount, onMounted, ref, type Ref, watch } from 'vue'

/** The width and height in pixels of an element, kept up to date; it may come later than its page. */
export function useBox(element: Ref<HTMLElement | undefined>) {
  const width = ref(0)
  const height = ref(0)
  let observer: ResizeObserver | undefined
  onMounted(() => {
    observer = new ResizeObserver(([entry]) => {
      width.value = entry!.contentRect.width
      height.value = entry!.contentRect.height
    })
    watch(element, (now, before) => {
      if (before) observer!.unobserve(before)
      if (now) observer!.observe(now)
    }, { immediate: true })
  })
  onBeforeUnmount(() => observer?.disconnect())
  return { width, height }
}

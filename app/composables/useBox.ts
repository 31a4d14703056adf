import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue'

/** The width and height in pixels of an element, kept up to date. */
export function useBox(element: Ref<HTMLElement | undefined>) {
  const width = ref(0)
  const height = ref(0)
  let observer: ResizeObserver | undefined
  onMounted(() => {
    observer = new ResizeObserver(([entry]) => {
      width.value = entry!.contentRect.width
      height.value = entry!.contentRect.height
    })
    if (element.value) observer.observe(element.value)
  })
  onBeforeUnmount(() => observer?.disconnect())
  return { width, height }
}

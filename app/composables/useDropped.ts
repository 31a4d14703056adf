import { useEventListener } from '@vueuse/core'
import { ref, type Ref } from 'vue'

/** Files that are dropped anywhere on a page; tells whether one hovers over it. */
export function useDropped(take: (file: File) => unknown): Ref<boolean> {
  const hovering = ref(false)
  const holdsFile = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false

  function over(event: DragEvent): void {
    if (!holdsFile(event)) return
    event.preventDefault()
    hovering.value = true
  }

  function out(event: DragEvent): void {
    // Leaving the window, not going from one thing on it to another.
    if (event.relatedTarget === null) hovering.value = false
  }

  async function drop(event: DragEvent): Promise<void> {
    hovering.value = false
    if (!holdsFile(event)) return
    event.preventDefault()
    for (const file of event.dataTransfer?.files ?? []) await take(file)
  }

  useEventListener('dragover', over)
  useEventListener('dragleave', out)
  useEventListener('drop', drop)
  return hovering
}

import { computed, type Ref } from 'vue'
import { useElementSize } from '@vueuse/core'

/** A letter of a field's label is so wide, and the outline leaves so much beside it, in the page's own unit. */
const LETTER_REM = 0.43
const BESIDE_REM = 2

/** Whether a field's label has no room on its outline: it stands above the field then, on as many lines as it takes. */
export function useLabelRoom(field: Ref<HTMLElement | undefined>, label: () => string): Ref<boolean> {
  const { width } = useElementSize(field)
  return computed(() => {
    const rem = width.value > 0 ? width.value / parseFloat(getComputedStyle(document.documentElement).fontSize) : Infinity
    return label().length * LETTER_REM + BESIDE_REM > rem
  })
}

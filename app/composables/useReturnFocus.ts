import { nextTick, onBeforeUnmount, type Ref, watch } from 'vue'

/** A dialog gives the focus back to what had it before, when it is closed. */
export function useReturnFocus(open: Ref<boolean>): void {
  let before: Element | null = null

  async function giveBack(): Promise<void> {
    const to = before
    before = null
    await nextTick()
    if (to instanceof HTMLElement && to.isConnected) to.focus()
  }

  watch(open, (now) => {
    if (now) before = document.activeElement
    else void giveBack()
  }, { immediate: true, flush: 'sync' })
  onBeforeUnmount(giveBack)
}

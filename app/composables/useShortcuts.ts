import { useEventListener } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, shallowRef } from 'vue'
import { useSettings } from '~/stores/settings'

/** A single key and what it does, or one with Ctrl (`Ctrl+Z`), which works while somebody is typing too; listed under `?`. */
export interface Shortcut {
  readonly key: string
  readonly does: string
  readonly run: () => void
}

const CLICKED = ['radio', 'checkbox', 'color']

function isTyping(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement) return !CLICKED.includes(target.type)
  return target instanceof HTMLElement && (target.isContentEditable || ['TEXTAREA', 'SELECT'].includes(target.tagName))
}

/** Whoever listens for keys now. */
const listening = shallowRef<readonly (() => readonly Shortcut[])[]>([])

/** Every key that does something now. */
export const shortcutsNow = computed(() => listening.value.flatMap(shortcuts => shortcuts()))

/** A key with Ctrl, or the command key, as it is listed; nothing of one alone. */
function withCtrl({ ctrlKey, metaKey, shiftKey, key }: KeyboardEvent): string | undefined {
  return ctrlKey || metaKey ? `Ctrl+${shiftKey ? 'Shift+' : ''}${key.toUpperCase()}` : undefined
}

/** Listens for single keys while nobody is typing; takes them back when the component leaves. */
export function useShortcuts(shortcuts: () => readonly Shortcut[]): void {
  const settings = useSettings()
  function onKey(event: KeyboardEvent): void {
    const pressed = withCtrl(event)
    if (event.altKey || (!pressed && (isTyping(event.target) || !settings.letterKeys)) || document.querySelector('[role="dialog"]')) return
    const found = shortcuts().find(({ key }) => key === (pressed ?? event.key))
    if (!found) return
    event.preventDefault()
    found.run()
  }
  useEventListener('keydown', onKey)
  onMounted(() => (listening.value = [...listening.value, shortcuts]))
  onBeforeUnmount(() => (listening.value = listening.value.filter(one => one !== shortcuts)))
}

import { tryOnScopeDispose, useEventListener } from '@vueuse/core'
import { onMounted, ref } from 'vue'

/** Keeps the screen lit while the page is looked at; says whether this browser lets it. */
export function useAwake() {
  const awake = ref<'awake' | 'asleep' | 'cannot'>('asleep')
  let lock: WakeLockSentinel | undefined

  async function ask(): Promise<void> {
    if (!('wakeLock' in navigator)) {
      awake.value = 'cannot'
      return
    }
    if (document.visibilityState !== 'visible' || lock) return
    try {
      lock = await navigator.wakeLock.request('screen')
      awake.value = 'awake'
      lock.addEventListener('release', () => {
        lock = undefined
        awake.value = 'asleep'
      })
    }
    catch {
      // Refused for now, on a low battery perhaps: asked again with the next touch.
      awake.value = 'asleep'
    }
  }

  onMounted(ask)
  useEventListener(document, ['visibilitychange', 'pointerdown'], ask)
  tryOnScopeDispose(() => void lock?.release())
  return { awake }
}

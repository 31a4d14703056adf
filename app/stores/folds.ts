import { defineStore } from 'pinia'
import { ref } from 'vue'
import { remember } from '~/keeping/remember'

const KEY = 'fair-hollow.folds'

function remembered(): Record<string, boolean> {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '{}')
    return typeof kept === 'object' && kept !== null ? kept as Record<string, boolean> : {}
  }
  catch {
    return {}
  }
}

/** Which sections of the screens a maker has folded or opened, kept by the browser. */
export const useFolds = defineStore('folds', () => {
  const folds = ref(remembered())

  /** Whether a section is open; as it usually is where nobody said. */
  function isOpen(name: string, usually: boolean): boolean {
    return folds.value[name] ?? usually
  }

  function set(name: string, open: boolean): void {
    folds.value = { ...folds.value, [name]: open }
    remember(KEY, folds.value)
  }

  return { isOpen, set }
})

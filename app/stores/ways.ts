import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { Terms } from '~~/core/stitch/dictionary'
import type { RepeatStyle } from '~~/core/words/say'

/** How the page is lit: as the machine says, or as the maker does. */
export type Light = 'machine' | 'light' | 'dark'

const KEY = 'fair-hollow.ways'

interface Ways {
  terms: Terms
  repeats: RepeatStyle
  light: Light
}

function remembered(): Ways {
  const plain: Ways = { terms: 'us', repeats: 'brackets', light: 'machine' }
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Ways>
    return {
      terms: kept.terms === 'uk' ? 'uk' : 'us',
      repeats: kept.repeats === 'asterisk' ? 'asterisk' : 'brackets',
      light: kept.light === 'light' || kept.light === 'dark' ? kept.light : 'machine',
    }
  }
  catch {
    return plain
  }
}

/** What a maker prefers whichever bag is open, kept by the browser: vocabulary, how repeats are written, light. */
export const useWays = defineStore('ways', () => {
  const kept = remembered()
  const terms = ref<Terms>(kept.terms)
  const repeats = ref<RepeatStyle>(kept.repeats)
  const light = ref<Light>(kept.light)
  watch([terms, repeats, light], () =>
    localStorage.setItem(KEY, JSON.stringify({ terms: terms.value, repeats: repeats.value, light: light.value })))

  function otherTerms(): void {
    terms.value = terms.value === 'us' ? 'uk' : 'us'
  }

  return { terms, repeats, light, otherTerms }
})

import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { Handedness } from '~~/core/bag/design/design'
import type { Units } from '~~/core/things/measure/format'
import type { Terms } from '~~/core/things/stitch/dictionary'
import type { RepeatStyle } from '~~/core/readers/words/openingWords'
import { remember } from '~/keeping/remember'

/** How the page is lit: as the machine says, or as the maker does. */
export type Light = 'machine' | 'light' | 'dark'

const KEY = 'fair-hollow.ways'

interface Ways {
  terms: Terms
  repeats: RepeatStyle
  light: Light
  /** Units of new bags, and the hand they are worked with; nothing until the maker has said. */
  units: Units | undefined
  hands: Handedness | undefined
  /** Single letters do something (WCAG 2.1.4 wants that they can be switched off). */
  letterKeys: boolean
  /** The tour of the bench was taken, or left. */
  toured: boolean
}

const oneOf = <V>(value: unknown, values: readonly V[]): V | undefined => values.find(one => one === value)

function remembered(): Ways {
  let kept: Partial<Record<keyof Ways, unknown>> = {}
  try {
    kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as typeof kept
  }
  catch {
    // What cannot be read is as if nothing had been said.
  }
  return {
    terms: oneOf<Terms>(kept.terms, ['us', 'uk']) ?? 'us',
    repeats: oneOf<RepeatStyle>(kept.repeats, ['brackets', 'asterisk']) ?? 'brackets',
    light: oneOf<Light>(kept.light, ['machine', 'light', 'dark']) ?? 'machine', units: oneOf<Units>(kept.units, ['cm', 'in']),
    hands: oneOf<Handedness>(kept.hands, ['right', 'left']), letterKeys: kept.letterKeys !== false, toured: kept.toured === true,
  }
}

/** The maker's settings, whichever bag is open, kept by the browser: vocabulary, measures, hand, how repeats are written, light, keys. */
export const useSettings = defineStore('ways', () => {
  const kept = remembered()
  const terms = ref(kept.terms)
  const repeats = ref(kept.repeats)
  const light = ref(kept.light)
  const units = ref(kept.units)
  const hands = ref(kept.hands)
  const letterKeys = ref(kept.letterKeys)
  const toured = ref(kept.toured)
  const all = { terms, repeats, light, units, hands, letterKeys, toured }
  watch(Object.values(all), () =>
    remember(KEY, Object.fromEntries(Object.entries(all).map(([name, { value }]) => [name, value]))))

  function otherTerms(): void {
    terms.value = terms.value === 'us' ? 'uk' : 'us'
  }

  /** The maker's settings for new bags. */
  function forNewBags(): { units?: Units, hands?: Handedness } {
    return { ...(units.value ? { units: units.value } : {}), ...(hands.value ? { hands: hands.value } : {}) }
  }

  return { ...all, otherTerms, forNewBags }
})

import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Handedness } from '~~/core/bag/design/design'
import type { Units } from '~~/core/things/measure/format'

/**
 * Units of the tape in hand, and which hand holds the hook: those of the bag that is open; nothing where none is. Whoever tells
 * or draws something asks here, and need not know of bags.
 */
export const useTape = defineStore('tape', () => {
  const units = ref<Units>()
  const hands = ref<Handedness>()
  return { units, hands }
})

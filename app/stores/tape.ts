import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Units } from '~~/core/measure/format'

/** What the tape in hand is marked in: that of the bag that is open; nothing where none is. */
export const useTape = defineStore('tape', () => {
  const units = ref<Units>()
  return { units }
})

import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Design, DesignGauge, Yarn } from '~~/core/bag/design/design'
import { ASSUMED_GAUGE } from '~~/core/bag/design/starter'
import { ask, type KeptRecord } from './records'
import { useSwatches } from './swatches'
import { useSettings } from './settings'

/** The maker's last gauge and yarn: those that a new bag is drawn in until they say otherwise. */
export const useLastUsed = defineStore('lastUsed', () => {
  const swatches = useSwatches()
  const settings = useSettings()
  const last = shallowRef<Design>()

  async function load(): Promise<void> {
    await swatches.load()
    try {
      const { bags: [newest] } = await ask<{ bags: { id: string }[] }>('/api/designs', { query: { find: '', order: 'changed', from: 0 } })
      if (newest) last.value = (await ask<KeptRecord<Design>>(`/api/designs/${newest.id}`)).document
    }
    catch {
      // Nothing hangs on it: a new bag begins with the usual.
    }
  }

  const gauge = computed<DesignGauge>(() => last.value?.gauge ?? ASSUMED_GAUGE)
  const yarn = computed<Omit<Yarn, 'id'>>(() => {
    const { id: _, ...main } = last.value?.yarns[0] ?? { id: 'main', name: 'undyed cotton, DK', colour: '#dccba6' }
    return main
  })
  const units = computed(() => settings.units ?? last.value?.units ?? 'cm')
  return { load, gauge, yarn, units, swatches }
})

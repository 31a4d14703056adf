<script setup lang="ts">
import { computed, onMounted } from 'vue'
import type { DesignGauge } from '~~/core/design/design'
import { useDocument } from '~/stores/document'
import { useSwatches } from '~/stores/swatches'

/** The swatch this bag is drafted in: counted here, or taken from the kept ones. */
const bag = useDocument()
const shelf = useSwatches()
const sound = computed(() => shelf.swatches.filter(({ unreadable }) => !unreadable))
onMounted(() => void shelf.load())

function count(gauge: DesignGauge, field: string): void {
  bag.change('Swatch', [{ path: ['gauge'], value: gauge }], `gauge.${field}`)
}

function takeKept(id: string | null): void {
  const kept = shelf.swatches.find(swatch => swatch.id === id)
  if (kept) bag.change(`Swatch: ${kept.document.name}`, [{ path: ['gauge'], value: kept.document.gauge }])
}
</script>

<template>
  <div class="gauge">
    <v-select
      v-if="sound.length > 0"
      label="Take a kept swatch"
      :model-value="null"
      :items="sound.map(({ id, document }) => ({ value: id, title: document.name }))"
      @update:model-value="takeKept"
    />
    <GaugeFields
      :gauge="bag.design.gauge"
      :units="bag.design.units"
      @change="count"
    />
  </div>
</template>

<style scoped>
.gauge { display: flex; flex-direction: column; gap: 0.8rem; }
</style>

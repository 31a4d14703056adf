<script setup lang="ts">
import { onMounted } from 'vue'
import type { DesignGauge } from '~~/core/design/design'
import { useBench } from '~/stores/bench'
import { useSwatches } from '~/stores/swatches'

/** The swatch this bag is drafted in: counted here, or taken from the kept ones. */
const bench = useBench()
const shelf = useSwatches()
onMounted(() => void shelf.load())

function count(gauge: DesignGauge, field: string): void {
  bench.edit('Swatch', d => void (d.gauge = JSON.parse(JSON.stringify(gauge)) as typeof d.gauge), `gauge.${field}`)
}

function takeKept(id: string | null): void {
  const kept = shelf.swatches.find(swatch => swatch.id === id)
  if (kept) bench.edit(`Swatch: ${kept.document.name}`, d => void (d.gauge = JSON.parse(JSON.stringify(kept.document.gauge)) as typeof d.gauge))
}
</script>

<template>
  <div class="gauge">
    <v-select
      v-if="shelf.swatches.length > 0"
      label="Take a kept swatch"
      :model-value="null"
      :items="shelf.swatches.map(({ id, document }) => ({ value: id, title: document.name }))"
      @update:model-value="takeKept"
    />
    <GaugeFields
      :gauge="bench.design!.gauge"
      :units="bench.design!.units"
      @change="count"
    />
  </div>
</template>

<style scoped>
.gauge { display: flex; flex-direction: column; gap: 0.8rem; }
</style>

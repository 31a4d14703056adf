<script setup lang="ts">
import { computed, onMounted } from 'vue'
import type { DesignGauge } from '~~/core/bag/design/design'
import { takenFrom } from '~~/core/bag/design/textureSwatch'
import { useDocument } from '~/stores/document'
import { useLogbook } from '~/stores/logbook'
import { useSwatches } from '~/stores/swatches'

/** The swatch this bag is drafted in: counted here, or taken from the kept ones. */
const bag = useDocument()
const shelf = useSwatches()
/** Those that this bag has a use for: of a texture alone only where a band is in it. */
const sound = computed(() => shelf.swatches.filter(({ unreadable, document }) =>
  !unreadable && takenFrom(document, bag.design).length > 0))
onMounted(() => void shelf.load())

/** A stitch counted anew is learnt no more. */
function count({ learnt: _, ...gauge }: DesignGauge, field: string): void {
  bag.change('Swatch', [{ path: ['gauge'], value: gauge }], `gauge.${field}`)
}

/** The gauge that finished bags taught, to start from. */
const book = useLogbook()
onMounted(() => void book.loadTaught())
const offers = computed(() => book.taught?.offers ?? [])
function takeLearnt(name: string | null): void {
  const offer = offers.value.find(one => one.name === name)
  if (offer) bag.change(`Gauge from your logbook: ${offer.name}`, [{ path: ['gauge'], value: offer.gauge }])
}
const taught = computed(() => bag.design.gauge.learnt)

function takeKept(id: string | null): void {
  const kept = shelf.swatches.find(swatch => swatch.id === id)
  if (kept) bag.change(`Swatch: ${kept.document.name}`, takenFrom(kept.document, bag.design))
}
</script>

<template>
  <div class="gauge">
    <PickField
      v-if="sound.length > 0"
      label="Take a kept swatch"
      :model-value="null"
      :items="sound.map(({ id, document }) => ({ value: id, title: document.name }))"
      @update:model-value="takeKept"
    />
    <PickField
      v-if="offers.length > 0"
      label="From your logbook"
      :model-value="null"
      :items="offers.map(({ name, bags }) => ({ value: name, title: `${name} (${bags} ${bags === 1 ? 'bag' : 'bags'})` }))"
      @update:model-value="takeLearnt"
    />
    <p v-if="taught">
      Learnt from {{ taught.bags === 1 ? 'your last bag' : `your ${taught.bags} bags` }} in this yarn: good to ± {{ taught.widePercent }} %
      across, ± {{ taught.tallPercent }} % up, nine times of ten. Counted anew it is a swatch again.
    </p>
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

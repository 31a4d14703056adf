<script setup lang="ts">
import { computed } from 'vue'
import { yarnUseOf } from '~~/core/household/shelf/yarnUse'
import { sum } from '~~/core/household/shelf/money'
import { stockOf } from '~~/core/household/shelf/stock'
import type { ShelfYarn } from '~~/core/household/shelf/yarn'
import { YARN_WEIGHTS } from '~~/core/things/stitch/yarnWeights'
import { formatGrams, formatMetres, formatRunning } from '~~/core/things/measure/amounts'
import { useUnits } from '~/composables/useUnits'

/** Stock of a yarn of the shelf, and how well it is known how it is used up. */
const props = defineProps<{ yarn: ShelfYarn }>()
const units = useUnits()
const stock = computed(() => stockOf(props.yarn))
const kind = computed(() => YARN_WEIGHTS.find(({ number }) => number === props.yarn.weightClass)!)

const left = computed(() => {
  const { grams, metres, whole, part, lots } = stock.value
  if (grams === 0) return 'nothing left'
  const balls = [...(whole ? [`${whole} whole`] : []), ...(part ? [`${part} begun`] : [])].join(', ')
  const lot = lots.length > 1 ? `; lots ${lots.join(', ')}` : lots.length === 1 ? `; lot ${lots[0]}` : ''
  return `${formatGrams(grams, units.value)}, about ${formatMetres(metres, units.value)}: ${balls}${lot}`
})

const KNOWN = {
  craft: 'Eaten as the craft says, good to a third: unravel ten stitches, and it is surer.',
  unravelled: 'Eaten as your unravelled row says.', swatch: 'Eaten as your weighed swatch says.', log: 'Eaten as your bags say.',
} as const
const known = computed(() => KNOWN[yarnUseOf(props.yarn).from])
const details = computed(() => [
  `class ${kind.value.number}, ${kind.value.name.toLowerCase()}`, ...(props.yarn.fibre ? [props.yarn.fibre] : []),
  formatRunning(props.yarn.metresPer100g, units.value), `balls of ${formatGrams(props.yarn.ballGrams, units.value)}`,
  ...(props.yarn.ballPrice === undefined ? [] : [`${sum(props.yarn.ballPrice)} a ball`]), ...(props.yarn.place ? [props.yarn.place] : []),
].join(' · '))
</script>

<template>
  <p><strong class="figures">{{ left }}</strong></p>
  <p>{{ details }}</p>
  <p class="soft">
    {{ known }}
  </p>
</template>

<style scoped>
p { margin: 0.2rem 0; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { casingsOf } from '~~/core/bag/draft/casing'
import type { DraftPart } from '~~/core/bag/draft/draft'
import { formatCm } from '~~/core/things/measure/format'
import { drawnBy } from '~~/core/parts/mouth/drawn'
import type { Asking } from '~/composables/useAnswers'
import { useView } from '~/stores/view'

/** How a casing's cords are threaded, and what they do when they are pulled. */
const props = defineProps<{ asking: Asking, part?: DraftPart | undefined }>()
const view = useView()
const units = computed(() => props.asking.units)
const casing = computed(() => props.part && casingsOf([props.part], props.asking.now.gauge)[0])
const drawn = computed(() => casing.value && drawnBy(casing.value.gathered, view.pulled))
</script>

<template>
  <div
    v-if="casing && drawn"
    class="pull"
  >
    <label for="pulled">Pull the cords</label>
    <input
      id="pulled"
      v-model.number="view.pulled"
      type="range"
      min="0"
      max="1"
      step="0.02"
      :aria-valuetext="`${formatCm(drawn.aroundCm, units)} round`"
    >
    <p
      role="status"
      class="figures"
    >
      {{ formatCm(drawn.aroundCm, units) }} round, a hole of {{ formatCm(drawn.openingCm, units) }},
      ends of {{ formatCm(drawn.tailCm, units) }}
    </p>
    <p class="soft">
      An estimate by rule of thumb: tight, {{ casing.eyelets }} posts stand side by side, each as thick as
      the fabric ({{ formatCm(casing.gathered.fabricCm, units) }}), with the cords inside.
    </p>
  </div>
  <ThreadingRing
    v-if="casing?.threading.ok"
    :eyelets="casing.eyelets"
    :threading="casing.threading"
    :opening="casing.opening !== undefined"
  />
</template>

<style scoped>
.pull label { font-size: 0.84rem; color: var(--soft-ink); }
.pull input { width: 100%; accent-color: var(--accent); height: 2rem; }
.pull p { margin: 0.2rem 0 0; font-size: 0.88rem; line-height: 1.35; }
</style>

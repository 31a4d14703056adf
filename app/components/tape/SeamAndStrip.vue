<script setup lang="ts">
import { computed, ref } from 'vue'
import type { StretchTest } from '~~/core/parts/handle/drop'
import type { Units } from '~~/core/things/measure/format'
import { parseLengthCm, parseNumber } from '~~/core/things/measure/parse'

/** How far the seam leaned, and what a strip did under a weight. */
const props = defineProps<{ joined: boolean, units: Units, says: (told: { leanPerTen: number } | { strip: StretchTest }) => string }>()
const emit = defineEmits<{ lean: [perTen: number], strip: [strip: StretchTest] }>()
const lean = ref('')
const before = ref('')
const after = ref('')
const wide = ref('')
const kg = ref('')
const tried = ref(false)
const perTen = computed(() => parseNumber(lean.value))
const canLean = computed(() => perTen.value !== undefined && Math.abs(perTen.value) <= 20)
const strip = computed<StretchTest | undefined>(() => {
  const [beforeCm, afterCm, widthCm] = [before, after, wide].map(one => parseLengthCm(one.value, props.units))
  const weight = parseNumber(kg.value)
  const lengths = [beforeCm, afterCm, widthCm].every(cm => cm !== undefined && cm >= 1 && cm <= 300)
  return lengths && afterCm! >= beforeCm! && weight !== undefined && weight >= 0.01 && weight <= 50
    ? { beforeCm: beforeCm!, afterCm: afterCm!, widthCm: widthCm!, kg: weight }
    : undefined
})

function tellStrip(): void {
  tried.value = true
  if (strip.value) emit('strip', strip.value)
}
</script>

<template>
  <form
    v-if="joined"
    @submit.prevent="canLean && emit('lean', perTen!)"
  >
    <label>
      How far the seam wandered in ten rounds:
      <NumberInput
        v-model="lean"
      /> stitches
    </label>
    <p class="soft">
      Count from where the last ten rounds began; below 0 if it leaned the way you work.
    </p>
    <p
      v-if="lean && !canLean"
      role="alert"
      class="wrong"
    >
      Type stitches from -20 to 20, such as 2.5.
    </p>
    <p
      v-else-if="lean"
      role="status"
    >
      {{ says({ leanPerTen: perTen! }) }}
    </p>
    <TouchButton
      submit
    >
      Draft the rest by it
    </TouchButton>
  </form>
  <form @submit.prevent="tellStrip">
    <p>A strip hung up, low over the floor:</p>
    <div class="four">
      <label>before <NumberInput
        v-model="before"
      /> {{ units }}</label>
      <label>with the weight <NumberInput
        v-model="after"
      /> {{ units }}</label>
      <label>its width <NumberInput
        v-model="wide"
      /> {{ units }}</label>
      <label>the weight <NumberInput
        v-model="kg"
      /> kg</label>
    </div>
    <p
      v-if="tried && !strip"
      role="alert"
      class="wrong"
    >
      Type all four: lengths from 1 cm to 3 m, under the weight no shorter than before, and 0.01 to 50 kg.
    </p>
    <p
      v-else-if="strip"
      role="status"
    >
      {{ says({ strip }) }}
    </p>
    <TouchButton
      submit
    >
      Draft the handles by it
    </TouchButton>
  </form>
</template>

<style scoped>
form { display: flex; flex-direction: column; gap: 0.6rem; }
form + form { margin-top: 1rem; border-top: 1px solid var(--line); padding-top: 0.8rem; }
.four { display: grid; grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr)); gap: 0.5rem; }
form .four label { display: grid; grid-template-columns: minmax(0, 1fr) 5rem 2rem; }
</style>

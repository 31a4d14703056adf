<script setup lang="ts">
import { computed, ref } from 'vue'
import { type TapeAsked, tapeAfter } from '~~/core/beats/checks'
import { formatCm } from '~~/core/measure/format'
import { parseLengthCm, parseNumber } from '~~/core/measure/parse'
import { type Measure, MEASURES } from '~~/core/make/event'
import { useHook } from '~/composables/useHook'

/** What the tape says, beside what was planned; and what the scales say of the yarn that is left. */
const props = defineProps<{ asked?: TapeAsked | undefined }>()
const emit = defineEmits<{ done: [] }>()
const { make, told, units, road, leg } = useHook()

const NAMES: Record<Measure, string> = {
  'base-width': 'Floor, across the narrow way', 'base-length': 'Floor, along', 'flat-width': 'Bag lying flat, side to side',
  'height': 'Floor to hook, lying flat',
}
const what = ref<Measure>(props.asked?.what ?? (leg.value?.part === 'base' ? 'base-width' : 'height'))
const typed = ref('')
const tried = ref(false)
const yarn = ref(make.hand?.plan.yarns[0]?.id ?? 'main')
const grams = ref('')
const cm = computed(() => parseLengthCm(typed.value, units.value))
const weight = computed(() => parseNumber(grams.value))
const isLength = computed(() => cm.value !== undefined && cm.value >= 0.1 && cm.value <= 1000)
const isWeight = computed(() => weight.value !== undefined && weight.value >= 0 && weight.value <= 100_000)
const planned = computed(() => {
  if (props.asked?.what === what.value) return props.asked
  const before = road.value?.legs[(make.hand?.at.index ?? 1) - 1]
  const other = before && tapeAfter(road.value!, before)
  return other?.what === what.value ? other : undefined
})
/** How far off it is, against what the swatch can know. */
const verdict = computed(() => {
  if (!planned.value || cm.value === undefined) return ''
  const off = cm.value - planned.value.plannedCm
  const size = `${formatCm(Math.abs(off), units.value)} ${off > 0 ? 'more' : 'less'} than planned`
  if (Math.abs(off) <= Math.max(0.2, planned.value.plusMinusCm)) return 'As planned, as far as a swatch can tell.'
  return `${size}: your hands work ${off > 0 ? 'looser' : 'tighter'} than the swatch said.`
})

function keep(): void {
  tried.value = true
  if (!isLength.value) return
  const done = road.value?.legs.slice(0, make.hand!.at.index).findLast(({ sort }) => sort === 'round')
  make.measured({ round: done?.number ?? 0, what: what.value, cm: Math.round(cm.value! * 100) / 100 })
  emit('done')
}

function weigh(): void {
  if (!isWeight.value) return
  make.weighed(yarn.value, weight.value!)
  emit('done')
}
</script>

<template>
  <p v-if="asked">
    {{ told(asked.how) }}
  </p>
  <form @submit.prevent="keep">
    <label>
      Measured
      <select v-model="what">
        <option
          v-for="one in MEASURES"
          :key="one"
          :value="one"
        >{{ NAMES[one] }}</option>
      </select>
    </label>
    <label>
      It is
      <input
        v-model="typed"
        autocomplete="off"
        inputmode="decimal"
        data-first
      >
      {{ units }}
      <span
        v-if="planned"
        class="soft"
      >planned {{ formatCm(planned.plannedCm, units) }} ± {{ formatCm(planned.plusMinusCm, units) }}</span>
    </label>
    <p role="status">
      {{ verdict }}
    </p>
    <p
      v-if="tried && !isLength"
      role="alert"
      class="wrong"
    >
      Type a length, such as {{ units === 'in' ? '4 3/4' : '12.5' }}; at most 10 metres.
    </p>
    <button
      type="submit"
      class="big"
    >
      Write the measure down
    </button>
  </form>
  <form
    class="scales"
    @submit.prevent="weigh"
  >
    <label>
      Left of
      <select v-model="yarn">
        <option
          v-for="one in make.hand?.plan.yarns"
          :key="one.id"
          :value="one.id"
        >{{ one.name }}</option>
      </select>
    </label>
    <label>
      <input
        v-model="grams"
        autocomplete="off"
        inputmode="decimal"
        aria-label="Grams left"
      > g
      <button
        type="submit"
        class="plain"
      >Write the weight down</button>
    </label>
    <p
      v-if="grams && !isWeight"
      role="alert"
      class="wrong"
    >
      Type grams, such as 42.5, up to 100 000.
    </p>
  </form>
</template>

<style scoped>
form { display: flex; flex-direction: column; gap: 0.6rem; }
.scales { margin-top: 1.1rem; border-top: 1px solid var(--line); padding-top: 0.8rem; }
select {
  height: 3rem; max-width: 100%; padding: 0 0.6rem; font: inherit; color: inherit; background: var(--paper);
  border: 1px solid var(--strong-line); border-radius: 0.5rem;
}
</style>

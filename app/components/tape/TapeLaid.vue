<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Measure } from '~~/core/bag/design/measures'
import type { Units } from '~~/core/things/measure/format'
import { formatCm, formatLength } from '~~/core/things/measure/format'
import { parseLengthCm } from '~~/core/things/measure/parse'
import type { ExpectedLength } from '~~/core/making/make/expectedLength'
import type { Measuring } from '~~/core/making/make/measuring'

/** A length of the work: asked for, questioned where it can hardly be meant, and told what it would change before it is taken. */
const props = defineProps<{
  measurable: readonly ExpectedLength[]
  units: Units
  begin?: Measure | undefined
  /** Effects of a length. */
  weigh: (what: Measure, cm: number) => Measuring
  told: (text: string) => string
  /** There is no log that it could be written down in without drafting by it. */
  recordLess?: boolean
}>()
const emit = defineEmits<{ take: [what: Measure, cm: number, redrafts: boolean] }>()

const NAMES: Record<Measure, (part: string, rounds: number) => string> = {
  'base-width': () => 'Floor, across the narrow way', 'base-length': () => 'Floor, along',
  'flat-width': () => 'Bag lying flat, side to side', 'height': () => 'From the floor\'s edge up to the hook',
  'part-height': (part, rounds) => `${part}: its ${rounds === 1 ? 'first round' : `${rounds} rounds`}, up to the hook`,
}
const first = computed(() => props.measurable.find(one => one.what === props.begin) ?? props.measurable[0])
const what = ref<Measure | undefined>(first.value?.what)
watch(first, (now) => {
  if (!props.measurable.some(one => one.what === what.value)) what.value = now?.what
})
const planned = computed(() => props.measurable.find(one => one.what === what.value))
const typed = ref('')
const tried = ref(false)
const sure = ref(false)
const cm = computed(() => parseLengthCm(typed.value, props.units))
const can = computed(() => cm.value !== undefined && cm.value >= 0.1 && cm.value <= 1000)
/** Drafted a moment after the typing, not with every figure. */
const weighed = ref<Measuring>()
let timer: ReturnType<typeof setTimeout> | undefined
watch([typed, what], () => {
  clearTimeout(timer)
  sure.value = false
  weighed.value = undefined
  timer = setTimeout(look, 180)
})

function look(): void {
  clearTimeout(timer)
  weighed.value = can.value && what.value ? props.weigh(what.value, cm.value!) : undefined
}

function mean(instead: number): void {
  typed.value = `${instead} cm`
}

function take(redrafts: boolean): void {
  tried.value = true
  if (!can.value || !what.value) return
  if (!weighed.value) look()
  if (weighed.value?.doubt && !sure.value) return
  emit('take', what.value, Math.round(cm.value! * 100) / 100, redrafts)
}
</script>

<template>
  <form @submit.prevent="take(true)">
    <label>
      Measured
      <select v-model="what">
        <option
          v-for="one in measurable"
          :key="one.what"
          :value="one.what"
        >{{ NAMES[one.what](one.part.name, one.rounds) }}</option>
      </select>
    </label>
    <label>
      It is
      <NumberInput
        v-model="typed"
        data-first
        :aria-invalid="tried && !can"
      />
      {{ units }}
      <span
        v-if="planned"
        class="soft"
      >planned {{ formatLength(planned.length, units) }}</span>
    </label>
    <p
      v-if="tried && !can"
      role="alert"
      class="wrong"
    >
      Type a length above 0, such as {{ units === 'in' ? '4 3/4' : '12.5' }}; at most 10 metres.
    </p>
    <DoubtAsked
      v-if="weighed?.doubt && !sure"
      :what="told(weighed.doubt.what)"
      :instead="weighed.doubt.instead?.label"
      :typed="formatCm(cm!, units)"
      @instead="mean(weighed.doubt.instead!.cm)"
      @sure="sure = true"
    />
    <template v-else-if="weighed">
      <p role="status">
        {{ told(weighed.words) }}
      </p>
      <PlanBeside
        v-if="weighed.beside.length > 0"
        :parts="weighed.beside"
      />
    </template>
    <TouchButton
      submit
      variant="primary"
    >
      {{ weighed && weighed.same ? 'Write the measure down' : 'Draft the rest by it' }}
    </TouchButton>
    <TouchButton
      v-if="!recordLess"
      variant="secondary"
      @click="take(false)"
    >
      Write it down, keep the plan
    </TouchButton>
  </form>
</template>

<style scoped>
form { display: flex; flex-direction: column; gap: 0.6rem; }
select {
  height: var(--control-height); max-width: 100%; padding: 0 0.6rem; font: inherit; color: inherit; background: var(--paper);
  border: 1px solid var(--strong-line); border-radius: var(--control-radius);
}
</style>

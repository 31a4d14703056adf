<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CountAsked } from '~~/core/readers/beats/checks'
import { diagnose, type WayOn } from '~~/core/making/make/diagnosis'
import { useHook } from '~/composables/useHook'

/** Asks for a count; another number than planned is told what it means, and what can be done. */
const props = defineProps<{ asked: CountAsked }>()
const emit = defineEmits<{ done: [], rip: [round: number] }>()
const { make, manner, told } = useHook()
const typed = ref('')
const tried = ref(false)
/** Nobody is off by more: it is a slip of the finger. */
const most = computed(() => 2 * props.asked.planned + 20)
const found = computed(() => {
  const number = Number(typed.value)
  return typed.value.trim() !== '' && Number.isInteger(number) && number > 0 && number <= most.value ? number : undefined
})
const seen = ref<number>()
const diagnosis = computed(() =>
  seen.value !== undefined && make.hand && make.state
    ? diagnose(make.hand, make.state, props.asked.round, seen.value, manner.value)
    : undefined)

function asPlanned(): void {
  const { round, planned } = props.asked
  make.counted({ round, planned, found: planned, choice: 'as-planned' })
  emit('done')
}

function tell(): void {
  tried.value = true
  if (found.value === undefined) return
  if (found.value === props.asked.planned) asPlanned()
  else seen.value = found.value
}

function choose(way: WayOn): void {
  if (way.counted) {
    make.counted(way.counted)
    emit('done')
  }
  else if (way.toRound !== undefined) emit('rip', way.toRound)
}

const NAMES: Record<WayOn['way'], string> = {
  'next-round': 'Put it right next round', 'nearest': 'Bring it to the nearest count that fits', 'live-with-it': 'Live with it',
  'rip-back': 'Rip back',
}
</script>

<template>
  <template v-if="!diagnosis">
    <p class="planned">
      <strong>{{ asked.planned }}</strong> {{ asked.what }}
    </p>
    <p>{{ told(asked.how) }}</p>
    <p class="soft">
      {{ told(asked.why) }}
    </p>
    <TouchButton
      variant="primary"
      data-first
      @click="asPlanned"
    >
      As planned: {{ asked.planned }}
    </TouchButton>
    <form
      class="other"
      @submit.prevent="tell"
    >
      <label>
        I have
        <NumberInput
          v-model="typed"
          whole
          :aria-invalid="tried && found === undefined"
        />
      </label>
      <TouchButton
        submit
      >
        What does it mean?
      </TouchButton>
    </form>
    <p
      v-if="tried && found === undefined"
      role="alert"
      class="wrong"
    >
      Type the number you counted: a whole number above 0, at most {{ most }}.
    </p>
  </template>
  <template v-else>
    <p class="planned">
      <strong>{{ diagnosis.counted }}</strong>, planned {{ diagnosis.planned }} {{ diagnosis.what }}
    </p>
    <p>{{ diagnosis.between }}</p>
    <ul>
      <li
        v-for="cause in diagnosis.causes"
        :key="cause"
      >
        {{ told(cause) }}
      </li>
    </ul>
    <ul class="ways">
      <li
        v-for="way in diagnosis.ways"
        :key="way.way"
      >
        <TouchButton
          variant="secondary"
          @click="choose(way)"
        >
          {{ NAMES[way.way] }}
        </TouchButton>
        <strong
          v-if="way.recommended && diagnosis.ways.length > 1"
          class="best"
        >Recommended</strong>
        <p>{{ told(way.what) }}</p>
        <p
          v-if="way.nextRound"
          class="line"
        >
          {{ way.nextRound }}
        </p>
      </li>
    </ul>
    <TouchButton
      @click="seen = undefined"
    >
      Count again
    </TouchButton>
  </template>
</template>

<style scoped>
.planned { font-size: 1.3rem; margin: 0.2rem 0; }
.planned strong { font-family: var(--figures); font-size: 2.4rem; letter-spacing: -0.04em; }
ul { margin: 0.4rem 0; padding-left: 1.2rem; }
.ways { list-style: none; padding: 0; display: flex; flex-direction: column; gap: 0.8rem; margin-top: 0.8rem; }
.best { font-size: 0.9rem; color: var(--accent); margin-left: 0.6rem; }
.line { border-left: 3px solid var(--accent); padding-left: 0.6rem; }
.other { display: flex; flex-wrap: wrap; align-items: end; gap: 0.6rem; margin-top: 0.8rem; }
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { knownBy, lostBy } from '~~/core/making/make/diagnosis'
import { useHook } from '~/composables/useHook'

/** Ripping back to the end of a round: what that loses, and how the round is known again. */
const props = defineProps<{ to: number | undefined }>()
const emit = defineEmits<{ done: [] }>()
const { make, manner, told, road, leg } = useHook()

/** Rounds that are done, at least in part. */
const most = computed(() => {
  const index = make.hand?.at.index ?? 0
  const rounds = (road.value?.legs.slice(0, index) ?? []).filter(({ sort }) => sort === 'round')
  return leg.value?.sort === 'round' && make.hand!.at.done > 0 ? leg.value.number - 1 : Math.max(0, (rounds.at(-1)?.number ?? 0) - 1)
})
const typed = ref(String(Math.min(props.to ?? most.value, most.value)))
const round = computed(() => {
  const number = Number(typed.value)
  return typed.value.trim() !== '' && Number.isInteger(number) && number >= 0 && number <= most.value ? number : undefined
})
const lost = computed(() => (round.value !== undefined && make.hand && make.state ? lostBy(make.hand, make.state, round.value) : undefined))
const known = computed(() => (round.value !== undefined && make.hand ? knownBy(make.hand, round.value, manner.value) : ''))

function step(by: number): void {
  typed.value = String(Math.min(most.value, Math.max(0, (round.value ?? most.value) + by)))
}

function rip(): void {
  if (round.value === undefined) return
  make.ripTo(round.value)
  emit('done')
}
</script>

<template>
  <div class="which">
    <label for="rip-to">Back to the end of round</label>
    <TouchButton
      aria-label="One round further back"
      @click="step(-1)"
    >
      −
    </TouchButton>
    <NumberInput
      id="rip-to"
      v-model="typed"
      whole
      data-first
    />
    <TouchButton
      aria-label="One round less"
      @click="step(1)"
    >
      +
    </TouchButton>
  </div>
  <template v-if="lost">
    <p>
      <strong>{{ lost.rounds }} {{ lost.rounds === 1 ? 'round' : 'rounds' }}, {{ lost.stitches }} stitches</strong>
      to work again{{ lost.minutes >= 1 ? `, about ${Math.round(lost.minutes)} minutes` : '' }}.
    </p>
    <p>{{ told(known) }}</p>
    <p class="soft">
      Take the hook out, pull slowly, and catch the last loop of round {{ round }} with the hook. You can take this back.
    </p>
    <TouchButton
      variant="primary"
      @click="rip"
    >
      {{ round === 0 ? 'I ripped back to the start' : `I ripped back to ${make.nameOfRound(round ?? 0)}` }}
    </TouchButton>
  </template>
  <p
    v-else
    role="alert"
    class="wrong"
  >
    Type a round from 0 (the very start) to {{ most }}.
  </p>
</template>

<style scoped>
.which { display: flex; align-items: center; gap: 0.6rem; flex-wrap: wrap; }
@media (--phone) { .which label { width: 100%; } }
</style>

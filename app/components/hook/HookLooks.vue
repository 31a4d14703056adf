<script setup lang="ts">
import { computed } from 'vue'
import { lookWordsAt } from '~~/core/readers/beats/lookFrequency'
import { heightAt } from '~~/core/readers/beats/checks'
import { planOf } from '~~/core/readers/chart/plan'
import { useHook } from '~/composables/useHook'

/** "Is it meant to look like this?": what lies in the hand now, in a sentence and a picture from the drawing. */
const { make, told, road, leg } = useHook()
const draft = computed(() => make.hand!.draft)
const lines = computed(() => (road.value && leg.value ? lookWordsAt(road.value, leg.value) : []))
const part = computed(() => draft.value.parts.find(({ id }) => id === leg.value?.part))
const onFloor = computed(() => leg.value?.sort === 'round' && leg.value.part === 'base')

const plan = computed(() => planOf(draft.value))
/** The floor as far as it is worked, round by round. */
const rings = computed(() => {
  const { headX, headY, rounds } = plan.value
  return rounds.map(({ from, to, number }) => ({
    number, done: number <= (leg.value?.number ?? 0),
    path: Array.from(headX.slice(from, to), (x, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${headY[from + i]!.toFixed(2)}`).join('')
      + (draft.value.parts[0]!.rounds[number - 1]?.edge.closed ? 'Z' : ''),
  }))
})
const tallCm = computed(() => draft.value.sizes.withHandles?.emptyCm ?? draft.value.sizes.height.cm)
const doneCm = computed(() => {
  if (!part.value || !leg.value) return tallCm.value
  const inPart = leg.value.sort === 'round' ? leg.value.number - part.value.firstRound + 1 : part.value.rounds.length
  return heightAt(draft.value.parts, part.value, inPart).cm
})
const wideCm = computed(() => Math.max(draft.value.sizes.flatWidth.cm, draft.value.sizes.floor.length.cm) + 2)
</script>

<template>
  <svg
    v-if="onFloor"
    class="picture"
    :viewBox="`${plan.box.left - 0.5} ${plan.box.top - 0.5} ${plan.box.width + 1} ${plan.box.height + 1}`"
    aria-hidden="true"
  >
    <path
      v-for="ring in rings"
      :key="ring.number"
      :d="ring.path"
      :class="ring.done ? 'worked' : 'later'"
    />
  </svg>
  <svg
    v-else-if="part"
    class="picture"
    :viewBox="`${-wideCm / 2} ${-tallCm - 1} ${wideCm} ${tallCm + 2}`"
    aria-hidden="true"
  >
    <defs>
      <clipPath id="hook-worked"><rect
        :x="-wideCm / 2"
        :y="-doneCm"
        :width="wideCm"
        :height="doneCm + 1"
      /></clipPath>
    </defs>
    <g class="later">
      <BagElevation
        :draft="draft"
        :scale="9"
        selected=""
      />
    </g>
    <g clip-path="url(#hook-worked)">
      <BagElevation
        :draft="draft"
        :scale="9"
        selected=""
      />
    </g>
    <line
      :x1="-wideCm / 2"
      :x2="wideCm / 2"
      :y1="-doneCm"
      :y2="-doneCm"
    />
  </svg>
  <p
    v-for="line in lines"
    :key="line"
  >
    {{ told(line) }}
  </p>
  <p
    v-if="lines.length === 0"
    class="soft"
  >
    There is nothing to compare here: this is a step, not a round.
  </p>
</template>

<style scoped>
.picture { display: block; width: 100%; max-height: 38dvh; }
.picture path { fill: none; stroke: var(--ink); stroke-width: 0.22; }
path.later { stroke: var(--line); stroke-dasharray: 0.3 0.3; }
g.later { opacity: 0.22; }
line { stroke: var(--accent); stroke-width: 0.18; stroke-dasharray: 0.6 0.4; }
</style>

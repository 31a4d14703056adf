<script setup lang="ts">
import { computed } from 'vue'
import { roundPaths } from '~~/core/chart/marks'
import { planOf } from '~~/core/chart/plan'
import type { Draft } from '~~/core/draft/draft'
import { standOutLine, threadLine } from '~/composables/yarnShade'

/** The floor from above, in centimetres with its middle at (0, 0): rounds, increases, where rounds start. */
const props = defineProps<{ draft: Draft, scale: number, selected: boolean, lit?: number }>()

const plan = computed(() => planOf(props.draft))
const radius = computed(() => plan.value.box.width / 2)
const reach = computed(() => radius.value / Math.max(1, plan.value.rounds.length))
const colour = computed(() => props.draft.design.yarns.find(({ id }) => id === props.draft.design.base.colour)?.colour ?? '#cccccc')

/** Rounds under this many pixels deep are drawn as rings alone. */
const LEAST_PX = 3.2
const inDetail = computed(() => reach.value * props.scale >= LEAST_PX && plan.value.kinds.length <= 20_000)
const rounds = computed(() => inDetail.value ? plan.value.rounds.map(round => ({ number: round.number, ...roundPaths(plan.value, round) })) : [])
const numbered = computed(() => {
  const every = reach.value * props.scale >= 15 ? 1 : 5
  return plan.value.rounds.filter(({ number }) => number === 1 || number % every === 0)
})
</script>

<template>
  <g>
    <circle
      :r="radius"
      :fill="colour"
    />
    <circle
      v-for="round in plan.rounds"
      :key="round.number"
      class="ring"
      :r="round.number * reach"
      :style="{ stroke: threadLine(colour) }"
    />
    <circle
      v-if="lit && lit <= plan.rounds.length"
      class="lit"
      :r="(lit - 0.5) * reach"
      :style="{ strokeWidth: reach }"
    />
    <g
      v-for="round in rounds"
      :key="`marks-${round.number}`"
      class="marks"
    >
      <path
        :d="round.plain"
        :style="{ stroke: threadLine(colour) }"
      />
      <path
        :d="round.shaped"
        class="shaped"
        :style="{ stroke: standOutLine(colour) }"
      />
    </g>
    <line
      class="seam"
      :y2="-radius"
    />
    <g
      v-for="round in numbered"
      :key="`number-${round.number}`"
      :transform="`translate(${round.startX} ${round.startY}) scale(${1 / scale})`"
    >
      <text>{{ round.number }}</text>
    </g>
    <circle
      v-if="selected"
      class="frame"
      :r="radius"
    />
  </g>
</template>

<style scoped>
.ring { fill: none; stroke-width: 0.02; opacity: 0.55; }
.lit { fill: none; stroke: var(--accent); opacity: 0.28; }
.marks path { fill: none; stroke-width: 0.045; stroke-linecap: round; }
.marks .shaped { stroke-width: 0.085; }
.seam { stroke: #26231f; stroke-width: 1px; stroke-dasharray: 3 3; vector-effect: non-scaling-stroke; }
text { font: 600 10px var(--figures); fill: #26231f; text-anchor: middle; dominant-baseline: central; paint-order: stroke; stroke: #fffaf0; stroke-width: 3px; }
.frame { fill: none; stroke: var(--accent); stroke-width: 2.5px; vector-effect: non-scaling-stroke; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { allDashes, dashes, trackIn } from '~/looks/track'

/** The round as a track about what is said: its groups, how far it is done, what is marked on it, and the hook. */
const props = defineProps<{
  width: number
  height: number
  groups: number
  done: number
  colour: string
  leftHanded: boolean
  /** Shares of the way that carry a marker, and where the sides are. */
  markers: readonly number[]
  sides: readonly number[]
}>()

const track = computed(() => trackIn(Math.max(40, props.width), Math.max(40, props.height), 11, props.leftHanded))
const length = computed(() => Math.max(1, props.groups))
const hook = computed(() => track.value.at(props.done / length.value))
const spots = (shares: readonly number[]) => shares.map(share => track.value.at(share))
</script>

<template>
  <svg
    :viewBox="`0 0 ${Math.max(40, width)} ${Math.max(40, height)}`"
    aria-hidden="true"
  >
    <path
      :d="track.path"
      class="way"
      :pathLength="length"
      :stroke-dasharray="allDashes(groups)"
    />
    <path
      :d="track.path"
      class="edge"
      :pathLength="length"
      :stroke-dasharray="dashes(length, done)"
    />
    <path
      :d="track.path"
      class="done"
      :style="{ stroke: colour }"
      :pathLength="length"
      :stroke-dasharray="dashes(length, done)"
    />
    <rect
      v-for="(spot, i) in spots(sides)"
      :key="`side-${i}`"
      class="side"
      :x="spot.x - 2"
      :y="spot.y - 10"
      width="4"
      height="20"
    />
    <path
      v-for="(spot, i) in spots(markers)"
      :key="`marker-${i}`"
      class="marker"
      :d="`M${spot.x} ${spot.y - 9}l9 9l-9 9l-9 -9Z`"
    />
    <circle
      class="hook"
      :cx="hook.x"
      :cy="hook.y"
      r="8.5"
    />
  </svg>
</template>

<style scoped>
svg { position: absolute; inset: 0; width: 100%; height: 100%; pointer-events: none; }
.way, .edge, .done { fill: none; }
.way { stroke: var(--line); stroke-width: 5; }
.edge { stroke: var(--ink); stroke-width: 13; }
.done { stroke-width: 9; }
.side { fill: var(--soft-ink); }
.marker { fill: var(--sheet); stroke: var(--accent); stroke-width: 2.5; }
.hook { fill: var(--accent); stroke: var(--sheet); stroke-width: 3; }
</style>

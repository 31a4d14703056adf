<script setup lang="ts">
import { computed } from 'vue'
import type { HandleFront } from '~~/core/readers/chart/handles'
import { threadLine } from '~/looks/yarnShade'

/** Handles as strips of their yarn, in centimetres with the floor's middle at (0, 0). */
const props = defineProps<{
  handles: readonly HandleFront[]
  colours: Readonly<Record<string, string>>
  selected: string
  stitchCm: number
}>()
const emit = defineEmits<{ select: [part: string] }>()
const drawn = computed(() =>
  props.handles.map(handle => ({ ...handle, yarn: handle.bought ? '#8a6a45' : (props.colours[handle.colour] ?? '#cccccc') })),
)
</script>

<template>
  <g>
    <g
      v-for="(handle, i) in drawn"
      :key="i"
      class="handle"
      :class="{ chosen: handle.part === selected }"
      @click="emit('select', handle.part)"
    >
      <path
        v-if="handle.part === selected"
        :d="handle.path"
        class="halo"
        :style="{ strokeWidth: handle.widthCm + 0.5 }"
      />
      <path
        :d="handle.path"
        :style="{ stroke: threadLine(handle.yarn), strokeWidth: handle.widthCm + 0.12 }"
      />
      <path
        :d="handle.path"
        :style="{ stroke: handle.behind ? `color-mix(in srgb, ${handle.yarn}, black 18%)` : handle.yarn, strokeWidth: handle.widthCm }"
      />
      <path
        v-if="!handle.bought"
        :d="handle.path"
        :style="{
          stroke: threadLine(handle.yarn), strokeWidth: handle.widthCm * 0.82, strokeDasharray: `0.07 ${Math.max(0.15, stitchCm - 0.07)}`,
        }"
      />
    </g>
  </g>
</template>

<style scoped>
.handle { cursor: pointer; }
path { fill: none; stroke-linejoin: round; }
.halo { stroke: var(--accent); }
</style>

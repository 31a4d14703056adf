<script setup lang="ts">
import type { ClosureFront } from '~~/core/readers/chart/closures'
import { threadLine } from '~/looks/yarnShade'

/** Closures on the front of the bag, closed. */
defineProps<{ closures: readonly ClosureFront[], colours: Readonly<Record<string, string>>, selected: string }>()
const emit = defineEmits<{ select: [part: string] }>()
</script>

<template>
  <g>
    <g
      v-for="closure in closures"
      :key="closure.part"
      class="closure"
      @click="emit('select', closure.part)"
    >
      <path
        :d="closure.path"
        :class="{ chosen: closure.part === selected }"
        :style="{
          stroke: closure.part === selected ? undefined : threadLine(colours[closure.colour] ?? '#cccccc'),
          strokeWidth: closure.widthCm + 0.2,
        }"
      />
      <path
        :d="closure.path"
        :style="{ stroke: colours[closure.colour], strokeWidth: closure.widthCm }"
      />
      <path
        v-if="closure.teeth"
        :d="closure.path"
        class="teeth"
      />
      <circle
        v-if="closure.button"
        :cx="closure.button.x"
        :cy="closure.button.y"
        :r="closure.button.radiusCm"
        class="button"
      />
      <path
        v-if="closure.button"
        :d="`M${closure.button.x - closure.button.radiusCm * 0.25} ${closure.button.y}h${closure.button.radiusCm * 0.5}`"
        class="stem"
      />
    </g>
  </g>
</template>

<style scoped>
.closure { cursor: pointer; }
path { fill: none; }
.chosen { stroke: var(--accent); }
.teeth { stroke: var(--ink); stroke-width: 0.3; stroke-dasharray: 0.16 0.16; }
.button { fill: #8a6a45; stroke: #4c3822; stroke-width: 0.12; }
.stem { stroke: #2e2114; stroke-width: 0.16; stroke-linecap: round; }
</style>

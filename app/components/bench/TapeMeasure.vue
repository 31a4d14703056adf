<script setup lang="ts">
import { computed } from 'vue'
import { CM_PER_INCH, type Units } from '~~/core/things/measure/format'

/** A tape measure laid along the drawing: from 0 to a little over `lengthCm`, to the right or upwards. */
const props = defineProps<{ lengthCm: number, scale: number, units: Units, upright?: boolean }>()

const THICK = 20

/** Ticks a unit: what a tape has, thinned where they would run together. */
const step = computed(() => {
  const unit = props.units === 'in' ? CM_PER_INCH : 1
  const room = unit * props.scale
  const parts = props.units === 'in' ? 4 : 2
  const numberEvery = room >= 15 ? 1 : room >= 5 ? 5 : room >= 1.6 ? 10 : 50
  return { unit, parts: room >= 14 ? parts : 1, numberEvery }
})

const ticks = computed(() => {
  const { unit, parts, numberEvery } = step.value
  const count = Math.ceil(props.lengthCm / unit) * parts
  return Array.from({ length: count + 1 }, (_, i) => {
    const whole = i % parts === 0
    const value = i / parts
    return { at: value * unit * props.scale, long: whole, text: whole && value % numberEvery === 0 ? String(value) : '' }
  }).filter(({ long, text }) => text || (long && numberEvery <= 5) || numberEvery === 1)
})

const length = computed(() => Math.ceil(props.lengthCm / step.value.unit) * step.value.unit * props.scale)
</script>

<template>
  <g class="tape">
    <rect
      v-if="upright"
      :x="-THICK"
      :y="-length - 8"
      :width="THICK"
      :height="length + 8"
      rx="2"
    />
    <rect
      v-else
      x="0"
      y="0"
      :width="length + 8"
      :height="THICK"
      rx="2"
    />
    <g
      v-for="tick in ticks"
      :key="tick.at"
      :transform="upright ? `translate(0 ${-tick.at})` : `translate(${tick.at} 0)`"
    >
      <line
        v-if="upright"
        x2="0"
        :x1="tick.long ? -7 : -4"
      />
      <line
        v-else
        y1="0"
        :y2="tick.long ? 7 : 4"
      />
      <text
        v-if="tick.text"
        :x="upright ? -10 : 0"
        :y="upright ? 0 : 14"
        :text-anchor="upright ? 'end' : 'middle'"
        :dominant-baseline="upright ? 'middle' : 'auto'"
        :dy="upright ? 0 : 3"
      >
        {{ tick.text }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.tape rect { fill: #efd98f; stroke: #b99b3d; stroke-width: 0.8; }
.tape line { stroke: #3b3113; stroke-width: 1; }
.tape text { fill: #2e260e; font: 500 9.5px var(--figures); }
</style>

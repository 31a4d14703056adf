<script setup lang="ts">
import { computed } from 'vue'
import { type Contents, contentOf, roomOf } from '~~/core/parts/contents/contents'

/** The contents of the bag, faintly, standing on the floor's middle at (0, 0), in centimetres. */
const props = defineProps<{ contents: Contents }>()
const room = computed(() => roomOf(props.contents))
const drawn = computed(() => contentOf(props.contents).drawn)

/** A bottle stands straight to its shoulders, and from there goes in to its neck. */
const bottle = computed(() => {
  const { lengthCm, heightCm } = room.value
  const [half, neck, shoulder, bend, throat] = [lengthCm / 2, lengthCm * 0.18, -heightCm * 0.62, -heightCm * 0.74, -heightCm * 0.8]
  return `M${-half} 0V${shoulder}Q${-half} ${bend} ${-neck} ${throat}V${-heightCm}H${neck}V${throat}Q${half} ${bend} ${half} ${shoulder}V0Z`
})

const balls = computed(() => {
  if (drawn.value !== 'balls') return []
  const { count, acrossCm: d } = props.contents as { readonly count: number, readonly acrossCm: number }
  const { each, count: layers } = room.value.layers!
  const rise = layers > 1 ? (room.value.heightCm - d) / (layers - 1) : d
  // Seen from the front a layer shows those that stand before the others, side by side; the layer above lies in the dips between them.
  const aside = layers > 1 ? Math.sqrt(Math.max(0, d * d - rise * rise)) / 2 : 0
  const abreast = Math.max(1, Math.floor((room.value.lengthCm - 2 * aside) / d + 1e-6))
  return Array.from({ length: layers }, (_, layer) => {
    const shown = Math.min(abreast, Math.max(1, count - layer * each))
    const middle = layer % 2 === 0 ? -aside : aside
    return Array.from({ length: shown }, (__, at) => ({ x: middle + (at - (shown - 1) / 2) * d, y: -(d / 2 + layer * rise), r: d / 2 }))
  }).flat()
})
</script>

<template>
  <g
    class="ghost"
    role="img"
    aria-label="What it must hold, to scale"
  >
    <g
      v-for="stroke in ['halo', 'line']"
      :key="stroke"
      :class="stroke"
    >
      <circle
        v-for="(ball, i) in balls"
        :key="i"
        :cx="ball.x"
        :cy="ball.y"
        :r="ball.r"
      />
      <path
        v-if="drawn === 'bottle'"
        :d="bottle"
      />
      <rect
        v-else-if="drawn !== 'balls'"
        :x="-room.lengthCm / 2"
        :y="-room.heightCm"
        :width="room.lengthCm"
        :height="room.heightCm"
        :rx="drawn === 'bundle' ? 1 : 0.15"
      />
    </g>
  </g>
</template>

<style scoped>
.ghost { pointer-events: none; }
.ghost g > * { vector-effect: non-scaling-stroke; }
.halo > * { fill: rgba(255, 252, 240, 0.16); stroke: #fffaf0; stroke-width: 3.5px; stroke-opacity: 0.75; }
.line > * { fill: none; stroke: #2b2a28; stroke-width: 1.3px; stroke-dasharray: 6 4; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { frontOfStitch } from '~~/core/readers/chart/frontView'
import type { DesignGauge } from '~~/core/bag/design/design'
import { gaugeOf } from '~~/core/things/gauge/gauge'
import type { KeptTexture } from '~~/core/parts/texture/ownSize'
import { FABRIC_KINDS } from '~~/core/things/stitch/dictionary'
import { layersOf } from '~/looks/tileLayers'
import { tileOfTexture } from '~/looks/tiles'

/** A few centimetres of a swatch's fabric, to scale: in its texture, or in its first measured stitch. */
const props = defineProps<{ gauge: DesignGauge, texture?: KeptTexture | undefined, large?: boolean }>()

const SIDE_CM = 5
const YARN = '#e3d5b4'
const kind = computed(() => FABRIC_KINDS.find(one => props.gauge.measured[one])!)
const square = computed(() => {
  const { width, height } = gaugeOf(props.gauge)[kind.value]
  const across = Math.min(60, Math.floor(SIDE_CM / width.cm + 0.01))
  const up = Math.min(60, Math.floor(SIDE_CM / height.cm + 0.01))
  let path = ''
  for (let row = 0; row < up; row++) {
    for (let stitch = 0; stitch < across; stitch++) {
      path += frontOfStitch(kind.value, (stitch + 0.06) * width.cm, (stitch + 0.94) * width.cm, SIDE_CM - row * height.cm, height.cm)
    }
  }
  return path
})
const textured = computed(() => props.texture && tileOfTexture(props.texture, props.gauge, SIDE_CM))
</script>

<template>
  <svg
    v-if="textured"
    class="square"
    :class="{ large }"
    :viewBox="`${textured.left} ${textured.top} ${textured.width} ${textured.height}`"
    role="img"
    :aria-label="`${SIDE_CM} cm square of this swatch`"
  >
    <path
      v-for="(layer, i) in layersOf(textured, YARN)"
      :key="i"
      class="layer"
      v-bind="layer"
    />
  </svg>
  <svg
    v-else
    class="square"
    :class="{ large }"
    :viewBox="`-0.1 -0.1 ${SIDE_CM + 0.2} ${SIDE_CM + 0.2}`"
    role="img"
    :aria-label="`${SIDE_CM} cm square of this swatch`"
  >
    <rect
      :width="SIDE_CM"
      :height="SIDE_CM"
    />
    <path :d="square" />
  </svg>
</template>

<style scoped>
.square { width: 6.5rem; flex: none; align-self: flex-start; outline: 1px solid #8f7c4e; outline-offset: -1px; }
.large { width: 100%; max-width: 18rem; }
rect { fill: #e3d5b4; stroke: #8f7c4e; stroke-width: 0.05; }
path:not(.layer) { fill: none; stroke: #7d6a3c; stroke-width: 0.11; stroke-linecap: round; stroke-linejoin: round; }
.large path:not(.layer) { stroke-width: 0.1; }
</style>

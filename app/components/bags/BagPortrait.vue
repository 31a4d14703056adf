<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Layer, Portrait } from '~~/core/readers/chart/portrait'
import { insideShade, threadLine } from '~/looks/yarnShade'

/** A bag standing on its shelf, drawn to the scale of all the others; one that is larger than the shelf is drawn smaller to stay on it. */
const props = defineProps<{ portrait: Portrait | null, fit?: boolean }>()
const id = useId()

const SHELF_CM = 30
const TALL_CM = 24
const scale = computed(() =>
  props.portrait ? Math.min(1, TALL_CM / Math.max(1, props.portrait.tallCm), SHELF_CM / Math.max(1, props.portrait.wideCm)) : 1)
/** How much of the shelf's height is shown: all of it, or just as much as the bag stands tall. */
const tallCm = computed(() => (props.fit && props.portrait ? Math.max(4, props.portrait.tallCm * scale.value) : TALL_CM))
const BOUGHT = '#8a6a45'

/** The colour of a strap or a cord: in the shade behind the bag, its own before it, or what was bought. */
function strapColour({ as, colour }: Layer): string {
  if (as === 'bought') return BOUGHT
  return as === 'behind' ? `color-mix(in srgb, ${colour}, black 18%)` : colour
}

const dashes = (stitchCm = 0.5) => `${(stitchCm * 0.66).toFixed(2)} ${(stitchCm * 0.34).toFixed(2)}`
</script>

<template>
  <svg
    :viewBox="`${-SHELF_CM / 2} ${-tallCm - 1} ${SHELF_CM} ${tallCm + 1.4}`"
    aria-hidden="true"
  >
    <RoundShade :id="`${id}-shade`" />
    <g
      v-if="portrait"
      :transform="`scale(${scale})`"
    >
      <template
        v-for="(layer, i) in portrait.layers"
        :key="i"
      >
        <path
          v-if="layer.as === 'inside'"
          :d="layer.path"
          :style="{ fill: insideShade(layer.colour) }"
        />
        <g v-else-if="layer.as === 'fabric'">
          <path
            :d="layer.path"
            :style="{ fill: layer.colour, stroke: threadLine(layer.colour) }"
            class="edge"
          />
          <path
            :d="layer.lines"
            class="rows"
            :style="{ stroke: threadLine(layer.colour), strokeDasharray: dashes(layer.stitchCm) }"
          />
          <path
            v-if="portrait.round"
            :d="layer.path"
            :fill="`url(#${id}-shade)`"
          />
        </g>
        <g v-else-if="layer.as === 'net'">
          <clipPath :id="`${id}-${i}`"><path :d="layer.path" /></clipPath>
          <path
            :d="layer.path"
            :style="{ fill: insideShade(layer.colour), fillOpacity: 0.14 }"
          />
          <g :clip-path="`url(#${id}-${i})`">
            <path
              :d="layer.lines"
              class="cords"
              :style="{ stroke: threadLine(layer.colour) }"
            />
            <path
              :d="layer.lines"
              class="cords fine"
              :style="{ stroke: layer.colour }"
            />
          </g>
        </g>
        <path
          v-else-if="layer.as === 'button'"
          :d="layer.path"
          class="line button"
          :style="{ strokeWidth: layer.wideCm }"
        />
        <g v-else>
          <path
            :d="layer.path"
            class="line"
            :style="{ stroke: threadLine(layer.colour), strokeWidth: (layer.wideCm ?? 0.5) + 0.14 }"
          />
          <path
            :d="layer.path"
            class="line"
            :style="{ stroke: strapColour(layer), strokeWidth: layer.wideCm ?? 0.5 }"
          />
        </g>
      </template>
      <slot />
    </g>
    <line
      :x1="-SHELF_CM / 2"
      :x2="SHELF_CM / 2"
      y1="0.12"
      y2="0.12"
    />
  </svg>
</template>

<style scoped>
svg { width: 100%; display: block; }
line { stroke: var(--ink); stroke-width: 0.24; }
.edge { stroke-width: 0.06; }
.rows { fill: none; stroke-width: 0.1; opacity: 0.75; }
.cords { fill: none; stroke-width: 0.3; }
.cords.fine { stroke-width: 0.18; }
.line { fill: none; stroke-linecap: round; stroke-linejoin: round; }
.button { stroke: #8a6a45; }
</style>

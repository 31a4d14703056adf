<script setup lang="ts">
import { computed } from 'vue'
import { roundPaths } from '~~/core/readers/chart/marks'
import { pieceChart } from '~~/core/readers/chart/pieces'
import type { Piece } from '~~/core/parts/part/piece'

/** A piece worked on its own, to scale, lying along the page; a long one scrolls. */
const props = defineProps<{ piece: Piece, leftHanded: boolean }>()
const chart = computed(() => pieceChart(props.piece, props.leftHanded))
const rows = computed(() => chart.value.rounds.map(row => ({ ...row, ...roundPaths(chart.value, row) })))
const turned = computed(() => chart.value.box.height > chart.value.box.width)
const long = computed(() => Math.max(chart.value.box.height, chart.value.box.width) + 1)
const wide = computed(() => Math.min(chart.value.box.height, chart.value.box.width) + 1)
/** A centimetre is drawn at least so wide, that marks can be told apart. */
const LEAST_PX = 13
</script>

<template>
  <figure>
    <div class="roll">
      <svg
        :viewBox="turned ? `-0.5 ${-wide / 2} ${long} ${wide}` : `${-long / 2} ${-wide + 0.5} ${long} ${wide}`"
        :style="{ minWidth: `${long * LEAST_PX}px` }"
        role="img"
        :aria-label="`${piece.name}, ${piece.rows.length} rows`"
      >
        <g :transform="turned ? 'rotate(90)' : ''">
          <g
            v-for="row in rows"
            :key="row.number"
          >
            <path :d="row.plain" />
            <path
              v-if="row.shaped"
              :d="row.shaped"
              class="shaped"
            />
          </g>
        </g>
      </svg>
    </div>
    <figcaption>
      {{ piece.name }}{{ piece.times > 1 ? `, ${piece.times} times` : '' }}: {{ turned ? 'first row at the left' : 'first row below' }}.
      Heavier marks: increases and decreases.
    </figcaption>
  </figure>
</template>

<style scoped>
figure { margin: 0; min-width: 0; }
.roll { overflow-x: auto; scrollbar-width: thin; }
svg { display: block; width: 100%; }
path { fill: none; stroke: var(--ink); stroke-width: 0.05; stroke-linecap: round; }
.shaped { stroke: var(--accent); stroke-width: 0.1; }
figcaption { font-size: 0.86rem; color: var(--soft-ink); margin-top: 0.5rem; }
@media print { figure { break-inside: avoid; } .roll { overflow: visible; } svg { min-width: 0 !important; } }
</style>

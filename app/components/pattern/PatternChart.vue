<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { loopNumbers } from '~~/core/readers/chart/loopNumbers'
import { roundPaths } from '~~/core/readers/chart/marks'
import { planOf } from '~~/core/readers/chart/plan'
import { sideLines } from '~~/core/readers/chart/sideLines'
import { unrolled } from '~~/core/readers/chart/unrolled'
import { roundsOfPart } from '~~/core/bag/draft/fold/partGauge'
import { leanOf } from '~~/core/things/round/style'
import { piecesOf } from '~~/core/readers/words/pattern'
import type { Draft } from '~~/core/bag/draft/draft'

/** The chart beside the words: the floor from above, the wall cut open at the round's start and laid flat. */
const props = defineProps<{ draft: Draft, lit?: number | undefined }>()

const frame = ref<HTMLElement>()
const { width } = useElementSize(frame)
const floor = computed(() => planOf(props.draft).box)
const floorScale = computed(() => Math.min(480, Math.max(200, width.value)) / (floor.value.width + 0.6))
const wall = computed(() => unrolled(props.draft))
const wallMarks = computed(() => wall.value.rounds.map(round => ({ ...round, ...roundPaths(wall.value, round) })))
const numbers = computed(() => loopNumbers(wall.value))
const numbered = computed(() => wall.value.rounds.filter(({ number }, i) => i === 0 || (number % 5 === 0 && i > 2)))
const sides = computed(() =>
  sideLines(props.draft).map(spots =>
    spots
      .map(
        ({ x, y }, i) =>
          `${i === 0 || Math.abs(x - spots[i - 1]!.x) > wall.value.box.width / 2 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`,
      )
      .join(''),
  ),
)
const leaning = computed(() => props.draft.parts.some(({ from }) => leanOf(roundsOfPart(from, props.draft.design)) !== 0))
const pieces = computed(() => piecesOf(props.draft).filter(({ rows }) => rows.length > 0))
const hands = computed(() =>
  props.draft.design.hands === 'left' ? 'left-handed: rounds run clockwise' : 'right-handed: rounds run anticlockwise',
)
</script>

<template>
  <aside
    ref="frame"
    class="chart"
    aria-label="Chart"
  >
    <figure>
      <svg
        :viewBox="`${floor.left - 0.3} ${floor.top - 0.3} ${floor.width + 0.6} ${floor.height + 0.6}`"
        class="floor"
        role="img"
        :aria-label="`The floor from above, ${draft.parts[0]!.rounds.length} rounds`"
      >
        <FloorPlan
          :draft="draft"
          :scale="floorScale"
          :selected="false"
          :lit="lit"
        />
      </svg>
      <figcaption>
        The floor from above; {{ hands }}. Short dashes: where rounds start; long ones: the fold when it lies flat. Heavier marks:
        increases. Diamonds: markers.
      </figcaption>
    </figure>
    <figure v-if="wall.rounds.length > 0">
      <svg
        :viewBox="`${wall.box.left - 1.6} ${wall.box.top - 0.3} ${wall.box.width + 3.2} ${wall.box.height + 0.6}`"
        class="wall"
        role="img"
        :aria-label="`The wall unrolled, ${wall.rounds.length} rounds`"
      >
        <g
          v-for="round in wallMarks"
          :key="round.number"
          :class="{ lit: round.number === lit }"
        >
          <path :d="round.plain" />
          <path
            v-if="round.shaped"
            :d="round.shaped"
            class="shaped"
          />
        </g>
        <text
          v-for="(one, i) in numbers"
          :key="`loop-${i}`"
          class="loop"
          :x="one.x"
          :y="one.y"
          :style="{ fontSize: `${one.sizeCm}px` }"
        >{{ one.chains }}</text>
        <path
          v-for="(line, i) in sides"
          :key="`side-${i}`"
          class="side"
          :d="line"
        />
        <text
          v-for="round in numbered"
          :key="`number-${round.number}`"
          :x="round.startX + Math.sign(round.startX) * 0.8"
          :y="round.startY"
        >{{ round.number }}</text>
      </svg>
      <figcaption>
        The wall from outside, cut open at the start of its rounds.
        {{ numbers.length > 0 ? 'In a net the figure in a loop is its chains, and the heavy stitch closes the round. ' : '' }}Dashed: the
        bag's sides{{ leaning ? ', which the leaning seam leaves behind' : '' }}.
      </figcaption>
    </figure>
    <PieceChart
      v-for="piece in pieces"
      :key="`${piece.id}-${piece.name}`"
      :piece="piece"
      :left-handed="draft.design.hands === 'left'"
    />
  </aside>
</template>

<style scoped>
.chart { min-width: 0; position: sticky; top: 4.2rem; display: flex; flex-direction: column; gap: 1.6rem; }
figure { margin: 0; }
svg { display: block; width: 100%; }
.floor { max-width: 30rem; margin: 0 auto; }
.wall path { fill: none; stroke: var(--ink); stroke-width: 0.05; stroke-linecap: round; }
.wall .side { stroke: var(--accent); stroke-width: 0.12; stroke-dasharray: 0.5 0.35; }
.wall .shaped { stroke: var(--accent); stroke-width: 0.1; }
.wall .lit path { stroke: var(--accent); stroke-width: 0.12; }
text { font: 600 0.75px var(--figures); fill: var(--ink); text-anchor: middle; dominant-baseline: central; }
.loop { font-weight: 500; fill: var(--soft-ink); }
figcaption { font-size: 0.86rem; color: var(--soft-ink); margin-top: 0.5rem; }
@media (--stacked) { .chart { position: static; } }
@media print { .chart { position: static; break-before: page; } figure { break-inside: avoid; } .floor { max-width: 14cm; } }
</style>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { nearestStitch } from '~~/core/readers/chart/nearest'
import { planOf } from '~~/core/readers/chart/plan'
import type { Draft } from '~~/core/bag/draft/draft'
import { stitchWords } from '~~/core/readers/words/stitchWords'
import { useSettings } from '~/stores/settings'

/** Says what a stitch of the floor is and what it stands on: the one pointed at, or stepped to with the arrow keys. */
const props = defineProps<{ draft: Draft, scale: number }>()
const emit = defineEmits<{ read: [words: string] }>()
const settings = useSettings()

const plan = computed(() => planOf(props.draft))
const at = ref(-1)
const surface = ref<SVGRectElement>()
watch(plan, () => (at.value = -1))

/** The round that the stitch in hand belongs to, by its place in the chart. */
const round = computed(() => plan.value.rounds.findIndex(({ from, to }) => at.value >= from && at.value < to))

function describe(): string {
  const { from } = plan.value.rounds[round.value]!
  const made = at.value - from
  const marked = props.draft.parts[0]!.markers?.[round.value]?.includes(made) ?? false
  return stitchWords(props.draft.rounds[round.value]!, made, settings.terms, marked)
}
watch(at, stitch => emit('read', stitch < 0 ? '' : describe()))

/** Where a stitch stands on on the chart, to draw a line to. */
const mark = computed(() =>
  at.value < 0
    ? undefined
    : {
        x1: plan.value.footX[at.value]!, y1: plan.value.footY[at.value]!, x2: plan.value.headX[at.value]!, y2: plan.value.headY[at.value]!,
      },
)

function point(event: PointerEvent): void {
  const matrix = surface.value!.getScreenCTM()!.inverse()
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
  at.value = nearestStitch(plan.value, x, y, 14 / props.scale)
}

function step(by: number): void {
  const { from, to } = plan.value.rounds[round.value]!
  at.value = from + ((at.value - from + by + (to - from)) % (to - from))
}

function climb(by: number): void {
  const here = plan.value.rounds[round.value]!
  const there = plan.value.rounds[round.value + by]
  if (there) at.value = there.from + Math.floor(((at.value - here.from) / (here.to - here.from)) * (there.to - there.from))
}

const KEYS: Record<string, () => void> = {
  ArrowRight: () => step(1), ArrowLeft: () => step(-1), ArrowUp: () => climb(1), ArrowDown: () => climb(-1),
}

function onKey(event: KeyboardEvent): void {
  if (!KEYS[event.key]) return
  event.preventDefault()
  if (at.value < 0) at.value = plan.value.rounds.at(-1)?.from ?? -1
  else KEYS[event.key]!()
}
</script>

<template>
  <g>
    <line
      v-if="mark"
      class="mark"
      v-bind="mark"
    />
    <rect
      ref="surface"
      class="surface"
      tabindex="0"
      role="img"
      aria-label="The floor, stitch by stitch: arrow keys left and right along the round, up and down between rounds"
      :x="plan.box.left"
      :y="plan.box.top"
      :width="plan.box.width"
      :height="plan.box.height"
      @pointermove="point"
      @pointerleave="at = -1"
      @keydown="onKey"
      @blur="at = -1"
    />
  </g>
</template>

<style scoped>
.surface { fill: transparent; }
.mark {
  stroke: #fff6d8; stroke-width: 5px; stroke-linecap: round; vector-effect: non-scaling-stroke; paint-order: stroke;
  filter: drop-shadow(0 0 1.5px #000);
}
</style>

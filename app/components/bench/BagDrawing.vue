<script setup lang="ts">
import { computed, ref } from 'vue'
import { roomOf } from '~~/core/contents/contents'
import type { HandlesAs } from '~~/core/chart/handles'
import { planOf } from '~~/core/chart/plan'
import type { Draft, DraftPart } from '~~/core/draft/draft'
import { standing } from '~~/core/part/floor'
import { isBase } from '~~/core/draft/part'
import { CM_PER_INCH } from '~~/core/measure/format'
import { useBox } from '~/composables/useBox'
import { spreadLabels } from '~/looks/spreadLabels'

/** The bag drawn to scale and standing on a tape: elevation above, floor below, every part labelled. It is the menu. */
const props = defineProps<{ draft: Draft, selected: string, pulled?: number, threaded?: number, handlesAs?: HandlesAs }>()
const emit = defineEmits<{ select: [part: string], nudge: [part: string, to: number] }>()

const box = ref<HTMLElement>()
/** What the stitch pointed at is. */
const reading = ref('')
const { width, height } = useBox(box)

const LABELS_PX = 264
const TAPE_PX = 20
const TOP_PX = 20
const BETWEEN_PX = 52
const BELOW_PX = 14

const narrow = computed(() => width.value < 620)
const held = computed(() => props.draft.design.contents && roomOf(props.draft.design.contents))
const tallCm = computed(() =>
  Math.max(
    props.draft.sizes.height.cm,
    held.value?.heightCm ?? 0,
    0.1,
    props.draft.sizes.withHandles?.emptyCm ?? 0,
    props.draft.sizes.withHandles?.loadedCm ?? 0,
  ),
)
const plan = computed(() => planOf(props.draft).box)
const floorCm = computed(() => Math.max(plan.value.height, 0.1))
/** The upright tape runs on to the next whole mark above the mouth. */
const tapeCm = computed(() =>
  props.draft.design.units === 'in' ? Math.ceil(tallCm.value / CM_PER_INCH) * CM_PER_INCH : Math.ceil(tallCm.value),
)
const wideCm = computed(() => Math.max(plan.value.width, held.value?.lengthCm ?? 0, ...props.draft.parts.map(part => acrossCm(part))))

const scale = computed(() => {
  const across = width.value - 2 * TAPE_PX - 24 - (narrow.value ? 0 : LABELS_PX)
  const up = height.value - TOP_PX - BETWEEN_PX - BELOW_PX
  return Math.max(0.5, Math.min(across / (wideCm.value + 1), up / (tapeCm.value + floorCm.value), 60))
})
const middleX = computed(() => {
  const drawn = wideCm.value * scale.value
  const room = width.value - (narrow.value ? 0 : LABELS_PX)
  return Math.max(drawn / 2 + 2 * TAPE_PX + 12, room / 2 + TAPE_PX / 2)
})
const usedPx = computed(() => TOP_PX + BETWEEN_PX + BELOW_PX + (tapeCm.value + floorCm.value) * scale.value)
const spareY = computed(() => Math.max(0, (height.value - usedPx.value) / 2))
const floorY = computed(() => spareY.value + TOP_PX + tapeCm.value * scale.value)
const planY = computed(() => floorY.value + BETWEEN_PX + (floorCm.value / 2) * scale.value)
const halfPx = computed(() => (wideCm.value / 2) * scale.value)

/** How wide a part stands, seen from the bag's long side. */
function acrossCm({ size, arounds = [] }: DraftPart): number {
  return standing(props.draft.sizes.floor, Math.max(size.circumference.cm, ...arounds)).lengthCm
}

/** Labels stand this far apart; closer, and on one line each, where there are many. */
const gap = computed(() => Math.min(56, Math.max(22, (height.value - 54) / props.draft.parts.length)))
const tight = computed(() => gap.value < 50)

/** Where each part's label points: the middle of its band, or of the floor below. */
const labels = computed(() => {
  let bottom = 0
  const pointed = props.draft.parts
    .map((part) => {
      if (isBase(part)) {
        bottom += part.size.height.cm
        return { part, y: planY.value, x: middleX.value + (plan.value.width / 2) * scale.value }
      }
      const middle = bottom + part.size.height.cm / 2
      bottom += part.size.height.cm
      return { part, y: floorY.value - middle * scale.value, x: middleX.value + (acrossCm(part) / 2) * scale.value }
    })
    .reverse()
  const placed = spreadLabels(
    pointed.map(({ y }) => y),
    gap.value,
    24,
    Math.max(60, height.value - 30),
  )
  return pointed.map((label, i) => ({ ...label, labelY: placed[i]! }))
})
const labelX = computed(() => Math.min(width.value - LABELS_PX, middleX.value + halfPx.value + 44))
</script>

<template>
  <div
    class="drawing"
    :class="{ narrow }"
  >
    <div
      ref="box"
      class="canvas"
    >
      <svg
        v-if="width > 0"
        :width="width"
        :height="height"
        role="group"
        :aria-label="`${draft.design.name}, drawn to scale: the standing bag above, its floor below`"
      >
        <TapeMeasure
          upright
          :length-cm="tallCm"
          :scale="scale"
          :units="draft.design.units"
          :transform="`translate(${middleX - halfPx - 12} ${floorY})`"
        />
        <TapeMeasure
          :length-cm="wideCm"
          :scale="scale"
          :units="draft.design.units"
          :transform="`translate(${middleX - halfPx} ${floorY + 3})`"
        />
        <g :transform="`translate(${middleX} ${floorY}) scale(${scale})`">
          <BagElevation
            :draft="draft"
            :scale="scale"
            :selected="selected"
            :pulled="pulled"
            :threaded="threaded"
            :handles-as="handlesAs"
            grips
            @nudge="(part, to) => emit('nudge', part, to)"
            @select="emit('select', $event)"
          />
          <ContentsGhost
            v-if="draft.design.contents"
            :contents="draft.design.contents"
          />
        </g>
        <g
          :transform="`translate(${middleX} ${planY}) scale(${scale})`"
          class="floor"
          @click="emit('select', 'base')"
        >
          <FloorPlan
            :draft="draft"
            :scale="scale"
            :selected="selected === 'base'"
          />
          <StitchReader
            :draft="draft"
            :scale="scale"
            @read="reading = $event"
          />
        </g>
        <g
          v-if="!narrow"
          class="leaders"
        >
          <path
            v-for="{ part, x, y, labelY } in labels"
            :key="part.id"
            :class="{ chosen: part.id === selected }"
            :d="`M${x + 3} ${y}L${(x + labelX) / 2 + 6} ${y}L${labelX - 6} ${labelY}`"
          />
        </g>
      </svg>
    </div>
    <p
      class="reading"
      role="status"
    >
      {{ reading }}
    </p>
    <nav
      class="labels"
      aria-label="Parts of the bag, from the top down"
    >
      <PartLabel
        v-for="{ part, labelY } in labels"
        :key="part.id"
        :part="part"
        :units="draft.design.units"
        :chosen="part.id === selected"
        :tight="tight && !narrow"
        :style="narrow ? {} : {
          position: 'absolute', left: `${labelX}px`, top: `${labelY - (tight ? 12 : 25)}px`, width: `${LABELS_PX - 10}px`,
        }"
        @click="emit('select', part.id)"
      />
    </nav>
  </div>
</template>

<style scoped>
.drawing { position: relative; height: 100%; min-height: 0; display: flex; flex-direction: column; }
.canvas { flex: 1; min-height: 0; overflow: hidden; }
svg { display: block; }
.floor { cursor: pointer; }
.leaders path { fill: none; stroke: var(--strong-line); stroke-width: 1; }
.leaders .chosen { stroke: var(--accent); stroke-width: 2; }
.reading { position: absolute; left: 0.9rem; bottom: 0.3rem; margin: 0; padding: 0.1rem 0.5rem; font-size: 0.88rem; background: var(--paper); color: var(--ink); max-width: calc(100% - 1.8rem); }
.reading:empty { display: none; }
.narrow .labels { display: flex; gap: 0.4rem; overflow-x: auto; padding: 0.4rem 0.7rem; scrollbar-width: thin; }
.narrow .canvas { min-height: 22rem; }
</style>

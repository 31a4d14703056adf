<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { roomOf } from '~~/core/parts/contents/contents'
import type { HandlesAs } from '~~/core/readers/chart/handles'
import { planOf } from '~~/core/readers/chart/plan'
import type { Draft, DraftPart } from '~~/core/bag/draft/draft'
import { standing } from '~~/core/parts/part/floor'
import { isBase } from '~~/core/bag/draft/fold/draftPart'
import { CM_PER_INCH } from '~~/core/things/measure/format'
import { useShortcuts } from '~/composables/useShortcuts'
import { useZoom } from '~/composables/useZoom'
import { spreadLabels } from '~/looks/spreadLabels'

/** The bag drawn to scale and standing on a tape: elevation above, floor below, every part labelled. It is the menu. */
const props = defineProps<{ draft: Draft, name: string, selected: string, pulled?: number, threaded?: number, handlesAs?: HandlesAs }>()
const emit = defineEmits<{ select: [part: string], nudge: [part: string, to: number] }>()

const box = ref<HTMLElement>()
/** Description of the stitch pointed at. */
const reading = ref('')
const { width, height } = useElementSize(box)

const LABELS_PX = 264
/** A label of two lines is so tall, with a little room above the next. */
const LABEL_PX = 56
const TAPE_PX = 20
const TOP_PX = 20
const BETWEEN_PX = 52
const BELOW_PX = 14

const narrow = computed(() => width.value < 620)
/** Of the whole bag the list of parts stands below or beside: it is the menu then, and is not said twice. */
const listed = computed(() => narrow.value && props.selected === 'bag')
const menu = ref<HTMLElement>()
/** Where the parts stand in one row, the one in hand is in sight. */
watch(() => props.selected, () => {
  const chosen = menu.value?.querySelector<HTMLElement>('[aria-pressed=true]')
  if (narrow.value && chosen) menu.value!.scrollLeft = chosen.offsetLeft - TOP_PX
}, { flush: 'post' })
const { zoom, pan, near, closer, further, fit } = useZoom(box)
useShortcuts(() => [
  { key: '+', does: 'Enlarge the drawing', run: closer }, { key: '-', does: 'Make the drawing smaller', run: further },
  { key: '0', does: 'The whole drawing', run: fit },
])
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

/** Room for the elevation and the floor: one above the other, or, where it is narrow, side by side. */
const fitted = computed(() => {
  const labelsPx = narrow.value ? 0 : LABELS_PX
  if (!narrow.value) {
    const across = width.value - 2 * TAPE_PX - 24 - labelsPx
    const up = height.value - TOP_PX - BETWEEN_PX - BELOW_PX
    const scale = Math.max(0.5, Math.min(across / (wideCm.value + 1), up / (tapeCm.value + floorCm.value), 60))
    const drawn = wideCm.value * scale
    const middleX = Math.max(drawn / 2 + 2 * TAPE_PX + 12, (width.value - labelsPx) / 2 + TAPE_PX / 2)
    const used = TOP_PX + BETWEEN_PX + BELOW_PX + (tapeCm.value + floorCm.value) * scale
    const floorY = Math.max(0, (height.value - used) / 2) + TOP_PX + tapeCm.value * scale
    return { scale, middleX, floorY, planX: middleX, planY: floorY + BETWEEN_PX + (floorCm.value / 2) * scale }
  }
  const across = width.value - TAPE_PX - 52
  const scale = Math.max(
    0.3,
    Math.min(across / (wideCm.value + plan.value.width), (height.value - 46) / tapeCm.value, (height.value - 24) / floorCm.value, 60),
  )
  const spare = Math.max(0, across - (wideCm.value + plan.value.width) * scale) / 3
  const middleX = spare + TAPE_PX + 20 + (wideCm.value * scale) / 2
  const floorY = height.value - 28
  const planX = middleX + ((wideCm.value + plan.value.width) * scale) / 2 + 20 + spare
  return { scale, middleX, floorY, planX, planY: Math.max(12 + (floorCm.value * scale) / 2, (floorY + 12) / 2) }
})
const seenX = (x: number) => pan.value.x + zoom.value * x
const seenY = (y: number) => pan.value.y + zoom.value * y
const scale = computed(() => fitted.value.scale * zoom.value)
const middleX = computed(() => seenX(fitted.value.middleX))
const floorY = computed(() => seenY(fitted.value.floorY))
const planX = computed(() => seenX(fitted.value.planX))
const planY = computed(() => seenY(fitted.value.planY))
const halfPx = computed(() => (wideCm.value / 2) * scale.value)

/** How wide a part stands, seen from the bag's long side. */
function acrossCm({ size, arounds = [] }: DraftPart): number {
  return standing(props.draft.sizes.floor, Math.max(size.circumference.cm, ...arounds)).lengthCm
}

/** Labels stand this far apart; closer, and on one line each, where there are many. */
const gap = computed(() => Math.min(LABEL_PX, Math.max(24, (height.value - 54) / props.draft.parts.length)))
const tight = computed(() => gap.value < LABEL_PX)

/** Where each part's label points: the middle of its band, or of the floor below. */
const labels = computed(() => {
  let bottom = 0
  const pointed = props.draft.parts
    .map((part) => {
      if (isBase(part)) {
        bottom += part.size.height.cm
        return { part, y: planY.value, x: planX.value + (plan.value.width / 2) * scale.value }
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
/** Spots that labels point at are in sight, however close one looks. */
const leaders = computed(() => labels.value.filter(({ y, x }) => y > 0 && y < height.value && x < labelX.value))
const labelX = computed(() => Math.min(width.value - LABELS_PX, fitted.value.middleX + (wideCm.value / 2) * fitted.value.scale + 44))

/** A leader goes level to its label where that stands beside it, or to a bend a little before it. */
function leader(x: number, y: number, labelY: number): string {
  const end = labelX.value - 6
  return Math.abs(labelY - y) < 4 ? `M${x} ${y}H${end}` : `M${x} ${y}L${Math.max(x, end - 14)} ${labelY}H${end}`
}
</script>

<template>
  <div
    class="drawing"
    :class="{ narrow, closer: near }"
  >
    <div
      ref="box"
      class="canvas"
      :class="{ near }"
    >
      <svg
        v-if="width > 0"
        :width="width"
        :height="height"
        role="group"
        :aria-label="`${name}, drawn to scale: the standing bag above, its floor below`"
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
          :transform="`translate(${planX} ${planY}) scale(${scale})`"
          class="floor"
          @click="emit('select', 'base')"
        >
          <FloorPlan
            :draft="draft"
            :scale="scale"
            :selected="selected === 'base'"
          />
        </g>
        <g
          v-if="!narrow"
          class="leaders"
        >
          <path
            v-for="{ part, x, y, labelY } in leaders"
            :key="part.id"
            :class="{ chosen: part.id === selected }"
            :d="leader(x + 3, y, labelY)"
          />
        </g>
      </svg>
      <!-- What follows the pointer has a sheet of its own: the drawing under it is not drawn again. -->
      <svg
        v-if="width > 0"
        class="over"
        :width="width"
        :height="height"
      >
        <g
          :transform="`translate(${planX} ${planY}) scale(${scale})`"
          class="under-pointer"
          @click="emit('select', 'base')"
        >
          <StitchReader
            :draft="draft"
            :scale="scale"
            @read="reading = $event"
          />
        </g>
      </svg>
    </div>
    <ZoomKeys
      :near="near"
      @closer="closer"
      @further="further"
      @fit="fit"
    />
    <p
      class="reading"
      role="status"
    >
      {{ reading }}
    </p>
    <nav
      v-if="width > 0 && !listed"
      ref="menu"
      class="labels"
      aria-label="Parts of the bag, from the top down"
    >
      <PartLabel
        v-for="{ part, labelY } in labels"
        :key="part.id"
        :part="part"
        :findings="draft.findings.filter(finding => finding.part === part.id)"
        :units="draft.design.units"
        :chosen="part.id === selected"
        :tight="tight || narrow"
        :style="narrow ? {} : {
          position: 'absolute', left: `${labelX}px`, top: `${labelY - (tight ? 12 : 25)}px`, maxWidth: `${width - labelX - 10}px`,
        }"
        @click="emit('select', part.id)"
      />
    </nav>
  </div>
</template>

<style scoped>
.drawing { position: relative; height: 100%; min-height: 0; display: flex; flex-direction: column; }
.canvas { position: relative; flex: 1; min-height: 0; overflow: hidden; }
svg { display: block; }
.over { position: absolute; inset: 0; pointer-events: none; will-change: transform; }
.under-pointer { pointer-events: auto; }
.floor, .under-pointer { cursor: pointer; }
.leaders path { fill: none; stroke: var(--strong-line); stroke-width: 1; }
.leaders .chosen { stroke: var(--accent); stroke-width: 2; }
.reading {
  position: absolute; left: 0.9rem; bottom: 0.3rem; margin: 0; padding: 0.1rem 0.5rem; font-size: 0.88rem; background: var(--paper);
  color: var(--ink); max-width: calc(100% - 1.8rem);
}
.reading:empty { display: none; }
.canvas { touch-action: pan-y; }
.closer .labels :deep(.label) { background: color-mix(in srgb, var(--paper), transparent 12%); }
.near { cursor: grab; touch-action: none; }
.narrow .labels { display: flex; gap: 0.3rem; overflow-x: auto; padding: 0 0.5rem 0.2rem; scrollbar-width: none; }
.narrow .labels > :deep(.label) { flex: none; min-height: 2.75rem; align-items: center; border-color: var(--line); }
.narrow .labels :deep(.facts) { display: none; }
.narrow .labels :deep(.name) { font-size: 0.92rem; }
.narrow > :deep(.zoom) { left: auto; right: 0.3rem; top: 0.2rem; }
.narrow .canvas { min-height: 9rem; }
</style>

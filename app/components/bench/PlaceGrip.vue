<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { GripFront } from '~~/core/readers/chart/handles'
import { formatCm, type Units } from '~~/core/things/measure/format'

/**
 * Grips of things placed on the front: dragged by whole stitches, with the mirror image on the back going along, and
 * snapping to the middle; by keyboard with the arrows. Counts and centimetres stand below the rim.
 */
const props = defineProps<{ grip: GripFront, nudge: number, name: string, rimCm: number, scale: number, units: Units }>()
const emit = defineEmits<{ nudge: [to: number] }>()

/** Dragged this near to the middle, in stitches, it snaps there. */
const SNAP = 1.5

const handle = ref<SVGGElement>()
/** Where it was put last: the drawing comes a frame after, and a second key may come before it. */
const at = ref(props.nudge)
watch(() => props.nudge, now => (at.value = now))
const from = ref<{ readonly x: number, readonly nudge: number }>()
const stitchCm = computed(() => props.rimCm / props.grip.grip.count)
const textCm = computed(() => 12.5 / props.scale)
/** A grip is as large as a pointer needs, or a thumb, however small the bag is drawn. */
const holdPx = matchMedia('(pointer: coarse)').matches ? 44 : 24
const hold = computed(() => {
  const { leftX, rightX, y } = props.grip
  const [wide, tall] = [Math.max(rightX - leftX, holdPx / props.scale), Math.max(2.2, holdPx / props.scale)]
  return { x: (leftX + rightX - wide) / 2, y: y - tall / 2, width: wide, height: tall }
})
const spans = computed(() => {
  const { leftX, rightX, outerLeftX, outerRightX, grip } = props.grip
  // Ways run to the right or to the left, as the hands do: what lies before is on the side they come from.
  const rightwards = props.grip.rightwards
  const [left, right] = rightwards ? [grip.before, grip.after] : [grip.after, grip.before]
  return [
    { key: 'left', from: outerLeftX, to: leftX, stitches: left }, { key: 'span', from: leftX, to: rightX, stitches: grip.stitches },
    { key: 'right', from: rightX, to: outerRightX, stitches: right },
  ].map(span => ({
    ...span, middle: (span.from + span.to) / 2, told: String(span.stitches), cm: formatCm(span.stitches * stitchCm.value, props.units),
    roomy: (span.to - span.from) * props.scale > 26,
  }))
})
const told = computed(() => {
  const taken = props.grip.grip.onward === 0 ? 'between' : 'taken'
  const stitches = spans.value.map(span => `${span.stitches} stitches ${span.key === 'span' ? taken : `to the ${span.key}`}`)
  return `${stitches.join(', ')}; moved ${at.value} from the middle`
})

function put(to: number): void {
  const { room } = props.grip.grip
  const kept = Math.min(room, Math.max(-room, to))
  if (kept === at.value) return
  at.value = kept
  emit('nudge', kept)
}

function start(event: PointerEvent): void {
  handle.value!.setPointerCapture(event.pointerId)
  from.value = { x: event.clientX, nudge: at.value }
}

function drag(event: PointerEvent): void {
  if (!from.value || props.grip.grip.onward === 0) return
  const by = Math.round((event.clientX - from.value.x) / props.scale / props.grip.stitchCm)
  const to = from.value.nudge + by
  put(Math.abs(to) < SNAP ? 0 : to)
}

/** The arrows move it where they point. */
function onKey(event: KeyboardEvent): void {
  const rightwards = props.grip.stitchCm < 0 ? -1 : 1
  const by = { ArrowRight: rightwards, ArrowLeft: -rightwards, ArrowUp: 1, ArrowDown: -1 }[event.key]
  if (by === undefined && event.key !== 'Home') return
  event.preventDefault()
  put(by === undefined ? 0 : at.value + by)
}
</script>

<template>
  <g
    ref="handle"
    class="grip"
    role="slider"
    tabindex="0"
    :aria-label="`${name}: place on the rim, in stitches from the middle. Arrows move it, Home brings it back`"
    :aria-valuemin="-grip.grip.room"
    :aria-valuemax="grip.grip.room"
    :aria-valuenow="at"
    :aria-valuetext="told"
    @pointerdown="start"
    @pointermove="drag"
    @pointerup="from = undefined"
    @pointercancel="from = undefined"
    @keydown="onKey"
    @click.stop
  >
    <rect
      v-bind="hold"
      class="hold"
    />
    <path
      :d="`M${grip.leftX} ${grip.y}H${grip.rightX}M${grip.leftX} ${grip.y - 0.7}v1.4M${grip.rightX} ${grip.y - 0.7}v1.4`"
      class="span"
    />
    <path
      :d="`M${grip.outerLeftX} ${grip.y + 0.45}H${grip.leftX}M${grip.rightX} ${grip.y + 0.45}H${grip.outerRightX}`"
      class="beside"
    />
    <template
      v-for="span in spans"
      :key="span.key"
    >
      <g
        v-if="span.roomy"
        :transform="`translate(${span.middle} ${grip.y + textCm * 1.45})`"
      >
        <text
          :style="{ fontSize: `${textCm}px` }"
          class="count"
        >
          {{ span.told }}
        </text>
        <text
          :style="{ fontSize: `${textCm * 0.86}px` }"
          :y="textCm * 1.05"
        >
          {{ span.cm }}
        </text>
      </g>
    </template>
  </g>
</template>

<style scoped>
.grip { cursor: ew-resize; outline: none; touch-action: none; }
.hold { fill: transparent; }
.grip:focus-visible .hold {
  fill: color-mix(in srgb, var(--accent), transparent 75%); stroke: var(--accent); stroke-width: 2px; vector-effect: non-scaling-stroke;
}
.span { fill: none; stroke: var(--accent); stroke-width: 3px; vector-effect: non-scaling-stroke; }
.beside { fill: none; stroke: var(--accent); stroke-width: 1px; stroke-dasharray: 3 3; vector-effect: non-scaling-stroke; }
text {
  text-anchor: middle; fill: var(--ink); paint-order: stroke; stroke: var(--sheet); stroke-width: 4px; vector-effect: non-scaling-stroke;
  stroke-linejoin: round; font-family: var(--figures); letter-spacing: -0.03em;
}
.count { font-weight: 660; }
</style>

<script setup lang="ts">
import { mdiPause, mdiPlay } from '@mdi/js'
import { useIntervalFn } from '@vueuse/core'
import { computed, onBeforeUnmount } from 'vue'
import type { CordWay, Threading } from '~~/core/parts/mouth/threading'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** The mouth from above: eyelets round it, and each cord on its way in and out of them, as far as it is threaded. */
const props = defineProps<{ eyelets: number, threading: Extract<Threading, { ok: true }>, opening: boolean }>()
const bag = useDocument()
const view = useView()

const RADIUS = 100
const OUT = 112
const IN = 88
/** Rounds run against the clock from the top, as the floor is drawn; left hands the other way. */
const hand = computed(() => (bag.design.hands === 'left' ? 1 : -1))
const spot = (at: number, radius: number) => {
  const angle = hand.value * (at / props.eyelets) * 2 * Math.PI - Math.PI / 2
  return { x: Math.cos(angle) * radius, y: Math.sin(angle) * radius }
}

const steps = computed(() => props.threading.cords.length * props.eyelets)
const done = computed(() => Math.round(view.threaded * steps.value))

function arc(from: number, to: number, radius: number): string {
  const [a, b] = [spot(from, radius), spot(to, radius)]
  return `A${radius} ${radius} 0 0 ${hand.value * (to - from) > 0 ? 1 : 0} ${b.x.toFixed(1)} ${b.y.toFixed(1)}`.replace(
    /^/,
    `M${a.x.toFixed(1)} ${a.y.toFixed(1)}`,
  )
}

/** Threading of a cord: over posts outside the ring, under them inside, through the eyelets between. */
function drawn({ passes, direction, start }: CordWay, count: number): { over: string, under: string, ends: string } {
  let over = ''
  let under = ''
  passes.slice(0, count).forEach(({ eyelet, goes }, i) => {
    // Eyelets stay whole numbers along the way, so that an arc never goes round the far side.
    const at = start + direction * i
    const [outer, inner] = [spot(eyelet, OUT), spot(eyelet, IN)]
    over += `M${outer.x.toFixed(1)} ${outer.y.toFixed(1)}L${inner.x.toFixed(1)} ${inner.y.toFixed(1)}`
    if (goes === 'in') under += arc(at, at + direction, IN)
    else over += arc(at, at + direction, OUT)
  })
  const [a, b] = [spot(start, OUT), spot(start, OUT + 24)]
  return { over, under, ends: `M${a.x.toFixed(1)} ${a.y.toFixed(1)}L${b.x.toFixed(1)} ${b.y.toFixed(1)}` }
}

const cords = computed(() =>
  props.threading.cords.map((way, i) => drawn(way, Math.min(props.eyelets, Math.max(0, done.value - i * props.eyelets)))),
)
const eyeletSpots = computed(() => Array.from({ length: props.eyelets }, (_, i) => ({ i, ...spot(i, RADIUS), label: spot(i, 72) })))
/** The starts are always numbered; others every few, as long as they do not run into a start's. */
const numbered = computed(() => {
  const starts = props.threading.cords.map(({ start }) => start)
  const every = props.eyelets > 24 ? 4 : 2
  const near = (i: number) => starts.some(start => [1, props.eyelets - 1].includes(Math.abs(start - i)))
  return eyeletSpots.value.filter(({ i }) => starts.includes(i) || ((i + 1) % every === 0 && !near(i)))
})

const now = computed(() => {
  if (done.value === 0) return 'Nothing threaded yet.'
  if (done.value === steps.value) return 'Threaded: both ends of each cord hang side by side, outside.'
  const cord = Math.floor((done.value - 1) / props.eyelets)
  const { eyelet, goes } = props.threading.cords[cord]!.passes[(done.value - 1) % props.eyelets]!
  return `${props.threading.cords.length > 1 ? `Cord ${cord + 1}: ` : ''}${goes === 'in' ? 'in through' : 'out through'} eyelet `
    + `${eyelet + 1}, ${goes === 'in' ? 'behind' : 'over'} the post.`
})

const { isActive: playing, pause, resume } = useIntervalFn(() => {
  view.threaded = Math.min(1, (done.value + 1) / steps.value)
  if (view.threaded >= 1) pause()
}, 160, { immediate: false })
function play(): void {
  if (playing.value) return pause()
  if (done.value >= steps.value) view.threaded = 0
  resume()
}
onBeforeUnmount(() => (view.threaded = 1))
</script>

<template>
  <figure class="threading">
    <svg
      viewBox="-150 -150 300 300"
      role="img"
      :aria-label="`The mouth from above, ${eyelets} eyelets, ${threading.cords.length} ${threading.cords.length === 1 ? 'cord' : 'cords'}`"
    >
      <circle
        class="rim"
        :r="RADIUS"
      />
      <circle
        v-for="eyelet in eyeletSpots"
        :key="eyelet.i"
        class="eyelet"
        :cx="eyelet.x"
        :cy="eyelet.y"
        :r="Math.min(5, 200 / eyelets)"
      />
      <g
        v-for="(cord, i) in cords"
        :key="i"
        :class="i === 0 ? 'first' : 'second'"
      >
        <path
          class="under"
          :d="cord.under"
        />
        <path :d="cord.over" />
        <path
          class="ends"
          :d="cord.ends"
        />
      </g>
      <template v-if="opening">
        <circle
          v-for="post in threading.quarters"
          :key="`post-${post}`"
          class="opening"
          :cx="spot(post + 0.5, RADIUS).x"
          :cy="spot(post + 0.5, RADIUS).y"
          r="9"
        />
      </template>
      <text
        v-for="eyelet in numbered"
        :key="`n-${eyelet.i}`"
        :x="eyelet.label.x"
        :y="eyelet.label.y"
      >{{ eyelet.i + 1 }}</text>
    </svg>
    <div class="run">
      <IconButton
        :icon="playing ? mdiPause : mdiPlay"
        variant="outlined"
        :name="playing ? 'Stop' : 'Thread step by step'"
        @click="play"
      />
      <input
        v-model.number="view.threaded"
        type="range"
        min="0"
        max="1"
        :step="1 / steps"
        aria-label="How far the cords are threaded"
        :aria-valuetext="now"
      >
    </div>
    <figcaption role="status">
      {{ now }} Solid: over a post. Dashed: behind one.{{ opening ? ' Rings: posts for the opening cords.' : '' }}
    </figcaption>
  </figure>
</template>

<style scoped>
.threading { margin: 0; }
svg { display: block; width: 100%; max-width: 17rem; margin: 0 auto; }
.rim { fill: none; stroke: var(--line); stroke-width: 10; }
.eyelet { fill: var(--sheet); stroke: var(--strong-line); }
path { fill: none; stroke-width: 4; stroke-linecap: round; }
.first path { stroke: var(--accent); }
.second path { stroke: rgb(var(--v-theme-info)); }
.second path:not(.ends) { stroke-width: 2.6; }
.under { stroke-dasharray: 3 5; }
.ends { stroke-width: 7 !important; }
.opening { fill: none; stroke: var(--ink); stroke-width: 2.5; }
text { font: 600 11px var(--figures); fill: var(--ink); text-anchor: middle; dominant-baseline: central; }
.run { display: flex; align-items: center; gap: 0.6rem; }
.run input { flex: 1; accent-color: var(--accent); height: 2rem; }
figcaption { font-size: 0.86rem; color: var(--soft-ink); line-height: 1.35; }
</style>

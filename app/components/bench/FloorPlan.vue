<script setup lang="ts">
import { computed } from 'vue'
import { formOf } from '~~/core/parts/base/base'
import { roundPaths } from '~~/core/readers/chart/marks'
import { planOf } from '~~/core/readers/chart/plan'
import type { Draft } from '~~/core/bag/draft/draft'
import { standOutLine, threadLine } from '~/looks/yarnShade'

/** The floor from above, in centimetres with its middle at (0, 0): rounds, increases, markers, where rounds start, the fold. */
const props = defineProps<{ draft: Draft, scale: number, selected: boolean, lit?: number | undefined }>()

const plan = computed(() => planOf(props.draft))
const base = computed(() => props.draft.parts[0]!)
const colour = computed(() => props.draft.design.yarns.find(({ id }) => id === props.draft.design.base.colour)?.colour ?? '#cccccc')
const reach = computed(() => Math.min(plan.value.box.width, plan.value.box.height) / 2 / Math.max(1, plan.value.rounds.length))

/** Rounds under this many pixels deep are drawn as outlines alone. */
const LEAST_PX = 2.6
const inDetail = computed(() => reach.value * props.scale * 2 >= LEAST_PX && plan.value.kinds.length <= 20_000)
const rounds = computed(() =>
  inDetail.value ? plan.value.rounds.map(round => ({ number: round.number, ...roundPaths(plan.value, round) })) : [],
)

/** A line through the heads of a round. */
function lineOf({ from, to }: { from: number, to: number }, closed: boolean): string {
  const { headX, headY } = plan.value
  let path = ''
  for (let i = from; i < to; i++) path += `${i === from ? 'M' : 'L'}${headX[i]!.toFixed(3)} ${headY[i]!.toFixed(3)}`
  return closed ? `${path}Z` : path
}
const outlines = computed(() =>
  plan.value.rounds.map((round, i) => ({ number: round.number, path: lineOf(round, base.value.rounds[i]!.edge.closed) })),
)
/** The floor's own outline: its last round, or the box of its rows. */
const ground = computed(() => {
  const { left, top, width, height } = plan.value.box
  const last = base.value.rounds.at(-1)
  return last?.edge.closed ? outlines.value.at(-1)!.path : `M${left} ${top}h${width}v${height}h${-width}Z`
})
/** Numbers of rounds stand at least so far apart, in pixels. */
const NUMBER_PX = 18

/** Rows in another yarn than the first, as deep as a row is. */
const stripes = computed(() => {
  const { left, width, height } = plan.value.box
  const deep = height / Math.max(1, plan.value.rounds.length)
  return plan.value.rounds.flatMap(({ number, colour: yarn, from }, i) => {
    const striped = yarn !== props.draft.design.base.colour && !base.value.rounds[i]!.edge.closed
    if (!striped) return []
    const fill = props.draft.design.yarns.find(({ id }) => id === yarn)?.colour ?? '#cccccc'
    return [{ number, fill, path: `M${left} ${plan.value.headY[from]!.toFixed(3)}h${width}v${deep.toFixed(3)}h${-width}Z` }]
  })
})
const yarnOf = (round: number) => stripes.value.find(({ number }) => number === round)?.fill ?? colour.value
const numbered = computed(() => {
  const every = reach.value * props.scale >= 11 ? 1 : 5
  // Of two floors the upper one hides the other, and its numbers.
  const hidden = formOf(props.draft.design.base).floors ? (plan.value.rounds.length - 1) / 2 : 0
  const wanted = plan.value.rounds.slice(hidden).filter(({ number }, i) => i === 0 || number % every === 0)
  // On a small drawing they would lie over one another: those from outside inwards that have room are shown.
  return wanted.reduceRight<typeof wanted>((shown, one) => {
    const apart = (other: typeof one) => Math.hypot(one.startX - other.startX, one.startY - other.startY) * props.scale
    return shown.every(other => apart(other) >= NUMBER_PX) ? [one, ...shown] : shown
  }, [])
})

/** Where the last round's markers sit, and where the bag folds when it lies flat. */
const pins = computed(() => {
  const { headX, headY, rounds: all } = plan.value
  const last = all.at(-1)
  const marked = base.value.markers?.at(-1) ?? []
  return last && marked.length > 1 ? marked.map(made => ({ made, x: headX[last.from + made]!, y: headY[last.from + made]! })) : []
})
const fold = computed(() => {
  const { headX, headY, rounds: all } = plan.value
  const last = all.at(-1)
  const { sides, count } = base.value.edge
  if (!last || last.to - last.from !== count) return undefined
  // A side is a boundary: it lies half way between the stitch before it and the one after.
  const spot = (side: number) => {
    const [before, after] = [last.from + ((side + count - 1) % count), last.from + (side % count)]
    return { x: (headX[before]! + headX[after]!) / 2, y: (headY[before]! + headY[after]!) / 2 }
  }
  const [a, b] = [spot(sides[0]), spot(sides[1])]
  return { x1: a.x, y1: a.y, x2: b.x, y2: b.y }
})
</script>

<template>
  <g>
    <path
      :d="ground"
      class="ground"
      :style="{ fill: colour, stroke: colour, strokeWidth: reach * 0.3 }"
    />
    <path
      v-for="stripe in stripes"
      :key="`stripe-${stripe.number}`"
      :d="stripe.path"
      :fill="stripe.fill"
    />
    <path
      v-for="line in outlines"
      :key="line.number"
      class="ring"
      :class="{ lit: line.number === lit }"
      :d="line.path"
      :style="line.number === lit ? { strokeWidth: reach } : { stroke: threadLine(colour) }"
    />
    <g
      v-for="round in rounds"
      :key="`marks-${round.number}`"
      class="marks"
    >
      <path
        :d="round.plain"
        :style="{ stroke: threadLine(yarnOf(round.number)) }"
      />
      <path
        :d="round.shaped"
        class="shaped"
        :style="{ stroke: standOutLine(yarnOf(round.number)) }"
      />
    </g>
    <line
      v-if="fold"
      class="fold"
      v-bind="fold"
      :style="{ stroke: standOutLine(colour) }"
    />
    <path
      v-if="plan.rounds.length > 1"
      class="seam"
      :d="plan.rounds.map(({ startX, startY }, i) => `${i === 0 ? 'M' : 'L'}${startX} ${startY}`).join('')"
      :style="{ stroke: standOutLine(colour) }"
    />
    <g
      v-for="pin in pins"
      :key="`pin-${pin.made}`"
      :transform="`translate(${pin.x} ${pin.y}) scale(${1 / scale})`"
    >
      <path
        class="pin"
        d="M0 -6L5 0L0 6L-5 0Z"
      />
    </g>
    <g
      v-for="round in numbered"
      :key="`number-${round.number}`"
      :transform="`translate(${round.startX} ${round.startY}) scale(${1 / scale})`"
    >
      <text>{{ round.number }}</text>
    </g>
    <path
      v-if="selected"
      class="frame"
      :d="ground"
    />
  </g>
</template>

<style scoped>
.ring { fill: none; stroke-width: 0.02; opacity: 0.55; }
.ring.lit { stroke: var(--accent); opacity: 0.3; }
.fold { stroke-width: 1px; stroke-dasharray: 9 4; vector-effect: non-scaling-stroke; opacity: 0.7; }
.pin { fill: #f2b632; stroke: #2b2a28; stroke-width: 1.2; }
.marks, .ring { pointer-events: none; }
.marks path { fill: none; stroke-width: 0.045; stroke-linecap: round; }
.marks .shaped { stroke-width: 0.085; }
.seam { fill: none; stroke-width: 1px; stroke-dasharray: 3 3; vector-effect: non-scaling-stroke; }
text {
  font: 600 10px var(--figures); fill: #26231f; text-anchor: middle; dominant-baseline: central; paint-order: stroke; stroke: #fffaf0;
  stroke-width: 3px;
}
.ground { stroke-linejoin: round; }
.frame { fill: none; stroke-linejoin: round; stroke: var(--accent); stroke-width: 2.5px; vector-effect: non-scaling-stroke; }
</style>

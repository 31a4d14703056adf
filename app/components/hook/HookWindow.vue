<script setup lang="ts">
import { computed } from 'vue'
import { hookWindow } from '~~/core/readers/chart/hookWindow'
import { pieceChart } from '~~/core/readers/chart/pieces'
import { planOf } from '~~/core/readers/chart/plan'
import { unrolled } from '~~/core/readers/chart/unrolled'
import type { Leg } from '~~/core/readers/beats/leg'
import { piecesOf } from '~~/core/readers/words/pattern'
import type { Draft } from '~~/core/bag/draft/draft'

/** The chart around the hook, as the fabric lies in the hand: what is made, what comes, and the place that the hook goes into. */
const props = defineProps<{ draft: Draft, leg: Leg, made: number, leftHanded: boolean }>()

const plan = computed(() => planOf(props.draft))
const wall = computed(() => unrolled(props.draft, true))
const piece = computed(() => {
  const { sort, worked } = props.leg
  const found = sort === 'row' ? piecesOf(props.draft).find(({ rows }) => rows.includes(worked!)) : undefined
  return found && pieceChart(found, props.leftHanded)
})
const chart = computed(() => piece.value ?? (props.leg.part === 'base' ? plan.value : wall.value))
const index = computed(() => chart.value.rounds.findIndex(({ number }) => number === props.leg.number))
const mirrored = computed(() => props.leg.worked?.round.facing === 'wrong')
const seen = computed(() => index.value < 0
  ? undefined
  : hookWindow(chart.value, index.value, props.made, {
      stacked: chart.value !== plan.value, mirrored: mirrored.value, ...(chart.value === wall.value ? { cutCm: wall.value.box.width } : {}),
    }))
const colour = computed(() =>
  props.draft.design.yarns.find(({ id }) => id === props.leg.worked?.round.colour)?.colour ?? '#cccccc')

/** So many stitches are seen from side to side. */
const WIDE = 13
const TALL = 6
const box = computed(() => {
  const unit = seen.value?.stitchCm ?? 1
  return `${-WIDE / 2 * unit} ${-TALL * 0.4 * unit} ${WIDE * unit} ${TALL * unit}`
})
/** The hook's way: up into the place. */
const arrow = computed(() => {
  const unit = seen.value?.stitchCm ?? 1
  return `M0 ${unit * 2.1}V${unit * 0.6}m${-unit * 0.3} ${unit * 0.36}l${unit * 0.3} ${-unit * 0.36}l${unit * 0.3} ${unit * 0.36}`
})
</script>

<template>
  <svg
    v-if="seen"
    :viewBox="box"
    class="window"
    role="img"
    :aria-label="`The work around the hook${mirrored ? ', seen from the wrong side' : ''}: the place to work into is lit`"
    preserveAspectRatio="xMidYMid meet"
  >
    <g
      :style="{ strokeWidth: `${seen.stitchCm * 0.09}px` }"
      :transform="seen.transform"
    >
      <g
        v-for="part in seen.pieces"
        :key="part.shiftCm"
        :transform="`translate(${part.shiftCm} 0)`"
      >
        <path
          v-for="(path, i) in part.below"
          :key="i"
          :d="path"
          class="below"
          :style="{ opacity: 0.75 - i * 0.13 }"
        />
        <path
          :d="part.coming"
          class="coming"
        />
        <path
          :d="part.made"
          class="halo"
          :style="{ strokeWidth: `${seen.stitchCm * 0.24}px` }"
        />
        <path
          :d="part.made"
          class="made"
          :style="{ stroke: colour, strokeWidth: `${seen.stitchCm * 0.14}px` }"
        />
      </g>
    </g>
    <g
      v-if="seen.goesOn"
      :style="{ strokeWidth: `${seen.stitchCm * 0.1}px` }"
    >
      <circle
        class="place"
        :r="seen.stitchCm * 0.42"
      />
      <path
        class="arrow"
        :d="arrow"
      />
    </g>
  </svg>
</template>

<style scoped>
.window { display: block; width: 100%; height: 100%; background: var(--paper); border-radius: 0.5rem; }
path { fill: none; stroke-linecap: round; stroke-linejoin: round; }
.below { stroke: var(--ink); }
.coming { stroke: var(--soft-ink); stroke-dasharray: 0.06 0.12; opacity: 0.6; }
.halo { stroke: var(--ink); }
.place { fill: none; stroke: var(--accent); }
.arrow { stroke: var(--accent); }
</style>

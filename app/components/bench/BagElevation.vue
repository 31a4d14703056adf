<script setup lang="ts">
import { computed } from 'vue'
import { coursePath, type Course, elevation } from '~~/core/chart/elevation'
import type { Draft } from '~~/core/draft/draft'
import { insideShade, threadLine } from '~/composables/yarnShade'

/** The bag standing, from the front, in centimetres with its floor's middle at (0, 0). */
const props = defineProps<{ draft: Draft, scale: number, selected: string }>()
const emit = defineEmits<{ select: [part: string] }>()

const courses = computed(() => elevation(props.draft))
const colours = computed(() => Object.fromEntries(props.draft.design.yarns.map(({ id, colour }) => [id, colour])))
const top = computed(() => courses.value.at(-1))
const rounded = computed(() => props.draft.sizes.floor.shape === 'disc' || props.draft.sizes.floor.shape === 'stadium')

/** Stitches under this many pixels wide are a blur; the band's colour alone is sharper. */
const LEAST_PX = 2.4

const bands = computed(() => {
  const found: { part: string, colour: string, courses: Course[] }[] = []
  for (const course of courses.value) {
    const last = found.at(-1)
    if (last && last.part === course.part && last.colour === course.colour) last.courses.push(course)
    else found.push({ part: course.part, colour: course.colour, courses: [course] })
  }
  return found.map(({ part, colour, courses: own }) => {
    const first = own[0]!
    const end = own.at(-1)!
    const half = first.outline.lengthCm / 2
    const stitchPx = (4 * half / first.stitches) * props.scale
    return {
      part,
      colour: colours.value[colour] ?? '#cccccc',
      x: -half,
      y: -(end.bottomCm + end.heightCm),
      width: 2 * half,
      height: end.bottomCm + end.heightCm - first.bottomCm,
      stitches: stitchPx >= LEAST_PX ? own.map(coursePath).join('') : own.map(course => `M${-half} ${-course.bottomCm}h${2 * half}`).join(''),
    }
  })
})
</script>

<template>
  <g>
    <defs>
      <linearGradient id="roundness">
        <stop
          offset="0"
          stop-color="#000"
          stop-opacity="0.26"
        />
        <stop
          offset="0.22"
          stop-color="#000"
          stop-opacity="0.08"
        />
        <stop
          offset="0.5"
          stop-color="#fff"
          stop-opacity="0.08"
        />
        <stop
          offset="0.78"
          stop-color="#000"
          stop-opacity="0.08"
        />
        <stop
          offset="1"
          stop-color="#000"
          stop-opacity="0.26"
        />
      </linearGradient>
    </defs>
    <ellipse
      v-if="top"
      class="inside"
      cx="0"
      :cy="-(top.bottomCm + top.heightCm)"
      :rx="top.outline.lengthCm * 0.4925"
      :ry="Math.min(top.outline.widthCm, top.outline.lengthCm) * 0.0425"
      :style="{ fill: insideShade(colours[top.colour] ?? '#cccccc') }"
    />
    <g
      v-for="(band, i) in bands"
      :key="i"
      class="band"
      :class="{ chosen: band.part === selected }"
      @click="emit('select', band.part)"
    >
      <rect
        :x="band.x"
        :y="band.y"
        :width="band.width"
        :height="band.height"
        :fill="band.colour"
      />
      <path
        :d="band.stitches"
        class="stitches"
        :style="{ stroke: threadLine(band.colour) }"
      />
      <rect
        :x="band.x"
        :y="band.y"
        :width="band.width"
        :height="band.height"
        :fill="rounded ? 'url(#roundness)' : 'none'"
      />
      <rect
        v-if="band.part === selected"
        class="frame"
        :x="band.x"
        :y="band.y"
        :width="band.width"
        :height="band.height"
      />
    </g>
  </g>
</template>

<style scoped>
.band { cursor: pointer; }
.stitches { fill: none; stroke-width: 0.085; stroke-linejoin: round; }
.frame { fill: none; stroke: var(--accent); stroke-width: 2.5px; vector-effect: non-scaling-stroke; }
</style>

<script setup lang="ts">
import { isRounded } from '~~/core/parts/part/floor'
import { computed } from 'vue'
import { type Course, elevation } from '~~/core/readers/chart/elevation'
import { courseBands } from '~~/core/readers/chart/courseBands'
import { closureFronts } from '~~/core/readers/chart/closures'
import { gripFronts, handleFronts, type HandlesAs } from '~~/core/readers/chart/handles'
import { cordsFront, pullOf } from '~~/core/readers/chart/cords'
import { frontOf } from '~~/core/readers/chart/frontView'
import { gather } from '~~/core/readers/chart/gather'
import { openingPath, rimCourse, silhouette } from '~~/core/readers/chart/silhouette'
import { casingsOf } from '~~/core/bag/draft/casing'
import type { Draft, DraftPart } from '~~/core/bag/draft/draft'
import { wallPartOf } from '~~/core/bag/draft/fold/draftPart'
import type { Where } from '~~/core/parts/handle/onRim'
import { insideShade, threadLine } from '~/looks/yarnShade'

/** The bag standing, from the front, in centimetres with its floor's middle at (0, 0). */
const props = withDefaults(
  defineProps<{
    draft: Draft
    scale: number
    selected: string
    pulled?: number | undefined
    threaded?: number | undefined
    handlesAs?: HandlesAs | undefined
    grips?: boolean
  }>(),
  { pulled: 0, threaded: 1, handlesAs: 'held' },
)
const emit = defineEmits<{ select: [part: string], nudge: [part: string, to: number] }>()

const mirrored = computed(() => props.draft.design.hands === 'left')

/** Casings with cords, and how high each lies: half way up its round, or at the top of the round whose gaps serve. */
const casings = computed(() =>
  casingsOf(props.draft.parts, props.draft.gauge).map((casing) => {
    let heightCm = 0
    for (const part of props.draft.parts) {
      if (part === casing.part) break
      heightCm += part.size.height.cm
    }
    return { casing, heightCm: heightCm + casing.part.size.height.cm / 2 }
  }),
)
const courses = computed(() =>
  casings.value.reduce((drawn, { casing, heightCm }) => gather(drawn, pullOf(casing, heightCm, props.pulled)), elevation(props.draft)),
)
const cords = computed(() =>
  casings.value.flatMap(({ casing, heightCm }) => {
    const course = courses.value.find(({ bottomCm, heightCm: tall }) => bottomCm + tall >= heightCm - 1e-6)
    if (!course) return []
    return cordsFront(
      casing,
      { heightCm, outline: course.outline, shape: course.shape, side: mirrored.value ? 1 : -1, turn: course.turn },
      props.pulled,
      props.threaded,
    )
  }),
)
const handles = computed(() => handleFronts(props.draft, props.handlesAs, courses.value))
const closures = computed(() => closureFronts(props.draft, courses.value))
/** The part in hand can be taken hold of, if it is placed on the front. */
const gripped = computed(() => (props.grips ? gripFronts(props.draft, courses.value).filter(({ part }) => part === props.selected) : []))
const partOf = (id: string) => props.draft.parts.find(part => part.id === id)!
const nudgeOf = (part: DraftPart) => (wallPartOf(part) as Partial<Where> | undefined)?.nudge ?? 0
const colours = computed(() => Object.fromEntries(props.draft.design.yarns.map(({ id, colour }) => [id, colour])))
const rim = computed(() => rimCourse(courses.value))
const rounded = computed(() => isRounded(props.draft.sizes.floor))

/** Stitches under this many pixels wide are a blur; the band's colour alone is sharper. */
const LEAST_PX = 2.4
/** From this many pixels on a stitch is drawn as its two strands of yarn. */
const PLUMP_PX = 11

/** A chain is about half as thick as it is long. */
const netCm = computed(() => props.draft.gauge.ch.width.cm * 0.32)

const bands = computed(() =>
  courseBands(courses.value).map(({ courses: own, below }) => {
    const [{ part, colour, worked, outline }] = own as [Course]
    const stitchCm = (2 * outline.lengthCm) / worked.edge.count
    const stitchPx = stitchCm * props.scale
    const fronts = stitchPx >= LEAST_PX ? own.map(course => frontOf(course, mirrored.value)) : []
    const lines = own.map(course => `M${-course.outline.lengthCm / 2} ${-course.bottomCm}h${course.outline.lengthCm}`).join('')
    return {
      part, plump: stitchPx >= PLUMP_PX, colour: colours.value[colour] ?? '#cccccc',
      outline: silhouette(own, below, mirrored.value),
      threads: fronts.length > 0 ? fronts.map(({ threads }) => threads).join('') : lines,
      posts: fronts.map(({ posts }) => posts).join(''), ridges: fronts.map(({ ridges }) => ridges).join(''),
      holes: fronts.map(({ holes }) => holes).join(''), net: fronts.map(({ net }) => net).join(''),
      open: own.every(({ worked }) => worked.round.inLoops),
      stitchCm,
    }
  }),
)

/** Close by, a stitch is two strands of yarn with a shadow between them, and light along each. */
function plumpLayer(layer: string, yarn: string, stitchCm: number): Record<string, string | number> {
  if (layer === 'shadow') return { stroke: threadLine(yarn), strokeWidth: stitchCm * 0.46 }
  if (layer === 'yarn') return { stroke: yarn, strokeWidth: stitchCm * 0.33 }
  return { stroke: `color-mix(in srgb, ${yarn}, white 26%)`, strokeWidth: stitchCm * 0.09 }
}

/** The rounds of flat motifs, as circles about their ring, which lies as high as they reach. */
const rings = computed(() => props.draft.parts.flatMap(({ laid }) => laid?.ringsCm ?? []))
const ringLine = computed(() => threadLine(colours.value[props.draft.design.base.colour] ?? '#cccccc'))

/** The frame of the part in hand, whatever its yarns. */
const frame = computed(() => {
  const own = courses.value.filter(({ part }) => part === props.selected)
  return silhouette(own, courses.value[courses.value.indexOf(own[0]!) - 1], mirrored.value)
})
</script>

<template>
  <g>
    <RoundShade id="roundness" />
    <BagHandles
      :handles="handles.filter(({ behind }) => behind)"
      :colours="colours"
      :selected="selected"
      :stitch-cm="draft.gauge.sc.width.cm"
      @select="emit('select', $event)"
    />
    <path
      v-if="rim"
      class="inside"
      :d="openingPath(rim)"
      :style="{ fill: insideShade(colours[rim.colour] ?? '#cccccc') }"
    />
    <g
      v-for="(band, i) in bands"
      :key="i"
      class="band"
      :class="{ chosen: band.part === selected }"
      @click="emit('select', band.part)"
    >
      <path
        :d="band.outline"
        :style="band.open ? { fill: insideShade(band.colour), fillOpacity: 0.22 } : { fill: band.colour }"
      />
      <path
        v-if="band.holes"
        :d="band.holes"
        :style="{ fill: insideShade(band.colour) }"
      />
      <path
        v-if="band.ridges"
        :d="band.ridges"
        class="ridges"
        :style="{ stroke: threadLine(band.colour) }"
      />
      <path
        v-if="!band.plump"
        :d="band.threads"
        class="stitches"
        :style="{ stroke: threadLine(band.colour) }"
      />
      <path
        v-for="layer in band.plump ? ['shadow', 'yarn', 'light'] : []"
        :key="layer"
        :d="band.threads"
        class="stitches"
        :style="plumpLayer(layer, band.colour, band.stitchCm)"
      />
      <template v-if="band.net">
        <path
          :d="band.net"
          class="net"
          :style="{ stroke: threadLine(band.colour), strokeWidth: netCm * 1.5 }"
        />
        <path
          :d="band.net"
          class="net"
          :style="{ stroke: band.colour, strokeWidth: netCm }"
        />
      </template>
      <template v-if="band.posts">
        <path
          :d="band.posts"
          class="posts"
          :style="{ stroke: threadLine(band.colour), strokeWidth: band.stitchCm * 0.62 }"
        />
        <path
          :d="band.posts"
          class="posts"
          :style="{ stroke: band.colour, strokeWidth: band.stitchCm * 0.42 }"
        />
      </template>
      <path
        :d="band.outline"
        :fill="rounded && !band.open ? 'url(#roundness)' : 'none'"
      />
    </g>
    <clipPath
      v-if="rings.length > 0"
      id="laid-open"
    >
      <rect
        :x="-rings.at(-1)!"
        :y="-draft.parts[0]!.size.height.cm"
        :width="2 * rings.at(-1)!"
        :height="draft.parts[0]!.size.height.cm"
      />
    </clipPath>
    <g clip-path="url(#laid-open)">
      <circle
        v-for="(reach, i) in rings"
        :key="`ring-${i}`"
        class="ring"
        cx="0"
        :cy="-rings.at(-1)!"
        :r="reach"
        :style="{ stroke: ringLine }"
      />
    </g>
    <g
      v-for="(cord, i) in cords"
      :key="`cord-${i}`"
      class="cord"
    >
      <path
        v-for="layer in ['edge', 'core']"
        :key="layer"
        :d="cord.over + cord.ends"
        :style="layer === 'edge'
          ? { stroke: threadLine(colours[cord.colour] ?? '#cccccc'), strokeWidth: cord.thickCm * 1.25 }
          : { stroke: colours[cord.colour], strokeWidth: cord.thickCm * 0.85 }"
      />
      <circle
        v-if="cord.ends"
        :cx="cord.knot.x"
        :cy="cord.knot.y"
        :r="cord.thickCm * 0.9"
        :style="{ fill: colours[cord.colour], stroke: threadLine(colours[cord.colour] ?? '#cccccc'), strokeWidth: cord.thickCm * 0.2 }"
      />
    </g>
    <path
      v-if="frame"
      class="frame"
      :d="frame"
    />
    <BagHandles
      :handles="handles.filter(({ behind }) => !behind)"
      :colours="colours"
      :selected="selected"
      :stitch-cm="draft.gauge.sc.width.cm"
      @select="emit('select', $event)"
    />
    <BagClosures
      :closures="closures"
      :colours="colours"
      :selected="selected"
      @select="emit('select', $event)"
    />
    <PlaceGrip
      v-for="grip in gripped"
      :key="grip.part"
      :grip="grip"
      :nudge="nudgeOf(partOf(grip.part))"
      :name="partOf(grip.part).name"
      :rim-cm="grip.rimCm"
      :scale="scale"
      :units="draft.design.units"
      @nudge="emit('nudge', grip.part, $event)"
    />
  </g>
</template>

<style scoped>
/* The outline is what one points at: looking for the pointer among thousands of stitches would take longer than a frame. */
.band { cursor: pointer; }
.stitches, .net, .posts, .ridges { pointer-events: none; }
.stitches { fill: none; stroke-width: 0.085; stroke-linejoin: round; stroke-linecap: round; }
.ring { fill: none; stroke-width: 0.09; pointer-events: none; }
.ridges { fill: none; stroke-width: 0.05; }
.posts { fill: none; }
.cord { pointer-events: none; }
.cord path { fill: none; stroke-linecap: round; stroke-linejoin: round; }
.net { fill: none; stroke-linecap: round; }
.frame { fill: none; pointer-events: none; stroke: var(--accent); stroke-width: 2.5px; vector-effect: non-scaling-stroke; }
</style>

<script setup lang="ts">
import { computed, useId } from 'vue'
import type { WallSpec } from '~~/core/wall/wall'
import { inTerms } from '~~/core/words/inTerms'
import { tileOf } from '~/composables/textureTiles'
import { kindOf, WALL_KINDS } from '~/composables/wallKinds'
import { insideShade, threadLine } from '~/composables/yarnShade'
import { useWays } from '~/stores/ways'

/** The kinds of part that a wall can have, each drawn in the part's own yarn. */
const props = defineProps<{ value: WallSpec['band'], colour: string, asks: string }>()
const emit = defineEmits<{ pick: [band: WallSpec['band']] }>()
const ways = useWays()
const name = useId()
const tiles = computed(() => WALL_KINDS.map(kind => ({ ...kind, tile: tileOf(kind.value) })))
</script>

<template>
  <fieldset class="kinds">
    <legend>This part is</legend>
    <div class="grid">
      <label
        v-for="kind in tiles"
        :key="kind.value"
        :class="{ chosen: kind.value === value }"
        :title="inTerms(kind.does, ways.terms)"
      >
        <input
          type="radio"
          :name="name"
          :checked="kind.value === value"
          @change="emit('pick', kind.value)"
        >
        <svg
          :viewBox="`${kind.tile.left} ${kind.tile.top} ${kind.tile.width} ${kind.tile.height}`"
          preserveAspectRatio="xMidYMid slice"
          aria-hidden="true"
        >
          <path
            :d="kind.tile.outline"
            :style="kind.value === 'loops' ? { fill: insideShade(colour), fillOpacity: 0.25 } : { fill: colour }"
          />
          <path
            :d="kind.tile.net"
            fill="none"
            :stroke="threadLine(colour)"
            stroke-width="0.2"
          />
          <path
            :d="kind.tile.holes"
            :fill="insideShade(colour)"
          />
          <path
            :d="kind.tile.ridges"
            :stroke="threadLine(colour)"
            stroke-width="0.09"
          />
          <path
            :d="kind.tile.threads"
            fill="none"
            :stroke="threadLine(colour)"
            stroke-width="0.1"
          />
          <path
            :d="kind.tile.posts"
            :stroke="threadLine(colour)"
            stroke-width="0.32"
          />
          <path
            :d="kind.tile.posts"
            :stroke="colour"
            stroke-width="0.2"
          />
        </svg>
        <span>{{ kind.name }}</span>
      </label>
    </div>
    <p class="does">
      {{ inTerms(kindOf(props.value).does, ways.terms) }} <strong v-if="asks">{{ asks }}</strong>
    </p>
  </fieldset>
</template>

<style scoped>
.kinds { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); margin-bottom: 0.3rem; padding: 0; }
.grid { display: grid; grid-template-columns: repeat(auto-fill, minmax(4.3rem, 1fr)); gap: 0.35rem; }
label { position: relative; display: flex; flex-direction: column; border: 1px solid var(--line); border-radius: 4px; overflow: hidden; cursor: pointer; background: var(--sheet); }
label:hover { border-color: var(--strong-line); }
label.chosen { border-color: var(--accent); box-shadow: inset 0 -3px 0 var(--accent); background: var(--wash); }
label:has(:focus-visible) { outline: 2px solid var(--accent); outline-offset: 2px; }
input { position: absolute; inset: 0; margin: 0; opacity: 0; cursor: pointer; }
svg { width: 100%; height: 2.1rem; display: block; }
span { font-size: 0.78rem; line-height: 1.15; padding: 0.2rem 0.3rem 0.3rem; min-height: 2.3em; display: flex; align-items: center; }
.chosen span { font-weight: 640; }
.does { margin: 0.35rem 0 0; font-size: 0.86rem; color: var(--soft-ink); line-height: 1.35; }
strong { font-weight: 620; color: var(--ink); }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { WallSpec } from '~~/core/wall/wall'
import { useWall } from '~/composables/useWall'
import { useWallPart } from '~/composables/useWallPart'
import { asksOf } from '~/composables/wallKinds'
import { useBench } from '~/stores/bench'

/** A part of the wall: its kind, what it asks, and the questions of that kind. */
const props = defineProps<{ spec: WallSpec, index: number }>()
const bench = useBench()
const { turnInto } = useWall()
const { part, set } = useWallPart(() => props.index)
const colour = computed(() => bench.design!.yarns.find(({ id }) => id === props.spec.colour)?.colour ?? '#cccccc')
const asks = computed(() => asksOf(props.spec, bench.design!))
</script>

<template>
  <div class="fields">
    <KindPicker
      :value="spec.band"
      :colour="colour"
      :asks="asks"
      @pick="turnInto(index, $event)"
    />
    <WantAdjust
      v-if="spec.band === 'adjust'"
      :spec="spec"
      :index="index"
    />
    <WantTaper
      v-else-if="spec.band === 'taper'"
      :spec="spec"
      :index="index"
    />
    <WantLoops
      v-else-if="spec.band === 'loops'"
      :spec="spec"
      :index="index"
    />
    <WantEyelets
      v-else-if="spec.band === 'eyelets'"
      :spec="spec"
      :index="index"
    />
    <WantEdging
      v-else-if="spec.band === 'ruffle' || spec.band === 'picots' || spec.band === 'shells' || spec.band === 'rim'"
      :spec="spec"
      :index="index"
    />
    <WantSlots
      v-else-if="spec.band === 'slots' || spec.band === 'chain-straps'"
      :spec="spec"
      :index="index"
    />
    <WantStraps
      v-else-if="spec.band === 'grown-strap' || spec.band === 'knot-straps' || spec.band === 'sewn-straps' || spec.band === 'under-strap'"
      :spec="spec"
      :index="index"
    />
    <WantHung
      v-else-if="spec.band === 'cross-body' || spec.band === 'bought-handles'"
      :spec="spec"
      :index="index"
    />
    <WantClosure
      v-else-if="spec.band === 'button-loop' || spec.band === 'tab' || spec.band === 'zip'"
      :spec="spec"
      :index="index"
    />
    <WantBand
      v-else
      :band="spec"
      :index="index"
    />
    <HandlesDrawn v-if="part && part.handles.length > 0" />
    <WantStripes
      v-if="'size' in spec && spec.band !== 'loops'"
      :spec="spec"
      :index="index"
    />
    <YarnChoice
      v-else-if="spec.band !== 'loops'"
      :yarns="bench.design!.yarns"
      :value="spec.colour"
      @change="set('Yarn of a round', { colour: $event })"
    />
    <WallStack />
  </div>
</template>

<style scoped>
.fields { display: flex; flex-direction: column; gap: 0.95rem; }
</style>

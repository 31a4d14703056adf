<script setup lang="ts">
import { PICOT_BETWEEN, PICOT_CHAINS, RUFFLE_EACH, RUFFLE_EVERY, SHELL_STITCHES } from '~~/core/design/bounds'
import { type EdgingSpec, RUFFLE_STITCHES } from '~~/core/mouth/edging'
import { stitchChoices } from '~/composables/stitchChoices'
import { useWallPart } from '~/composables/useWallPart'
import { useWays } from '~/stores/ways'

/** An edging's questions. */
const props = defineProps<{ spec: EdgingSpec, index: number }>()
const ways = useWays()
const { set: put } = useWallPart(() => props.index)

const set = (change: object, group?: string) => put('Edging', change, group)
</script>

<template>
  <template v-if="spec.band === 'ruffle'">
    <div class="row">
      <CountField
        label="In each box"
        :value="spec.inEach"
        :bounds="RUFFLE_EACH"
        @change="set({ inEach: $event }, 'inEach')"
      />
      <CountField
        label="Then an increase in every"
        :value="spec.every"
        :bounds="RUFFLE_EVERY"
        suffix="sts"
        @change="set({ every: $event }, 'every')"
      />
    </div>
    <ChoiceField
      label="Stitch"
      :value="spec.stitch"
      :choices="stitchChoices(RUFFLE_STITCHES, ways.terms)"
      @change="set({ stitch: $event })"
    />
  </template>
  <div
    v-else-if="spec.band === 'picots'"
    class="row"
  >
    <CountField
      label="Chains of a point"
      :value="spec.chains"
      :bounds="PICOT_CHAINS"
      @change="set({ chains: $event }, 'chains')"
    />
    <CountField
      label="Stitches between"
      :value="spec.between"
      :bounds="PICOT_BETWEEN"
      @change="set({ between: $event }, 'between')"
    />
  </div>
  <CountField
    v-else-if="spec.band === 'shells'"
    label="Stitches of a shell"
    :value="spec.stitches"
    :bounds="SHELL_STITCHES"
    @change="set({ stitches: $event }, 'stitches')"
  />
  <ChoiceField
    v-else
    label="The rim is of"
    :value="spec.rim"
    :choices="[{ value: 'slip', name: '{slst}', does: 'Flat and firm; work loosely.' }, { value: 'reverse', name: '{sc} backwards', does: 'Stands as a cord along the edge.' }]"
    @change="set({ rim: $event })"
  />
</template>

<style scoped>
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; align-items: start; }
</style>

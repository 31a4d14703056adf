<script setup lang="ts">
import { computed } from 'vue'
import { BUTTON_CM, FACING_CM, STRIP_WIDE, TAB_CM } from '~~/core/design/bounds'
import type { ClosureSpec } from '~~/core/handle/closures'
import { SOLID_STITCHES } from '~~/core/wall/band'
import { stitchChoices } from '~/composables/stitchChoices'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'
import { useWays } from '~/stores/ways'

/** The questions of closures: the button, the tab, the facings of a zip. */
const props = defineProps<{ spec: ClosureSpec, index: number }>()
const bench = useBench()
const ways = useWays()
const { set } = useWallPart(() => props.index)
const units = computed(() => bench.design!.units)
</script>

<template>
  <LengthField
    v-if="spec.band !== 'zip'"
    label="The button, across"
    :cm="spec.buttonCm"
    :units="units"
    :bounds="BUTTON_CM"
    @change="set('Size of the button', { buttonCm: $event }, 'buttonCm')"
  />
  <div
    v-if="spec.band === 'tab'"
    class="row"
  >
    <LengthField
      label="Length of the tab"
      :cm="spec.lengthCm"
      :units="units"
      :bounds="TAB_CM"
      @change="set('Length of the tab', { lengthCm: $event }, 'lengthCm')"
    />
    <CountField
      label="Stitches across"
      :value="spec.wide"
      :bounds="STRIP_WIDE"
      @change="set('Width of the tab', { wide: $event }, 'wide')"
    />
  </div>
  <LengthField
    v-if="spec.band === 'zip'"
    label="Width of a facing"
    :cm="spec.facingCm"
    :units="units"
    :bounds="FACING_CM"
    @change="set('Width of the facings', { facingCm: $event }, 'facingCm')"
  />
  <ChoiceField
    v-if="'stitch' in spec"
    label="Stitch"
    :value="spec.stitch"
    :choices="stitchChoices(SOLID_STITCHES, ways.terms)"
    @change="set('Stitch of the closure', { stitch: $event })"
  />
</template>

<style scoped>
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; align-items: start; }
</style>

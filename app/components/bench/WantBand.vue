<script setup lang="ts">
import { computed } from 'vue'
import { BOX_CHAINS, HEIGHT_CM, PINNED_ROUNDS, RIB } from '~~/core/design/bounds'
import { type BandSpec, RIB_STITCHES, SOLID_STITCHES } from '~~/core/wall/band'
import { stitchChoices } from '~/composables/stitchChoices'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'
import { useWays } from '~/stores/ways'

/** A band's questions: how tall, in which stitch, and what its texture asks besides. */
const props = defineProps<{ band: BandSpec, index: number }>()
const bench = useBench()
const ways = useWays()
const { part, set } = useWallPart(() => props.index)
const stitches = computed(() => stitchChoices(props.band.band === 'rib' ? RIB_STITCHES : SOLID_STITCHES, ways.terms))

function setMode(mode: string): void {
  const heightCm = Math.round((part.value?.size.height.cm || 6) * 10) / 10
  set(mode === 'want' ? 'Want a height' : 'Pin the rounds', {
    size: mode === 'want' ? { want: { heightCm: Math.min(HEIGHT_CM.most, Math.max(HEIGHT_CM.least, heightCm)) } } : { pin: { rounds: Math.max(1, part.value?.rounds.length ?? 1) } },
  })
}
</script>

<template>
  <ChoiceField
    label="Decide by"
    :value="'want' in band.size ? 'want' : 'pin'"
    :choices="[
      { value: 'want', name: 'a height', does: 'You say how tall, the rounds are found.' },
      { value: 'pin', name: 'rounds', does: 'You pin the rounds, the height is told.' },
    ]"
    @change="setMode"
  />
  <LengthField
    v-if="'want' in band.size"
    label="Height of this band"
    :cm="band.size.want.heightCm"
    :units="bench.design!.units"
    :bounds="HEIGHT_CM"
    @change="set('Height of a band', { size: { want: { heightCm: $event } } }, 'size')"
  />
  <CountField
    v-else
    label="Rounds"
    :value="band.size.pin.rounds"
    :bounds="PINNED_ROUNDS"
    @change="set('Rounds of a band', { size: { pin: { rounds: $event } } }, 'size')"
  />
  <ChoiceField
    v-if="'stitch' in band"
    label="Stitch"
    :value="band.stitch"
    :choices="stitches"
    @change="set('Stitch of a band', { stitch: $event })"
  />
  <div
    v-if="band.band === 'rib'"
    class="row"
  >
    <CountField
      label="Standing out"
      :value="band.front"
      :bounds="RIB"
      @change="set('Rib', { front: $event }, 'front')"
    />
    <CountField
      label="Standing back"
      :value="band.back"
      :bounds="RIB"
      @change="set('Rib', { back: $event }, 'back')"
    />
  </div>
  <template v-if="band.band === 'boxes'">
    <CountField
      label="Chains in a box"
      :value="band.chains"
      :bounds="BOX_CHAINS"
      @change="set('Chains in a box', { chains: $event }, 'chains')"
    />
    <ChoiceField
      label="On top"
      :value="band.finish"
      :choices="[{ value: false, name: 'boxes to the end' }, { value: true, name: 'a solid round', does: 'One {sc} in each {dc} and in each chain: closes the boxes off.' }]"
      @change="set('Boxes closed off', { finish: $event })"
    />
  </template>
  <ChoiceField
    v-if="band.band === 'sprigs'"
    label="At the seam"
    :value="band.seamStitch"
    :choices="[{ value: false, name: 'nothing more', does: 'The repeat goes all the way round.' }, { value: true, name: 'one {sc} of its own', does: 'Keeps the join out of the sprigs; takes one stitch more.' }]"
    @change="set('Seam stitch', { seamStitch: $event })"
  />
  <OwnRepeat
    v-if="band.band === 'own'"
    :repeat-id="band.repeat"
    @pick="set('Repeat of a band', { repeat: $event })"
  />
</template>

<style scoped>
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { CORD_CM, HANDLE_CM, SLOT_CM, STRIP_WIDE } from '~~/core/design/bounds'
import type { HungSpec } from '~~/core/handle/hung'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'

/** The questions of a cross-body cord, and of handles that were bought. */
const props = defineProps<{ spec: HungSpec, index: number }>()
const bench = useBench()
const { part, set } = useWallPart(() => props.index)
const units = computed(() => bench.design!.units)

function setMode(mode: string): void {
  set('Length of the cord', { length: mode === 'want' ? { want: { dropCm: 60 } } : { pin: { lengthCm: Math.round(part.value?.handles[0]?.lengthCm ?? 120) } } })
}
</script>

<template>
  <template v-if="spec.band === 'cross-body'">
    <ChoiceField
      label="The cord is"
      :value="spec.cord"
      :choices="[
        { value: 'slip-stitched', name: 'a chain, slip-stitched', does: 'With {slst} along its back: flatter and firmer.' }, { value: 'chain', name: 'a chain', does: 'Quick and round; it stretches.' },
        { value: 'doubled', name: 'a double-yarn chain', does: 'Thick and fast.' }, { value: 'bought', name: 'bought' },
      ]"
      @change="set('Kind of cord', { cord: $event })"
    />
    <ChoiceField
      label="Decide by"
      :value="'want' in spec.length ? 'want' : 'pin'"
      :choices="[{ value: 'want', name: 'its drop', does: 'From the shoulder to the rim, the bag at the hip: measure on yourself.' }, { value: 'pin', name: 'its length' }]"
      @change="setMode"
    />
    <DropField
      v-if="'want' in spec.length"
      label="Drop, shoulder to rim"
      :cm="spec.length.want.dropCm"
      :usual="false"
      @change="set('Drop of the cord', { length: { want: { dropCm: $event } } }, 'length')"
    />
    <LengthField
      v-else
      label="The whole cord"
      :cm="spec.length.pin.lengthCm"
      :units="units"
      :bounds="CORD_CM"
      @change="set('Length of the cord', { length: { pin: { lengthCm: $event } } }, 'length')"
    />
  </template>
  <template v-else>
    <ChoiceField
      label="How many"
      :value="spec.number"
      :choices="[{ value: 2, name: 'two', does: 'One on each face.' }, { value: 1, name: 'one', does: 'On the front alone.' }]"
      @change="set('How many handles', { number: $event })"
    />
    <ChoiceField
      label="They hold by"
      :value="spec.holds"
      :choices="[{ value: 'rings', name: 'rings', does: 'Stitches are worked over each ring into the rim.' }, { value: 'holes', name: 'holes', does: 'Sewn on through their holes, there and back.' }]"
      @change="set('How the handles hold', { holds: $event })"
    />
    <LengthField
      label="Along the handle, end to end"
      :cm="spec.lengthCm"
      :units="units"
      :bounds="HANDLE_CM"
      @change="set('Length of the handles', { lengthCm: $event }, 'lengthCm')"
    />
    <LengthField
      label="From end to end across"
      :cm="spec.apartCm"
      :units="units"
      :bounds="SLOT_CM"
      @change="set('Ends of the handles', { apartCm: $event }, 'apartCm')"
    />
    <CountField
      label="Stitches each end takes"
      :value="spec.foot"
      :bounds="STRIP_WIDE"
      @change="set('Feet of the handles', { foot: $event }, 'foot')"
    />
  </template>
  <WherePlaced
    :spec="spec"
    :index="index"
  />
</template>

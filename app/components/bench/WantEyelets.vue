<script setup lang="ts">
import { computed } from 'vue'
import { casingsOf } from '~~/core/draft/casing'
import { CORD_CM, SLIT_BETWEEN, SLIT_CHAINS, TAIL_CM } from '~~/core/design/bounds'
import { formatCm } from '~~/core/measure/format'
import type { CordsSpec } from '~~/core/mouth/cords'
import { drawnBy } from '~~/core/mouth/drawn'
import type { EyeletsSpec } from '~~/core/mouth/eyelets'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'

/** A casing's questions: its eyelets, its cords, how they are threaded and what they do when they are pulled. */
const props = defineProps<{ spec: EyeletsSpec, index: number }>()
const bench = useBench()
const { set: put } = useWallPart(() => props.index)
const units = computed(() => bench.design!.units)
const casing = computed(() => casingsOf(bench.design!, bench.draft!.parts, bench.draft!.gauge).find(({ index }) => index === props.index))
const drawn = computed(() => casing.value && drawnBy(casing.value.gathered, bench.pulled))

const set = (label: string, change: Partial<EyeletsSpec>, group?: string) => put(label, change, group)
const cord = (label: string, change: Partial<CordsSpec>, group?: string) => set(label, { cords: { ...props.spec.cords!, ...change } }, group && `cords.${group}`)
const setCords = (choice: string) => set('Cords', {
  cords: choice === 'none' ? undefined : { kind: 'chain', size: { want: { tailCm: 10 } }, opening: false, colour: props.spec.colour, ...props.spec.cords, number: choice === 'one' ? 1 : 2 },
})
const setSize = (mode: string) => cord('Length of the cords', {
  size: mode === 'want' ? { want: { tailCm: Math.min(TAIL_CM.most, Math.max(TAIL_CM.least, Math.round(casing.value?.cord.tailCm ?? 10))) } } : { pin: { lengthCm: Math.round(casing.value?.cord.lengthCm ?? 50) } },
})
</script>

<template>
  <ChoiceField
    label="Eyelets are"
    :value="spec.eyelets"
    :choices="[
      { value: 'boxes', name: 'boxes', does: 'One {dc}, one chain, one skipped, all the way round.' },
      { value: 'slits', name: 'slits', does: 'Plain stitches, then chains over as many skipped.' },
      { value: 'gaps', name: 'gaps below', does: 'Between the groups of three of the round below: no round of its own.' },
    ]"
    @change="set('Eyelets', { eyelets: $event as EyeletsSpec['eyelets'] })"
  />
  <div
    v-if="spec.eyelets === 'slits'"
    class="row"
  >
    <CountField
      label="Stitches between"
      :value="spec.between"
      :bounds="SLIT_BETWEEN"
      @change="set('Stitches between slits', { between: $event }, 'between')"
    />
    <CountField
      label="Chains of a slit"
      :value="spec.chains"
      :bounds="SLIT_CHAINS"
      @change="set('Chains of a slit', { chains: $event }, 'chains')"
    />
  </div>
  <ChoiceField
    v-if="spec.eyelets !== 'gaps'"
    label="Where they do not come out even"
    :value="spec.evenOut"
    :choices="[{ value: false, name: 'say so', does: 'Adjust below, or change the base.' }, { value: true, name: 'skip one more', does: 'As makers do: some eyelets skip a stitch more, and show as wider.' }]"
    @change="set('Even out the eyelets', { evenOut: $event })"
  />
  <ChoiceField
    label="Cords"
    :value="spec.cords ? (spec.cords.number === 1 ? 'one' : 'two') : 'none'"
    :choices="[{ value: 'two', name: 'two, opposed', does: 'From opposite sides through the same eyelets: pull both ways and it closes evenly.' }, { value: 'one', name: 'one', does: 'Both its ends hang at one side.' }, { value: 'none', name: 'none' }]"
    @change="setCords"
  />
  <template v-if="spec.cords">
    <ChoiceField
      label="A cord is"
      :value="spec.cords.kind"
      :choices="[
        { value: 'chain', name: 'a chain', does: 'Quick and round; it stretches a little.' }, { value: 'slip-stitched', name: 'a chain, slip-stitched', does: 'With {slst} along its back: flatter and firmer.' },
        { value: 'doubled', name: 'a double-yarn chain', does: 'Thick and fast.' }, { value: 'bought', name: 'bought' },
      ]"
      @change="cord('Kind of cord', { kind: $event as CordsSpec['kind'] })"
    />
    <ChoiceField
      label="Decide by"
      :value="'want' in spec.cords.size ? 'want' : 'pin'"
      :choices="[{ value: 'want', name: 'its ends', does: 'How far they hang out when the bag is open.' }, { value: 'pin', name: 'its length' }]"
      @change="setSize"
    />
    <LengthField
      v-if="'want' in spec.cords.size"
      label="Each end, bag open"
      :cm="spec.cords.size.want.tailCm"
      :units="units"
      :bounds="TAIL_CM"
      @change="cord('Ends of the cords', { size: { want: { tailCm: $event } } }, 'size')"
    />
    <LengthField
      v-else
      label="The whole cord"
      :cm="spec.cords.size.pin.lengthCm"
      :units="units"
      :bounds="CORD_CM"
      @change="cord('Length of the cords', { size: { pin: { lengthCm: $event } } }, 'size')"
    />
    <ChoiceField
      label="Opening cords"
      :value="spec.cords.opening"
      :choices="[{ value: false, name: 'none' }, { value: true, name: 'two short ones', does: 'Looped round posts at the quarters: pulling them opens the bag.' }]"
      @change="cord('Opening cords', { opening: $event })"
    />
    <YarnChoice
      v-if="spec.cords.kind !== 'bought'"
      :yarns="bench.design!.yarns"
      :value="spec.cords.colour"
      @change="cord('Yarn of the cords', { colour: $event })"
    />
    <div
      v-if="casing && drawn"
      class="pull"
    >
      <label for="pulled">Pull the cords</label>
      <input
        id="pulled"
        v-model.number="bench.pulled"
        type="range"
        min="0"
        max="1"
        step="0.02"
        :aria-valuetext="`${formatCm(drawn.aroundCm, units)} round`"
      >
      <p
        role="status"
        class="figures"
      >
        {{ formatCm(drawn.aroundCm, units) }} round, a hole of {{ formatCm(drawn.openingCm, units) }}, ends of {{ formatCm(drawn.tailCm, units) }}
      </p>
      <p class="soft">
        An estimate, from memory: tight, {{ casing.eyelets }} posts stand side by side, each as thick as the fabric ({{ formatCm(casing.gathered.fabricCm, units) }}), with the cords inside.
      </p>
    </div>
    <ThreadingRing
      v-if="casing?.threading.ok"
      :eyelets="casing.eyelets"
      :threading="casing.threading"
      :opening="spec.cords.opening"
    />
  </template>
</template>

<style scoped>
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; align-items: start; }
.pull label { font-size: 0.84rem; color: var(--soft-ink); }
.pull input { width: 100%; accent-color: var(--accent); height: 2rem; }
.pull p { margin: 0.2rem 0 0; font-size: 0.88rem; line-height: 1.35; }
</style>

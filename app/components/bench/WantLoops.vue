<script setup lang="ts">
import { computed } from 'vue'
import { AROUND_CM, DIAMETER_CM, FAN_ROWS, FAN_STITCHES, FANS_BETWEEN, FANS_EVERY, HEIGHT_CM, IN_LOOP, IN_STITCH, LOOP_CHAINS, LOOP_SKIP, PINNED_ROUNDS } from '~~/core/design/bounds'
import type { LoopsSpec, Motif } from '~~/core/mesh/loops'
import { stitchName } from '~~/core/stitch/dictionary'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'
import { useWays } from '~/stores/ways'

/** A net's questions: its loops from below up, how tall it hangs, fans, and what closes it off. */
const props = defineProps<{ spec: LoopsSpec, index: number }>()
const bench = useBench()
const ways = useWays()
const { part, set: put } = useWallPart(() => props.index)
const units = computed(() => bench.design!.units)
/** The chains that the net holds, and narrows to, as drafted. */
const longest = computed(() => Math.round(Math.max(2, ...(part.value?.net?.loopsCm ?? [3])) / bench.draft!.gauge.ch.width.cm))
const tenth = (cm: number) => Math.min(HEIGHT_CM.most, Math.max(HEIGHT_CM.least, Math.round(cm * 10) / 10))

const set = (label: string, change: Partial<LoopsSpec>, group?: string) => put(label, change, group)
const setTall = (mode: string) => set(mode === 'want' ? 'Want a height' : 'Pin the rounds', {
  size: mode === 'want' ? { want: { heightCm: tenth(part.value?.size.height.cm || 20) } } : { pin: { rounds: part.value?.net?.loopsCm.length ?? 8 } },
})
const setHold = (mode: string) => set('How long loops get', { hold: mode === 'want' ? { want: { flatWidthCm: 30 } } : { pin: { chains: longest.value } } })
const setLast = (mode: string) => set('Loops at the mouth', { last: mode === 'no' ? undefined : mode === 'want' ? { want: { mouthCm: 40 } } : { pin: { chains: Math.max(2, longest.value - 2) } } })
const setMotif = (fans: boolean) => set(fans ? 'Fans' : 'No fans', { motif: fans ? { between: 3, stitches: 4, rows: 3, every: 4 } : undefined })
const motif = (change: Partial<Motif>, group: string) => set('Fans', { motif: { ...props.spec.motif!, ...change } }, `motif.${group}`)
const setFinish = (solid: boolean) => set(solid ? 'Solid round on top' : 'Open to the top', { finish: solid ? { inLoop: 2, inStitch: 1 } : undefined })
const lastMode = computed(() => !props.spec.last ? 'no' : 'want' in props.spec.last ? 'want' : 'pin')
</script>

<template>
  <ChoiceField
    label="Decide by"
    :value="'want' in spec.size ? 'want' : 'pin'"
    :choices="[{ value: 'want', name: 'a height', does: 'As it hangs empty; the rounds are found.' }, { value: 'pin', name: 'rounds' }]"
    @change="setTall"
  />
  <LengthField
    v-if="'want' in spec.size"
    label="Height of the net"
    :cm="spec.size.want.heightCm"
    :units="units"
    :bounds="HEIGHT_CM"
    @change="set('Height of the net', { size: { want: { heightCm: $event } } }, 'size')"
  />
  <CountField
    v-else
    label="Rounds of loops"
    :value="spec.size.pin.rounds"
    :bounds="PINNED_ROUNDS"
    @change="set('Rounds of loops', { size: { pin: { rounds: $event } } }, 'size')"
  />
  <div class="row">
    <CountField
      label="Skipped under a loop"
      :value="spec.skip"
      :bounds="LOOP_SKIP"
      @change="set('Skipped under a loop', { skip: $event }, 'skip')"
    />
    <CountField
      label="Chains at first"
      :value="spec.first"
      :bounds="LOOP_CHAINS"
      @change="set('Chains at first', { first: $event }, 'first')"
    />
  </div>
  <ChoiceField
    label="Loops grow by a chain a round up to"
    :value="'want' in spec.hold ? 'want' : 'pin'"
    :choices="[{ value: 'pin', name: 'so many chains' }, { value: 'want', name: 'a width', does: 'As wide as the net lies where nothing pulls it: its diamonds square.' }]"
    @change="setHold"
  />
  <CountField
    v-if="'pin' in spec.hold"
    label="Chains of a full loop"
    :value="spec.hold.pin.chains"
    :bounds="LOOP_CHAINS"
    @change="set('Chains of a full loop', { hold: { pin: { chains: $event } } }, 'hold')"
  />
  <LengthField
    v-else
    label="Width lying flat"
    :cm="spec.hold.want.flatWidthCm"
    :units="units"
    :bounds="DIAMETER_CM"
    @change="set('Width of the net', { hold: { want: { flatWidthCm: $event } } }, 'hold')"
  />
  <ChoiceField
    label="Towards the mouth they"
    :value="lastMode"
    :choices="[{ value: 'no', name: 'stay' }, { value: 'pin', name: 'get shorter', does: 'By a chain a round, to so many.' }, { value: 'want', name: 'draw in to a mouth', does: 'By a chain a round, to a mouth so far round.' }]"
    @change="setLast"
  />
  <CountField
    v-if="spec.last && 'pin' in spec.last"
    label="Chains at the mouth"
    :value="spec.last.pin.chains"
    :bounds="LOOP_CHAINS"
    @change="set('Chains at the mouth', { last: { pin: { chains: $event } } }, 'last')"
  />
  <LengthField
    v-else-if="spec.last && 'want' in spec.last"
    label="Around the mouth"
    :cm="spec.last.want.mouthCm"
    :units="units"
    :bounds="AROUND_CM"
    @change="set('Around the mouth', { last: { want: { mouthCm: $event } } }, 'last')"
  />
  <ChoiceField
    label="Rounds are"
    :value="spec.ends"
    :choices="[
      { value: 'closed', name: 'closed each time', does: 'The last loop is fewer chains and a taller stitch, so that the next round starts at its top. Mark that stitch.' },
      { value: 'spiral', name: 'on and on', does: 'No closing: loop after loop, climbing like a stair. Mark the last {sc} of each round.' },
    ]"
    @change="set('How rounds of loops end', { ends: $event as LoopsSpec['ends'] })"
  />
  <ChoiceField
    label="Fans"
    :value="spec.motif !== undefined"
    :choices="[{ value: false, name: 'none' }, { value: true, name: 'in some loops', does: 'Worked back and forth inside a loop, plain loops between; the loops must divide by the two together.' }]"
    @change="setMotif"
  />
  <div
    v-if="spec.motif"
    class="row"
  >
    <CountField
      label="Loops between"
      :value="spec.motif.between"
      :bounds="FANS_BETWEEN"
      @change="motif({ between: $event }, 'between')"
    />
    <CountField
      label="A round in every"
      :value="spec.motif.every"
      :bounds="FANS_EVERY"
      @change="motif({ every: $event }, 'every')"
    />
    <CountField
      label="Stitches of a fan"
      :value="spec.motif.stitches"
      :bounds="FAN_STITCHES"
      @change="motif({ stitches: $event }, 'stitches')"
    />
    <CountField
      label="Rows of a fan"
      :value="spec.motif.rows"
      :bounds="FAN_ROWS"
      @change="motif({ rows: $event }, 'rows')"
    />
  </div>
  <ChoiceField
    label="On top"
    :value="spec.finish !== undefined"
    :choices="[{ value: false, name: 'loops to the end' }, { value: true, name: 'a solid round', does: 'So many stitches in each loop and in each {sc}: it sets how wide the rim holds the net.' }]"
    @change="setFinish"
  />
  <div
    v-if="spec.finish"
    class="row"
  >
    <CountField
      label="In each loop"
      :value="spec.finish.inLoop"
      :bounds="IN_LOOP"
      @change="set('Solid round', { finish: { ...spec.finish!, inLoop: $event } }, 'finish.loop')"
    />
    <CountField
      :label="`In each ${stitchName('sc', ways.terms).abbreviation}`"
      :value="spec.finish.inStitch"
      :bounds="IN_STITCH"
      @change="set('Solid round', { finish: { ...spec.finish!, inStitch: $event } }, 'finish.stitch')"
    />
  </div>
  <YarnChoice
    :yarns="bench.design!.yarns"
    :value="spec.colour"
    @change="set('Yarn of the net', { colour: $event })"
  />
</template>

<style scoped>
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; align-items: start; }
</style>

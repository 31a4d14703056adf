<script setup lang="ts">
import { computed } from 'vue'
import { CORNER_ROUNDS, HANDLE_CHAINS, HANDLE_ROUNDS, SLOT_CM, SLOT_STITCHES } from '~~/core/design/bounds'
import { HAND_DROP_CM } from '~~/core/draft/handleFindings'
import { slotsOn, type SlotsSpec } from '~~/core/handle/slotSpec'
import { SOLID_STITCHES } from '~~/core/wall/band'
import { stitchChoices } from '~/composables/stitchChoices'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'
import { useWays } from '~/stores/ways'

/** The questions of slots and chain straps: how wide, how long the chain over each, how it is worked over, where they go. */
const props = defineProps<{ spec: SlotsSpec, index: number }>()
const bench = useBench()
const ways = useWays()
const { part, set: put } = useWallPart(() => props.index)
const set = (label: string, change: Partial<Omit<SlotsSpec, 'band'>>, group?: string) => put(label, change, group)

/** What they come to on the rim below, whether they fit there or not. */
const found = computed(() => {
  const first = part.value?.rounds[0]
  const edge = first?.on ?? part.value?.edge
  return edge && slotsOn(props.spec, edge, bench.draft!, first?.round.begin.turn ?? false)
})
const chainsAre = computed(() => 'pin' in props.spec.chains ? 'pin' : 'hole' in props.spec.chains.want ? 'hole' : 'drop')

function setChains(how: string): void {
  const chains = how === 'hole' ? { want: { hole: true } } as const : how === 'drop' ? { want: { dropCm: HAND_DROP_CM } } : { pin: { chains: found.value?.chains ?? 30 } }
  set('Length of the handles', { chains, ...(how === 'hole' ? { corners: 0 } : props.spec.corners === 0 ? { corners: 1, rounds: Math.max(2, props.spec.rounds) } : {}) })
}

function setWidth(mode: string): void {
  const stitches = found.value?.placing.places ?? 16
  const cm = stitches * bench.draft!.gauge[props.spec.stitch].width.cm
  set('Width of the slots', { width: mode === 'pin' ? { pin: { stitches } } : { want: { widthCm: Math.min(SLOT_CM.most, Math.max(SLOT_CM.least, Math.round(cm * 10) / 10)) } } })
}
</script>

<template>
  <ChoiceField
    label="How many"
    :value="spec.number"
    :choices="[{ value: 2, name: 'two', does: 'One on each face, mirror images about the sides.' }, { value: 1, name: 'one', does: 'On the front alone.' }]"
    @change="set('How many slots', { number: $event as 1 | 2 })"
  />
  <ChoiceField
    label="Decide their width by"
    :value="'want' in spec.width ? 'want' : 'pin'"
    :choices="[{ value: 'want', name: 'centimetres', does: found ? `${found.placing.places} stitches are skipped for each.` : undefined }, { value: 'pin', name: 'stitches' }]"
    @change="setWidth"
  />
  <LengthField
    v-if="'want' in spec.width"
    :label="spec.band === 'slots' ? 'Width of a slot' : 'From corner to corner'"
    :cm="spec.width.want.widthCm"
    :units="bench.design!.units"
    :bounds="SLOT_CM"
    @change="set('Width of the slots', { width: { want: { widthCm: $event } } }, 'width')"
  />
  <CountField
    v-else
    label="Stitches skipped for each"
    :value="spec.width.pin.stitches"
    :bounds="SLOT_STITCHES"
    @change="set('Width of the slots', { width: { pin: { stitches: $event } } }, 'width')"
  />
  <ChoiceField
    label="The chain over each is"
    :value="chainsAre"
    :choices="[
      { value: 'drop', name: 'a handle, by its drop', does: `It hangs: chains of ${found?.chains ?? '?'}.` }, { value: 'hole', name: 'a hand hole', does: 'As long as what is skipped: the rim stays straight.' },
      { value: 'pin', name: 'so many chains', does: 'You pin the chains, the drop is told.' },
    ]"
    @change="setChains"
  />
  <DropField
    v-if="'want' in spec.chains && 'dropCm' in spec.chains.want"
    :cm="spec.chains.want.dropCm"
    @change="set('Drop of the handles', { chains: { want: { dropCm: $event } } }, 'drop')"
  />
  <CountField
    v-else-if="'pin' in spec.chains"
    label="Chains"
    :value="spec.chains.pin.chains"
    :bounds="HANDLE_CHAINS"
    @change="set('Chains of the handles', { chains: { pin: { chains: $event } } }, 'chains')"
  />
  <ChoiceField
    label="The next round goes"
    :value="spec.into"
    :choices="[
      { value: 'chains', name: 'into the chains', does: 'A stitch in each chain, under its two upper threads.' }, { value: 'bumps', name: 'into their back bumps', does: 'Under the bump on the chain\'s back: both edges look alike, and no holes show.' },
      { value: 'over', name: 'around the chain', does: 'As many stitches over the chain as a whole: fast, and they can be pushed close.' },
    ]"
    @change="set('How the chain is worked', { into: $event as SlotsSpec['into'] })"
  />
  <ChoiceField
    label="Stitch"
    :value="spec.stitch"
    :choices="stitchChoices(SOLID_STITCHES, ways.terms)"
    @change="set('Stitch of the handles', { stitch: $event })"
  />
  <div class="row">
    <CountField
      label="Rounds above"
      :value="spec.rounds"
      :bounds="HANDLE_ROUNDS"
      @change="set('Rounds above the slots', { rounds: $event }, 'rounds')"
    />
    <CountField
      label="Corners drawn in"
      :value="spec.corners"
      :bounds="CORNER_ROUNDS"
      @change="set('Corner rounds', { corners: $event }, 'corners')"
    />
  </div>
  <WherePlaced
    :spec="spec"
    :index="index"
  />
</template>

<style scoped>
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; align-items: start; }
</style>

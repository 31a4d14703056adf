<script setup lang="ts">
import { computed } from 'vue'
import { FOOT, IN_CM, OVERLAP_CM, SLOT_CM, SLOT_STITCHES, STRAP_WIDE, STRIP_WIDE } from '~~/core/design/bounds'
import type { StrapSpec } from '~~/core/handle/straps'
import { SOLID_STITCHES } from '~~/core/wall/band'
import { stitchChoices } from '~/composables/stitchChoices'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'
import { useWays } from '~/stores/ways'

/** The questions of straps: grown from the rim, knotted, sewn on, or running under the whole bag. */
const props = defineProps<{ spec: StrapSpec, index: number }>()
const bench = useBench()
const ways = useWays()
const { part, set } = useWallPart(() => props.index)
const units = computed(() => bench.design!.units)
const grown = computed(() => props.spec.band === 'grown-strap' || props.spec.band === 'knot-straps' ? props.spec : undefined)
const strip = computed(() => props.spec.band === 'sewn-straps' || props.spec.band === 'under-strap' ? props.spec : undefined)
const counted = computed(() => strip.value && strip.value.worked !== 'across' ? 'chains' : 'rows')
/** Rows or chains of a piece now: what a pinned length starts from. */
const now = (piece = 0) => {
  const made = part.value?.pieces[piece]
  const handle = part.value?.handles[piece]
  if (!made || !handle) return 40
  const all = counted.value === 'rows' ? made.rows.length : made.rows[0]?.edge.count ?? 40
  return Math.max(1, Math.round(all * Math.min(1, handle.lengthCm / made.lengthCm)))
}
</script>

<template>
  <template v-if="grown">
    <div class="row">
      <CountField
        label="Stitches of a foot"
        :value="grown.foot"
        :bounds="FOOT"
        @change="set('Feet of the strap', { foot: $event }, 'foot')"
      />
      <CountField
        label="Stitches across"
        :value="grown.wide"
        :bounds="STRAP_WIDE"
        @change="set('Width of the strap', { wide: $event }, 'wide')"
      />
    </div>
    <LengthField
      v-if="grown.band === 'knot-straps' && 'want' in grown.width"
      label="Each goes around, between its feet"
      :cm="grown.width.want.widthCm"
      :units="units"
      :bounds="SLOT_CM"
      @change="set('Around the ends', { width: { want: { widthCm: $event } } }, 'width')"
    />
    <CountField
      v-else-if="grown.band === 'knot-straps' && 'pin' in grown.width"
      label="Stitches that each goes around"
      :value="grown.width.pin.stitches"
      :bounds="SLOT_STITCHES"
      @change="set('Around the ends', { width: { pin: { stitches: $event } } }, 'width')"
    />
  </template>
  <template v-if="strip">
    <ChoiceField
      label="The strap is worked"
      :value="strip.worked"
      :choices="[
        { value: 'along', name: 'along its length', does: 'A long chain and a few long rows: gives least.' }, { value: 'bumps', name: 'along, into back bumps', does: 'The first row in the bumps of the chain: both edges alike.' },
        { value: 'across', name: 'across, in short rows', does: 'Easy to lengthen; its edges are row ends, and it gives more.' },
      ]"
      @change="set('How the strap is worked', { worked: $event })"
    />
    <CountField
      :label="strip.worked === 'across' ? 'Stitches across' : 'Rows side by side'"
      :value="strip.wide"
      :bounds="STRIP_WIDE"
      @change="set('Width of the strap', { wide: $event }, 'wide')"
    />
  </template>
  <ChoiceField
    label="Stitch"
    :value="spec.stitch"
    :choices="stitchChoices(SOLID_STITCHES, ways.terms)"
    @change="set('Stitch of the strap', { stitch: $event })"
  />
  <template v-if="spec.band === 'knot-straps'">
    <StrapLengthFields
      :length="spec.short"
      label="The short one"
      counted="rows"
      :usual="false"
      :now="now(0)"
      @change="(length, group) => set('Length of the short strap', { short: length }, group && 'short')"
    />
    <StrapLengthFields
      :length="spec.long"
      label="The long one"
      counted="rows"
      :usual="false"
      :now="now(1)"
      @change="(length, group) => set('Length of the long strap', { long: length }, group && 'long')"
    />
  </template>
  <StrapLengthFields
    v-else
    :length="spec.length"
    :counted="counted"
    :now="now()"
    @change="(length, group) => set('Length of the strap', { length }, group)"
  />
  <ChoiceField
    v-if="grown"
    label="Joined by"
    :value="grown.join"
    :choices="[{ value: 'sewn', name: 'sewing', does: 'Stitch by stitch, there and back: flat.' }, { value: 'slip', name: '{slst} through both', does: 'Quicker; leaves a ridge.' }]"
    @change="set('How the strap is joined', { join: $event })"
  />
  <template v-if="spec.band === 'sewn-straps'">
    <ChoiceField
      label="How many"
      :value="spec.number"
      :choices="[{ value: 2, name: 'two', does: 'One on each face.' }, { value: 1, name: 'one', does: 'On the front alone.' }]"
      @change="set('How many straps', { number: $event })"
    />
    <div class="row">
      <LengthField
        label="In from each side"
        :cm="spec.inCm"
        :units="units"
        :bounds="IN_CM"
        @change="set('In from the sides', { inCm: $event }, 'inCm')"
      />
      <LengthField
        label="Lies on the bag"
        :cm="spec.overlapCm"
        :units="units"
        :bounds="OVERLAP_CM"
        @change="set('Ends on the bag', { overlapCm: $event }, 'overlapCm')"
      />
    </div>
    <ChoiceField
      label="Made stronger by"
      :value="spec.reinforced"
      :choices="[
        { value: 'none', name: 'nothing' }, { value: 'patch', name: 'a patch behind each foot', does: 'Spreads the pull over the bag\'s fabric.' },
        { value: 'tape', name: 'a woven tape', does: 'Sewn along the back: takes the pull, and the strap no longer lengthens.' },
      ]"
      @change="set('Reinforcement', { reinforced: $event })"
    />
  </template>
  <ChoiceField
    v-if="strip"
    label="Sewn with"
    :value="strip.lines"
    :choices="[{ value: 2, name: 'two lines', does: 'There and back, one inside the other.' }, { value: 1, name: 'one line' }]"
    @change="set('Lines of stitching', { lines: $event })"
  />
  <WherePlaced
    :spec="spec"
    :index="index"
  />
</template>

<style scoped>
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; align-items: start; }
</style>

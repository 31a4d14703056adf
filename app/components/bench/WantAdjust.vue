<script setup lang="ts">
import { computed } from 'vue'
import { CHANGE, WALL_STITCHES } from '~~/core/design/bounds'
import type { AdjustSpec } from '~~/core/wall/adjust'
import { SOLID_STITCHES } from '~~/core/wall/band'
import { stitchChoices } from '~/composables/stitchChoices'
import { useWallPart } from '~/composables/useWallPart'
import { useWays } from '~/stores/ways'

/** An adjusting round's questions: to what, and how its changes lie. */
const props = defineProps<{ spec: AdjustSpec, index: number }>()
const ways = useWays()
const { part, set } = useWallPart(() => props.index)
const mode = computed(() => 'want' in props.spec.to ? 'divides' : 'stitches' in props.spec.to.pin ? 'stitches' : 'change')

function setMode(wish: string): void {
  const now = part.value?.edge.count ?? 60
  set('What to adjust to', { to: wish === 'divides' ? { want: { divides: true } } : wish === 'stitches' ? { pin: { stitches: now } } : { pin: { change: 0 } } })
}
</script>

<template>
  <ChoiceField
    label="Adjust to"
    :value="mode"
    :choices="[
      { value: 'divides', name: 'what divides', does: 'The nearest number that everything above it can be worked on; it follows when the base changes.' },
      { value: 'stitches', name: 'a number', does: 'So many stitches, whatever comes up from below.' },
      { value: 'change', name: 'more or fewer', does: 'So many stitches more, or with a minus so many fewer.' },
    ]"
    @change="setMode"
  />
  <CountField
    v-if="'pin' in spec.to && 'stitches' in spec.to.pin"
    label="Stitches after it"
    :value="spec.to.pin.stitches"
    :bounds="WALL_STITCHES"
    @change="set('Adjust to a number', { to: { pin: { stitches: $event } } }, 'to')"
  />
  <CountField
    v-else-if="'pin' in spec.to && 'change' in spec.to.pin"
    label="More (or, with a minus, fewer)"
    :value="spec.to.pin.change"
    :bounds="CHANGE"
    @change="set('Adjust by so many', { to: { pin: { change: $event } } }, 'to')"
  />
  <ChoiceField
    label="Stitch"
    :value="spec.stitch"
    :choices="stitchChoices(SOLID_STITCHES, ways.terms)"
    @change="set('Stitch of a round', { stitch: $event })"
  />
  <ChoiceField
    label="Its changes lie"
    :value="spec.mirrored"
    :choices="[{ value: true, name: 'mirrored', does: 'The same from both ends, about the start of the round.' }, { value: false, name: 'from the start on', does: 'A gap, a change, over and over: the easiest to count.' }]"
    @change="set('How changes lie', { mirrored: $event })"
  />
</template>

<script setup lang="ts">
import { AROUND_CM, HEIGHT_CM, PINNED_ROUNDS, WALL_STITCHES } from '~~/core/design/bounds'
import { SOLID_STITCHES } from '~~/core/wall/band'
import type { TaperSpec } from '~~/core/wall/taper'
import { stitchChoices } from '~/composables/stitchChoices'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'
import { useWays } from '~/stores/ways'

/** A taper's questions: how tall, how far round at its top. */
const props = defineProps<{ spec: TaperSpec, index: number }>()
const bench = useBench()
const ways = useWays()
const { part, set } = useWallPart(() => props.index)
const tenth = (cm: number, { least, most }: { least: number, most: number }) => Math.min(most, Math.max(least, Math.round(cm * 10) / 10))

function setMode(mode: string): void {
  const size = part.value?.size
  set(mode === 'want' ? 'Want a taper' : 'Pin a taper', {
    size: mode === 'want'
      ? { want: { heightCm: tenth(size?.height.cm ?? 6, HEIGHT_CM), aroundCm: tenth(size?.circumference.cm ?? 30, AROUND_CM) } }
      : { pin: { rounds: Math.max(1, part.value?.rounds.length ?? 6), stitches: Math.max(3, part.value?.edge.count ?? 60) } },
  })
}

function size(change: object): void {
  const now = 'want' in props.spec.size ? { want: { ...props.spec.size.want, ...change } } : { pin: { ...props.spec.size.pin, ...change } }
  set('Size of a taper', { size: now }, 'size')
}
</script>

<template>
  <ChoiceField
    label="Decide by"
    :value="'want' in spec.size ? 'want' : 'pin'"
    :choices="[
      { value: 'want', name: 'a size', does: 'You say how tall and how far round its top is, the counts are found.' },
      { value: 'pin', name: 'counts', does: 'You pin rounds and stitches, the size is told.' },
    ]"
    @change="setMode"
  />
  <div class="row">
    <template v-if="'want' in spec.size">
      <LengthField
        label="Height of the taper"
        :cm="spec.size.want.heightCm"
        :units="bench.design!.units"
        :bounds="HEIGHT_CM"
        @change="size({ heightCm: $event })"
      />
      <LengthField
        label="Around its top"
        :cm="spec.size.want.aroundCm"
        :units="bench.design!.units"
        :bounds="AROUND_CM"
        @change="size({ aroundCm: $event })"
      />
    </template>
    <template v-else>
      <CountField
        label="Rounds"
        :value="spec.size.pin.rounds"
        :bounds="PINNED_ROUNDS"
        @change="size({ rounds: $event })"
      />
      <CountField
        label="Stitches at its top"
        :value="spec.size.pin.stitches"
        :bounds="WALL_STITCHES"
        @change="size({ stitches: $event })"
      />
    </template>
  </div>
  <ChoiceField
    label="Stitch"
    :value="spec.stitch"
    :choices="stitchChoices(SOLID_STITCHES, ways.terms)"
    @change="set('Stitch of a taper', { stitch: $event })"
  />
  <ChoiceField
    label="Its changes lie"
    :value="spec.mirrored"
    :choices="[{ value: false, name: 'in turn', does: 'Those of every second round fall between those of the round before: no lines show.' }, { value: true, name: 'mirrored', does: 'The same from both ends of each round, about its start.' }]"
    @change="set('How changes lie', { mirrored: $event })"
  />
</template>

<style scoped>
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; align-items: start; }
</style>

<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { HEIGHT_CM, MOST_BANDS, PINNED_ROUNDS } from '~~/core/design/bounds'
import type { BandSpec } from '~~/core/wall/band'
import { stitchName } from '~~/core/stitch/dictionary'
import { useBench } from '~/stores/bench'
import { useWays } from '~/stores/ways'

const props = defineProps<{ band: BandSpec, index: number }>()
const bench = useBench()
const ways = useWays()
const part = computed(() => bench.draft!.parts.find(({ id }) => id === `wall.${props.index}`))
const stitches = computed(() => (['sc', 'hdc', 'dc'] as const).map(value => ({ value, name: stitchName(value, ways.terms).abbreviation, does: stitchName(value, ways.terms).name })))

function setMode(mode: string): void {
  const heightCm = Math.round((part.value?.size.height.cm ?? 10) * 10) / 10
  bench.edit(mode === 'want' ? 'Want a height' : 'Pin the rounds', (design) => {
    design.wall[props.index]!.size = mode === 'want'
      ? { want: { heightCm: Math.min(HEIGHT_CM.most, Math.max(HEIGHT_CM.least, heightCm)) } }
      : { pin: { rounds: Math.max(1, part.value?.rounds.length ?? 1) } }
  })
}

function addAbove(): void {
  const at = props.index + 1
  bench.edit('Add a band', design => void design.wall.splice(at, 0, JSON.parse(JSON.stringify(props.band)) as typeof design.wall[0]))
  bench.selected = `wall.${at}`
}

function remove(): void {
  bench.edit('Remove a band', design => void design.wall.splice(props.index, 1))
  bench.selected = props.index > 0 ? `wall.${props.index - 1}` : 'bag'
}
</script>

<template>
  <div class="fields">
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
      @change="(cm) => bench.edit('Height of a band', (d) => { d.wall[index]!.size = { want: { heightCm: cm } } }, `wall.${index}.size`)"
    />
    <CountField
      v-else
      label="Rounds"
      :value="band.size.pin.rounds"
      :bounds="PINNED_ROUNDS"
      @change="(count) => bench.edit('Rounds of a band', (d) => { d.wall[index]!.size = { pin: { rounds: count } } }, `wall.${index}.size`)"
    />
    <ChoiceField
      label="Stitch"
      :value="band.stitch"
      :choices="stitches"
      @change="(stitch) => bench.edit('Stitch of a band', (d) => { d.wall[index]!.stitch = stitch })"
    />
    <YarnChoice
      :yarns="bench.design!.yarns"
      :value="band.colour"
      @change="(colour) => bench.edit('Yarn of a band', (d) => { d.wall[index]!.colour = colour })"
    />
    <div class="row">
      <v-btn
        :prepend-icon="mdiPlus"
        variant="outlined"
        :disabled="bench.design!.wall.length >= MOST_BANDS"
        @click="addAbove"
      >
        Band above
      </v-btn>
      <v-btn
        :prepend-icon="mdiDeleteOutline"
        variant="outlined"
        @click="remove"
      >
        Remove
      </v-btn>
    </div>
  </div>
</template>

<style scoped>
.fields { display: flex; flex-direction: column; gap: 0.95rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.5rem; }
</style>

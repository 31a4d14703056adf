<script setup lang="ts">
import { computed } from 'vue'
import { increasesOf } from '~~/core/base/circle'
import { DIAMETER_CM, INCREASES, PINNED_ROUNDS } from '~~/core/design/bounds'
import { useBench } from '~/stores/bench'
import { useWays } from '~/stores/ways'
import { stitchName } from '~~/core/stitch/dictionary'

const bench = useBench()
const ways = useWays()
const base = computed(() => bench.design!.base)
const units = computed(() => bench.design!.units)
const size = computed(() => base.value.size)
const increases = computed(() => increasesOf(base.value, bench.draft!.gauge[base.value.stitch]))
const rounds = computed(() => bench.draft!.parts[0]!.rounds.length)
const diameterCm = computed(() => Math.round((bench.draft!.sizes.diameter.cm) * 10) / 10)

const SCHOOLS = [6, 8, 12]
const school = computed(() => base.value.increases === 'by-gauge' ? 'by-gauge' : SCHOOLS.includes(base.value.increases) ? String(base.value.increases) : 'own')

function setSchool(choice: string): void {
  bench.edit('Increases a round', (design) => {
    design.base.increases = choice === 'by-gauge' ? choice : choice === 'own' ? 7 : Number(choice)
  })
}

function setMode(mode: string): void {
  bench.edit(mode === 'want' ? 'Want a diameter' : 'Pin the rounds', (design) => {
    design.base.size = mode === 'want'
      ? { want: { diameterCm: Math.min(DIAMETER_CM.most, Math.max(DIAMETER_CM.least, diameterCm.value)) } }
      : { pin: { rounds: Math.max(1, rounds.value) } }
  })
}

const stitches = computed(() => (['sc', 'hdc', 'dc'] as const).map(value => ({ value, name: stitchName(value, ways.terms).abbreviation, does: stitchName(value, ways.terms).name })))
</script>

<template>
  <div class="fields">
    <ChoiceField
      label="Decide by"
      :value="'want' in size ? 'want' : 'pin'"
      :choices="[
        { value: 'want', name: 'a diameter', does: 'You say how wide, the rounds are found. A new gauge finds new rounds.' },
        { value: 'pin', name: 'rounds', does: 'You pin the rounds, the diameter is told. A new gauge keeps the rounds.' },
      ]"
      @change="setMode"
    />
    <LengthField
      v-if="'want' in size"
      label="Across the floor"
      :cm="size.want.diameterCm"
      :units="units"
      :bounds="DIAMETER_CM"
      @change="(cm) => bench.edit('Diameter', (d) => { d.base.size = { want: { diameterCm: cm } } }, 'base.size')"
    />
    <CountField
      v-else
      label="Rounds"
      :value="size.pin.rounds"
      :bounds="PINNED_ROUNDS"
      @change="(count) => bench.edit('Rounds of the base', (d) => { d.base.size = { pin: { rounds: count } } }, 'base.size')"
    />
    <ChoiceField
      label="Stitch"
      :value="base.stitch"
      :choices="stitches"
      @change="(stitch) => bench.edit('Stitch of the base', (d) => { d.base.stitch = stitch })"
    />
    <ChoiceField
      label="Increases a round"
      :value="school"
      :choices="[
        { value: 'by-gauge', name: 'by gauge', does: `${increases} a round lie flattest in this gauge.` },
        { value: '6', name: '6', does: 'The school of six, usual for single crochet: soft hexagon, slow to grow.' },
        { value: '8', name: '8', does: 'The school of eight: grows faster, and in single crochet the edge often warps a little until the wall tames it.' },
        { value: '12', name: '12', does: 'Usual for double crochet, whose rounds are twice as tall.' },
        { value: 'own', name: 'another', does: 'Any number: the flatness below says what it will do.' },
      ]"
      @change="setSchool"
    />
    <CountField
      v-if="school === 'own'"
      label="Increases a round"
      :value="base.increases as number"
      :bounds="INCREASES"
      @change="(count) => bench.edit('Increases a round', (d) => { d.base.increases = count }, 'base.increases')"
    />
    <ChoiceField
      label="Start with"
      :value="base.start"
      :choices="[
        { value: 'ring', name: 'adjustable ring', does: 'Closes to no hole at all; weave its end in well.' },
        { value: 'chain-ring', name: 'ring of chains', does: 'Quick and firm; leaves a small hole in the middle.' },
        { value: 'chain', name: 'one chain', does: 'The whole first round goes into one chain: nothing to pull closed.' },
      ]"
      @change="(start) => bench.edit('Start of the base', (d) => { d.base.start = start as typeof base.start })"
    />
    <ChoiceField
      label="Increases lie"
      :value="base.placing"
      :choices="[
        { value: 'stacked', name: 'one above the other', does: 'Easy to keep count of; the floor becomes a soft polygon.' },
        { value: 'staggered', name: 'staggered', does: 'Half a group apart every second round: the floor stays round.' },
      ]"
      @change="(placing) => bench.edit('Placing of increases', (d) => { d.base.placing = placing as typeof base.placing })"
    />
    <ChoiceField
      label="In each group, the increase comes"
      :value="base.increaseAt"
      :choices="[{ value: 'first', name: 'first' }, { value: 'last', name: 'last' }]"
      @change="(end) => bench.edit('End of the group', (d) => { d.base.increaseAt = end as typeof base.increaseAt })"
    />
    <YarnChoice
      :yarns="bench.design!.yarns"
      :value="base.colour"
      @change="(colour) => bench.edit('Yarn of the base', (d) => { d.base.colour = colour })"
    />
  </div>
</template>

<style scoped>
.fields { display: flex; flex-direction: column; gap: 0.95rem; }
</style>

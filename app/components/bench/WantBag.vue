<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { ref } from 'vue'
import { useBench } from '~/stores/bench'

const bench = useBench()
const nameTrouble = ref('')

function rename(name: string): void {
  const plain = name.trim()
  nameTrouble.value = plain.length > 0 && plain.length <= 80 ? '' : 'A name of 1 to 80 characters'
  if (!nameTrouble.value && plain !== bench.design!.name) bench.edit('Name', d => void (d.name = plain), 'name')
}

function addWall(): void {
  bench.edit('Add a wall', design => void design.wall.push({ band: 'solid', stitch: 'sc', size: { want: { heightCm: 12 } }, colour: design.base.colour }))
  bench.selected = 'wall.0'
}
</script>

<template>
  <div class="fields">
    <v-text-field
      label="Name"
      :model-value="bench.design!.name"
      :error-messages="nameTrouble"
      maxlength="90"
      @update:model-value="rename"
    />
    <v-btn
      v-if="bench.design!.wall.length === 0"
      :prepend-icon="mdiPlus"
      variant="tonal"
      color="primary"
      @click="addWall"
    >
      Add a wall
    </v-btn>
    <WantContents />
    <WantGauge />
    <ChoiceField
      label="Rounds go"
      :value="bench.design!.rounds.style"
      :choices="[
        { value: 'spiral', name: 'in a spiral', does: 'No join; a marker in the first stitch. Leaves a half-step at the top and where the yarn changes.' },
        { value: 'joined', name: 'joined', does: 'A slip stitch closes each round, the same side facing. Clean V\'s outside; the seam leans steadily.' },
        { value: 'turned', name: 'joined and turned', does: 'Turned after every join: the seam stays straight and both sides look alike.' },
      ]"
      @change="(style) => bench.edit('How rounds go', (d) => { d.rounds.style = style as typeof d.rounds.style })"
    />
    <ChoiceField
      v-if="bench.design!.rounds.style !== 'spiral'"
      label="The starting chain"
      :value="bench.design!.rounds.startingChainCounts"
      :choices="[
        { value: false, name: 'does not count', does: 'The first stitch goes in the stitch you joined to; leave the chain alone.' },
        { value: true, name: 'counts as a stitch', does: 'The chain is the first stitch; the next one goes in the next stitch.' },
      ]"
      @change="(counts) => bench.edit('Starting chain', (d) => { d.rounds.startingChainCounts = counts })"
    />
    <WantYarns />
    <ChoiceField
      label="You hold the hook in the"
      :value="bench.design!.hands"
      :choices="[{ value: 'right', name: 'right hand' }, { value: 'left', name: 'left hand', does: 'Work runs clockwise; the chart is mirrored.' }]"
      @change="(hands) => bench.edit('Hands', (d) => { d.hands = hands as typeof d.hands })"
    />
    <ChoiceField
      label="Your tape is in"
      :value="bench.design!.units"
      :choices="[{ value: 'cm', name: 'centimetres' }, { value: 'in', name: 'inches' }]"
      @change="(units) => bench.edit('Units', (d) => { d.units = units as typeof d.units })"
    />
    <v-textarea
      label="Notes"
      rows="2"
      auto-grow
      maxlength="4000"
      :model-value="bench.design!.note"
      @update:model-value="(note: string) => bench.edit('Notes', (d) => { d.note = note }, 'note')"
    />
  </div>
</template>

<style scoped>
.fields { display: flex; flex-direction: column; gap: 0.95rem; }
</style>

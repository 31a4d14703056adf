<script setup lang="ts">
import { computed, ref } from 'vue'
import { LEAN, SEAM_CM } from '~~/core/design/bounds'
import { useBench } from '~/stores/bench'

const bench = useBench()
const nameTrouble = ref('')

/** What the folded questions stand at. */
const howNow = computed(() => {
  const { rounds: { style, startingChainCounts, leanPerTen }, hands, units } = bench.design!
  return [
    { spiral: 'in a spiral', joined: 'joined', turned: 'joined and turned' }[style], ...(style === 'spiral' ? [] : [startingChainCounts ? 'the chain counts' : 'the chain does not count']),
    ...(leanPerTen ? [`seam leans ${leanPerTen} in ten`] : []), `${hands} hand`, units === 'cm' ? 'centimetres' : 'inches',
  ].join(', ')
})
const finishNow = computed(() => {
  const { mouth, lining, forChild } = bench.design!
  return [mouth ? `divides by ${mouth.divides}` : 'any count', lining ? 'lined' : 'no lining', forChild ? 'a child' : 'grown people'].join(', ')
})

function rename(name: string): void {
  const plain = name.trim()
  nameTrouble.value = plain.length > 0 && plain.length <= 80 ? '' : 'A name of 1 to 80 characters'
  if (!nameTrouble.value && plain !== bench.design!.name) bench.edit('Name', d => void (d.name = plain), 'name')
}

function setMouth(divides: number): void {
  bench.edit('What the mouth divides by', (design) => {
    if (divides > 1) design.mouth = { divides }
    else delete design.mouth
  })
}

function setLining(lined: boolean): void {
  bench.edit(lined ? 'Line the bag' : 'No lining', (design) => {
    if (lined) design.lining = { seamCm: 1.5 }
    else delete design.lining
  })
}

function setLean(stitches: number): void {
  bench.edit('How the seam leans', (design) => {
    if (stitches === 0) delete design.rounds.leanPerTen
    else design.rounds.leanPerTen = stitches
  }, 'lean')
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
    <WallStack />
    <WantContents />
    <WantGauge />
    <template v-if="bench.draft!.parts.some(({ handles }) => handles.length > 0)">
      <HandlesDrawn />
      <WantStretch />
    </template>
    <WantYarns />
    <FoldedBlock
      title="How you work"
      :now="howNow"
    >
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
      <CountField
        v-if="bench.design!.rounds.style === 'joined'"
        label="The seam leaned, in ten rounds"
        suffix="sts"
        parts
        :value="bench.design!.rounds.leanPerTen ?? 0"
        :bounds="LEAN"
        @change="setLean"
      />
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
    </FoldedBlock>
    <FoldedBlock
      title="Mouth, lining, whom it is for"
      :now="finishNow"
    >
      <ChoiceField
        label="The mouth must divide by"
        :value="bench.design!.mouth?.divides ?? 1"
        :choices="[
          { value: 1, name: 'nothing', does: 'Any number of stitches will do at the top.' }, { value: 2, name: '2', does: 'For a casing with one cord, or an edging over two.' },
          { value: 4, name: '4', does: 'For a casing with two opposed cords, or two slots alike.' }, { value: 6, name: '6', does: 'For a shell edging over six.' },
          { value: 12, name: '12', does: 'For two cords and a shell edging both.' },
        ]"
        @change="setMouth"
      />
      <ChoiceField
        label="Made for"
        :value="bench.design!.forChild === true"
        :choices="[{ value: false, name: 'grown people' }, { value: true, name: 'a child', does: 'Cords, loops and small parts are watched more closely. Your local safety law decides.' }]"
        @change="(child) => bench.edit('Made for', (d) => { if (child) d.forChild = true; else delete d.forChild })"
      />
      <ChoiceField
        label="Lining"
        :value="bench.design!.lining !== undefined"
        :choices="[{ value: false, name: 'none' }, { value: true, name: 'lined', does: 'Stops small things falling through mesh and takes the strain; the pieces to cut are told below.' }]"
        @change="setLining"
      />
      <LengthField
        v-if="bench.design!.lining"
        label="Seams of the lining"
        :cm="bench.design!.lining.seamCm"
        :units="bench.design!.units"
        :bounds="SEAM_CM"
        @change="(seamCm) => bench.edit('Seams of the lining', (d) => { d.lining = { seamCm } }, 'lining')"
      />
    </FoldedBlock>
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

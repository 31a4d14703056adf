<script setup lang="ts">
import { computed } from 'vue'
import type { DraftPart } from '~~/core/bag/draft/draft'
import { PLACED, type Where } from '~~/core/parts/handle/onRim'
import type { Asking } from '~/composables/useAnswers'
import { useDocument } from '~/stores/document'

/** Where something on the rim goes: in the middle, or moved; by the sides the bag has, or as the maker marked them anew. */
const props = defineProps<{ asking: Asking, part?: DraftPart | undefined }>()
const bag = useDocument()
const spec = computed(() => props.asking.spec as Where)
const asDrafted = computed(() => bag.design.rounds.style !== 'turned'
  ? 'Where the base puts them, moved on as the start of the rounds leans.'
  : 'Where the base puts them.')

/** From the bag's side to where it begins on the front: in centimetres of the rim, which move it by whole stitches. */
const fromSide = computed(() => {
  const { grip, size } = props.part ?? {}
  if (!grip || !size || grip.onward === 0) return undefined
  const stitchCm = size.circumference.cm / grip.count
  return { cm: grip.before * stitchCm, stitchCm, grip, most: (grip.before + grip.after) * stitchCm }
})

function setFromSide(cm: number): void {
  const { stitchCm, grip } = fromSide.value!
  const nudge = (spec.value.nudge ?? 0) + (Math.round(cm / stitchCm) - grip.before) * grip.onward
  props.asking.answer('Where it begins', [{ path: ['nudge'], value: nudge }])
}

/** Where the first side is now, for a maker who begins to mark it anew. */
function setMarked(marked: boolean): void {
  const on = props.part?.rounds[0]?.on ?? props.part?.edge
  const sideAt = on ? (on.sides[0] - on.start + on.count) % on.count : 0
  props.asking.answer(marked ? 'Mark the sides anew' : 'Sides as they are', [{ path: ['sideAt'], value: marked ? sideAt : undefined }])
}
</script>

<template>
  <fieldset class="where">
    <legend>Where they go</legend>
    <AskedFields
      :fields="PLACED"
      :asking="asking"
      :skip="['sideAt']"
    />
    <LengthField
      v-if="fromSide"
      label="From the side of the bag to it"
      :cm="fromSide.cm"
      :units="asking.units"
      :bounds="{ least: 0, most: fromSide.most }"
      @change="setFromSide"
    />
    <p
      v-if="part?.grip && part.grip.onward !== 0"
      class="soft"
    >
      Or drag the marked span along the rim in the drawing; its mirror image goes along.
    </p>
    <ChoiceField
      label="The bag's sides are"
      :value="spec.sideAt !== undefined"
      :choices="[
        { value: false, name: 'as drafted', does: asDrafted },
        { value: true, name: 'marked again by folding', does: 'Flatten the bag, mark a fold, count from the round\'s start to it.' },
      ]"
      @change="setMarked"
    />
    <AskedFields
      v-if="spec.sideAt !== undefined"
      :fields="PLACED"
      :asking="asking"
      :skip="['nudge']"
    />
  </fieldset>
</template>

<style scoped>
p { margin: -0.3rem 0 0; font-size: 0.86rem; }
.where { border: 0; padding: 0; margin: 0; min-width: 0; display: flex; flex-direction: column; gap: 0.6rem; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.6rem; }
</style>

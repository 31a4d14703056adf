<script setup lang="ts">
import { computed } from 'vue'
import { knowEveryKind } from '~~/core/bag/design/everyKind'
import { baseForms, beginBase, formOf } from '~~/core/parts/base/base'
import type { Change } from '~~/core/parts/part/finding'
import { type Asking, useAnswers } from '~/composables/useAnswers'
import { useDocument } from '~/stores/document'
import StripesTool from './StripesTool.vue'

/** The base of the bag: its form, and the questions of that form. */
knowEveryKind()
const bag = useDocument()
const base = computed(() => bag.design.base)
const form = computed(() => formOf(base.value))
const asked = useAnswers(() => ['base'], () => base.value, () => bag.draft.parts[0])

/** A base that is decided in another way is no longer the one that was measured. */
const asking = computed<Asking>(() => ({
  ...asked.value,
  answer: (label, changes, group) => {
    if (changes.some(({ path }) => path.length === 1 && path[0] === 'size')) bag.change(label, [...changes.map(inBase), FORGET])
    else asked.value.answer(label, changes, group)
  },
}))
const FORGET: Change = { path: ['measuredBase'], value: undefined }
const inBase = ({ path, value }: Change): Change => ({ path: ['base', ...path], value })

function setForm(wish: string): void {
  const { floor, height, mouth } = bag.draft.sizes
  const { stitch, colour, called } = base.value
  const begun = beginBase(wish, { stitch, colour, lengthCm: floor.length.cm || mouth.cm / 2, widthCm: floor.width.cm, heightCm: height.cm })
  bag.change(`Base: ${formOf(begun).name}`, [{ path: ['base'], value: { ...begun, ...(called ? { called } : {}) } }, FORGET])
}
</script>

<template>
  <div class="fields">
    <ChoiceField
      label="Form"
      :value="base.form"
      :choices="baseForms().map(({ form: value, name, does }) => ({ value, name, does }))"
      @change="setForm"
    />
    <AskedFields
      :key="base.form"
      :fields="form.fields"
      :asking="asking"
      :skip="form.fields.stripes ? ['colour'] : []"
    >
      <template #size>
        <NearbySizes />
      </template>
    </AskedFields>
    <StripesTool
      v-if="form.fields.stripes"
      :asking="asking"
    />
    <WantMeasured v-if="form.measures" />
  </div>
</template>

<style scoped>
.fields { display: flex; flex-direction: column; gap: 0.95rem; }
</style>

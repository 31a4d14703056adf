<script setup lang="ts">
import { computed, ref } from 'vue'
import { BAG_FIELDS } from '~~/core/bag/design/bagFields'
import { standsAt } from '~~/core/parts/field/placedField'
import type { Fields } from '~~/core/parts/field/field'
import { useAnswers } from '~/composables/useAnswers'
import { useDocument } from '~/stores/document'

/** Questions about the bag as a whole. */
const bag = useDocument()
const nameTrouble = ref('')
const asking = useAnswers(() => [], () => bag.design)
const handled = computed(() => bag.draft.parts.some(({ handles }) => handles.length > 0))

// The turn-up is asked at its own place in the drawing; what is added to a bag's questions is asked with the last.
const { hands, units, rounds, stretch, turnUp: _, ...rest } = BAG_FIELDS
const FOLDED: readonly { readonly title: string, readonly fields: Fields }[] = [
  { title: 'How you work', fields: { rounds, hands, units } },
  { title: 'Mouth, lining, whom it is for', fields: rest },
]

function rename(name: string): void {
  const plain = name.trim()
  nameTrouble.value = plain.length > 0 && plain.length <= 80 ? '' : 'A name of 1 to 80 characters'
  if (!nameTrouble.value && plain !== bag.design.name) bag.change('Name', [{ path: ['name'], value: plain }], 'name')
}
</script>

<template>
  <div class="fields">
    <v-text-field
      label="Name"
      :model-value="bag.design.name"
      :error-messages="nameTrouble"
      maxlength="90"
      @update:model-value="rename"
    />
    <WholeSize />
    <WantContents />
    <WantGauge />
    <template v-if="handled">
      <HandlesDrawn />
      <AskedFields
        :fields="{ stretch }"
        :asking="asking"
      />
    </template>
    <WantYarns />
    <FoldedBlock
      v-for="{ title, fields } in FOLDED"
      :key="title"
      :title="title"
      :now="standsAt(fields, asking.spec, asking.now).join(', ')"
    >
      <AskedFields
        :fields="fields"
        :asking="asking"
      />
    </FoldedBlock>
    <v-text-field
      label="Tags, between commas"
      :model-value="bag.design.tags ?? ''"
      maxlength="200"
      @update:model-value="(tags: string) => bag.change('Tags', [{ path: ['tags'], value: tags.trim() ? tags : undefined }], 'tags')"
    />
    <v-textarea
      label="Notes"
      rows="2"
      auto-grow
      maxlength="4000"
      :model-value="bag.design.note"
      @update:model-value="(note: string) => bag.change('Notes', [{ path: ['note'], value: note }], 'note')"
    />
  </div>
</template>

<style scoped>
.fields { display: flex; flex-direction: column; gap: 0.95rem; }
</style>

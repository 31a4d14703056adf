<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { CONTENT_KINDS, contentOf } from '~~/core/parts/contents/contents'
import { useAnswers } from '~/composables/useAnswers'
import { useProposal } from '~/composables/useProposal'
import { fetchEveryKind, NOT_FETCHED } from '~/kinds/fetchKinds'
import { useDocument } from '~/stores/document'

/** The contents of the bag: named, kept, drawn inside the bag; on request they propose base and height. */
const bag = useDocument()
const { looking, propose: search } = useProposal()
const said = ref('')
const contents = computed(() => bag.design.contents)
const asking = useAnswers(() => ['contents'], () => contents.value ?? {})
const CHOICES = [{ value: 'nothing', name: 'nothing in particular' }, ...CONTENT_KINDS.map(({ kind, name }) => ({ value: kind, name }))]

/** Their weight is known whatever shape they have. */
function choose(wish: string): void {
  const weightKg = contents.value?.weightKg
  const begun = wish === 'nothing' ? undefined : { ...contentOf({ kind: wish }).begins, ...(weightKg ? { weightKg } : {}) }
  bag.change('What it must hold', [{ path: ['contents'], value: begun }])
}

/** A thing may stand on another form of base than the bag has. */
async function propose(): Promise<void> {
  const { design } = bag
  const [found] = await Promise.all([search(design), fetchEveryKind().catch(() => (bag.refused = NOT_FETCHED))])
  if (bag.refused) return
  // What was found is for the bag as it was asked for.
  if (bag.design !== design) {
    said.value = 'The bag was changed while the search went on. Nothing is proposed; ask again.'
    return
  }
  if (found?.does === 'change') bag.applyFix(found.fix)
  said.value = found === undefined
    ? 'The search broke off. Nothing is changed; try it again.'
    : found.does === 'not' ? found.why : found.does === 'nothing' ? 'The bag holds it as it is. Nothing is changed.' : ''
}
watch(() => bag.design, () => (said.value = ''))
</script>

<template>
  <div class="contents">
    <ChoiceField
      label="It must hold"
      :value="contents?.kind ?? 'nothing'"
      :choices="CHOICES"
      @change="choose"
    />
    <template v-if="contents">
      <AskedFields
        :key="contents.kind"
        :fields="contentOf(contents).fields"
        :asking="asking"
      />
      <v-btn
        variant="tonal"
        color="primary"
        class="propose"
        :loading="looking"
        @click="propose"
      >
        Propose a bag for it
      </v-btn>
      <p role="status">
        {{ said }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.contents { display: flex; flex-direction: column; gap: 0.7rem; }
.propose { align-self: flex-start; }
p { margin: 0; }
</style>

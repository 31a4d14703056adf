<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { valueAt } from '~~/core/parts/field/placedField'
import type { ListField } from '~~/core/parts/field/field'
import { beginnings } from '~~/core/parts/kind/beginnings'
import type { Asking } from '~/composables/useAnswers'

/** Several of a thing, one under the other: each with its questions, added at the end and removed where it stands. */
const props = defineProps<{
  label: string
  field: ListField & { readonly optional?: true }
  path: readonly (string | number)[]
  asking: Asking
}>()

const all = computed(() => (valueAt(props.asking.spec, props.path) ?? []) as readonly object[])

const further = computed(() => props.field.further?.(props.asking.spec as never) ?? beginnings(props.field.of))

function set(label: string, next: readonly object[]): void {
  props.asking.answer(label, [{ path: props.path, value: next.length === 0 && props.field.optional ? undefined : next }])
}
</script>

<template>
  <fieldset class="list">
    <legend>{{ label }}</legend>
    <section
      v-for="(_, i) in all"
      :key="i"
      class="one"
      :aria-label="`${label}, ${i + 1}`"
    >
      <div class="asked">
        <AskedFields
          :fields="field.of"
          :asking="asking"
          :at="[...path, i]"
        />
      </div>
      <IconButton
        :icon="mdiDeleteOutline"
        :disabled="!field.optional && all.length <= field.least"
        :name="`Remove ${label}, ${i + 1}`"
        @click="set(`Remove ${field.one}`, all.filter((_, at) => at !== i))"
      />
    </section>
    <v-btn
      class="more"
      :prepend-icon="mdiPlus"
      size="small"
      variant="outlined"
      :disabled="all.length >= field.most"
      @click="set(`Add ${field.one}`, [...all, further])"
    >
      Add {{ field.one }}
    </v-btn>
  </fieldset>
</template>

<style scoped>
.list { border: 0; padding: 0; margin: 0; min-width: 0; display: flex; flex-direction: column; gap: 0.7rem; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.3rem; }
.one { display: grid; grid-template-columns: 1fr auto; gap: 0.4rem; border-left: 3px solid var(--line); padding-left: 0.7rem; }
.asked { display: flex; flex-direction: column; gap: 0.7rem; min-width: 0; }
.more { align-self: flex-start; }
</style>

<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { valueAt } from '~~/core/parts/field/placedField'
import type { KindsField } from '~~/core/parts/field/field'
import { firstRepeat } from '~~/core/parts/band/own'
import type { Asking } from '~/composables/useAnswers'
import { useDocument } from '~/stores/document'

/** The bands of a flat piece, from its first row up: each with its kind and what that asks. */
const props = defineProps<{ label: string, field: KindsField, path: readonly (string | number)[], asking: Asking }>()

const bag = useDocument()

interface Band { readonly [field: string]: unknown }

const bands = computed(() => (valueAt(props.asking.spec, props.path) ?? []) as readonly Band[])
const kindOf = (band: Band) => props.field.kinds.find(({ value }) => value === band[props.field.by])!
const list = computed(() => props.field.list!)
const plainFields = (band: Band) => Object.fromEntries(Object.entries(kindOf(band).fields).filter(([name]) => name !== 'colour'))

const set = (label: string, next: readonly Band[]) => props.asking.answer(label, [{ path: props.path, value: next }])
const begun = (kind: string, like: Band | undefined) => list.value.begin!(kind, like, props.asking.spec) as Band

/** The questions of a band are its own: their paths start at the band. */
function askingOf(i: number): Asking {
  const at = [...props.path, i]
  return {
    ...props.asking, spec: bands.value[i]!, ...(props.asking.at ? { at: [...props.asking.at, ...at] } : {}),
    answer: (label, changes, group) =>
      props.asking.answer(label, changes.map(change => ({ ...change, path: [...at, ...change.path] })), group && [...at, group].join('.')),
  }
}

/** The first band in a repeat of the maker's own brings one along. */
function withRepeat(band: Band): Band {
  if (!kindOf(band).fields.repeat) return band
  if (bag.design.repeats.length === 0) bag.change('A new repeat', [{ path: ['repeats'], value: [firstRepeat('own-1')] }])
  return { ...band, repeat: bag.design.repeats[0]!.id }
}

function turnInto(i: number, kind: string): void {
  const turned = withRepeat(begun(kind, bands.value[i]))
  set('Another band', bands.value.map((band, at) => (at === i ? turned : band)))
}

function add(): void {
  const last = bands.value.at(-1)
  set('Add a band', [...bands.value, begun(last ? String(last[props.field.by]) : props.field.kinds[0]!.value, last)])
}

function move(i: number, by: 1 | -1): void {
  const next = [...bands.value]
  const [band] = next.splice(i, 1)
  next.splice(i + by, 0, band!)
  set('Move a band', next)
}

function remove(i: number): void {
  set('Remove a band', bands.value.filter((_, at) => at !== i))
}
</script>

<template>
  <fieldset class="stack">
    <legend>{{ label }}</legend>
    <p
      v-if="bands.length === 0"
      class="none"
    >
      Plain rows, until a band is added.
    </p>
    <section
      v-for="(band, i) in bands"
      :key="i"
      class="band"
      :aria-label="`Band ${i + 1}`"
    >
      <div class="head">
        <PickField
          :label="`What band ${i + 1} is`"
          :model-value="kindOf(band).value"
          :items="field.kinds.map(({ value, name }) => ({ value, title: name ?? value }))"
          @update:model-value="turnInto(i, $event)"
        />
        <IconButton
          :icon="mdiArrowUp"
          :disabled="i === bands.length - 1"
          :name="`Move band ${i + 1} up`"
          @click="move(i, 1)"
        />
        <IconButton
          :icon="mdiArrowDown"
          :disabled="i === 0"
          :name="`Move band ${i + 1} down`"
          @click="move(i, -1)"
        />
        <IconButton
          :icon="mdiDeleteOutline"
          :disabled="bands.length === 1"
          :name="`Remove band ${i + 1}`"
          @click="remove(i)"
        />
      </div>
      <AskedFields
        :fields="plainFields(band)"
        :asking="askingOf(i)"
      />
      <OwnRepeat
        v-if="kindOf(band).fields.repeat"
        :asking="askingOf(i)"
        :rows="list.inRows === true"
      />
      <StripesTool
        v-if="kindOf(band).fields.stripes"
        :asking="askingOf(i)"
      />
      <AskedFields
        v-else
        :fields="{ colour: kindOf(band).fields.colour! }"
        :asking="askingOf(i)"
      />
    </section>
    <v-btn
      class="more"
      :prepend-icon="mdiPlus"
      size="small"
      variant="outlined"
      :disabled="bands.length >= list.most"
      @click="add"
    >
      {{ bands.length === 0 ? 'Add a band' : 'Another band above' }}
    </v-btn>
  </fieldset>
</template>

<style scoped>
.stack { border: 0; padding: 0; margin: 0; min-width: 0; display: flex; flex-direction: column; gap: 0.7rem; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.3rem; }
.band { display: flex; flex-direction: column; gap: 0.8rem; border-left: 3px solid var(--line); padding-left: 0.7rem; }
.head { display: grid; grid-template-columns: 1fr auto auto auto; gap: 0.2rem; align-items: start; }
.none { margin: 0; font-size: 0.86rem; color: var(--soft-ink); }
.more { align-self: flex-start; }
</style>

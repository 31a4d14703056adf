<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import type { Bandlike, Stripe } from '~~/core/parts/texture/bandlike'
import { MOST_STRIPES, STRIPE } from '~~/core/parts/texture/stripes'
import type { Asking } from '~/composables/useAnswers'

/** A band's yarn, or its stripes. */
const props = defineProps<{ asking: Asking }>()
const spec = computed(() => props.asking.spec as Pick<Bandlike, 'colour' | 'stripes'>)
const stripes = computed(() => spec.value.stripes ?? [])

const STRIPED = 'From its first round up, over and over. Yarns change on the last pull-through of the round before.'
const WORKED_IN = [{ value: false, name: 'one yarn' }, { value: true, name: 'stripes', does: STRIPED }]

const set = (label: string, next: readonly Stripe[]) =>
  props.asking.answer(label, [{ path: ['stripes'], value: next.length > 0 ? next : undefined }])

/** Two yarns by turns, the band's own first; with one yarn there is nothing to stripe with yet. */
function start(): void {
  const { colour } = spec.value
  const other = props.asking.yarns.find(({ id }) => id !== colour)?.id ?? colour
  set('Stripes', [
    { colour, rounds: 2 },
    { colour: other, rounds: 2 },
  ])
}
</script>

<template>
  <ChoiceField
    label="Worked in"
    :value="stripes.length > 0"
    :choices="WORKED_IN"
    @change="$event ? start() : set('One yarn', [])"
  />
  <YarnChoice
    v-if="stripes.length === 0"
    :yarns="asking.yarns"
    :value="spec.colour"
    @change="asking.answer('Yarn', [{ path: ['colour'], value: $event }])"
  />
  <div
    v-for="(_, i) in stripes"
    :key="i"
    class="stripe"
  >
    <AskedFields
      :fields="STRIPE"
      :asking="asking"
      :at="['stripes', i]"
    />
    <IconButton
      :icon="mdiDeleteOutline"
      :disabled="stripes.length === 1"
      :name="`Remove stripe ${i + 1}`"
      @click="set('Remove a stripe', stripes.filter((_, at) => at !== i))"
    />
  </div>
  <v-btn
    v-if="stripes.length > 0"
    class="more"
    :prepend-icon="mdiPlus"
    size="small"
    variant="outlined"
    :disabled="stripes.length >= MOST_STRIPES"
    @click="set('Another stripe', [...stripes, { colour: spec.colour, rounds: 1 }])"
  >
    Another stripe
  </v-btn>
</template>

<style scoped>
.stripe { display: grid; grid-template-columns: 1fr 6rem auto; gap: 0.4rem; align-items: start; }
.more { align-self: flex-start; }
</style>

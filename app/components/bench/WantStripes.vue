<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { MOST_STRIPES, STRIPE_ROUNDS } from '~~/core/design/bounds'
import type { Bandlike, Stripe } from '~~/core/texture/bandlike'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'

/** A band's yarn, or its stripes. */
const props = defineProps<{ spec: Pick<Bandlike, 'colour' | 'stripes'>, index: number }>()
const bench = useBench()
const { set: put } = useWallPart(() => props.index)
const stripes = computed(() => props.spec.stripes ?? [])

const set = (next: readonly Stripe[], label: string, group?: string) => put(label, { stripes: next.length > 0 ? next : undefined }, group)

/** Two yarns by turns, the band's own first; with one yarn there is nothing to stripe with yet. */
function start(): void {
  const other = bench.design!.yarns.find(({ id }) => id !== props.spec.colour)?.id ?? props.spec.colour
  set([{ colour: props.spec.colour, rounds: 2 }, { colour: other, rounds: 2 }], 'Stripes')
}

function change(at: number, to: Partial<Stripe>, group?: string): void {
  set(stripes.value.map((stripe, i) => i === at ? { ...stripe, ...to } : stripe), 'Stripe', group)
}
</script>

<template>
  <ChoiceField
    label="Worked in"
    :value="stripes.length > 0"
    :choices="[{ value: false, name: 'one yarn' }, { value: true, name: 'stripes', does: 'From its first round up, over and over. Yarns change on the last pull-through of the round before.' }]"
    @change="$event ? start() : set([], 'One yarn')"
  />
  <YarnChoice
    v-if="stripes.length === 0"
    :yarns="bench.design!.yarns"
    :value="spec.colour"
    @change="put('Yarn of a band', { colour: $event })"
  />
  <div
    v-for="(stripe, i) in stripes"
    :key="i"
    class="stripe"
  >
    <YarnChoice
      :yarns="bench.design!.yarns"
      :value="stripe.colour"
      @change="change(i, { colour: $event })"
    />
    <CountField
      label="Rounds"
      :value="stripe.rounds"
      :bounds="STRIPE_ROUNDS"
      @change="change(i, { rounds: $event }, `stripes.${i}`)"
    />
    <v-btn
      :icon="mdiDeleteOutline"
      size="small"
      :disabled="stripes.length === 1"
      :aria-label="`Remove stripe ${i + 1}`"
      @click="set(stripes.filter((_, at) => at !== i), 'Remove a stripe')"
    />
  </div>
  <v-btn
    v-if="stripes.length > 0"
    class="more"
    :prepend-icon="mdiPlus"
    size="small"
    variant="outlined"
    :disabled="stripes.length >= MOST_STRIPES"
    @click="set([...stripes, { colour: spec.colour, rounds: 1 }], 'Another stripe')"
  >
    Another stripe
  </v-btn>
</template>

<style scoped>
.stripe { display: grid; grid-template-columns: 1fr 6rem auto; gap: 0.4rem; align-items: start; }
.more { align-self: flex-start; }
</style>

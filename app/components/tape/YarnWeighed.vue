<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { parseNumber } from '~~/core/things/measure/parse'
import type { Yarn } from '~~/core/bag/design/design'
import type { Weight } from '~~/core/household/shelf/weighing'
import type { WeightDoubt } from '~~/core/household/shelf/weightWords'

/** The kitchen scales: what is left of a yarn, or the work itself; and what that says of what is still to come. */
const props = defineProps<{
  yarns: readonly Yarn[]
  /** The meaning of a weight, in words; and a question, if it can hardly be meant. */
  says: (weight: Weight) => { readonly words: string, readonly doubt?: WeightDoubt | undefined }
  told: (text: string) => string
}>()
const emit = defineEmits<{ take: [weight: Weight] }>()
const yarn = ref(props.yarns[0]?.id ?? 'main')
const of = ref<'left' | 'work'>('left')
const grams = ref('')
const tried = ref(false)
const weight = computed(() => parseNumber(grams.value.replace(/\s*g$/i, '')))
const least = computed(() => (of.value === 'left' ? 0 : 0.1))
const can = computed(() => weight.value !== undefined && weight.value >= least.value && weight.value <= 100_000)
const laidOn = computed<Weight | undefined>(() => (can.value ? { yarn: yarn.value, grams: weight.value!, of: of.value } : undefined))
const said = computed(() => laidOn.value && props.says(laidOn.value))
/** Asked about once: a weight that is so is written down as it is. */
const sure = ref(false)
watch(laidOn, () => (sure.value = false))
const doubt = computed(() => (sure.value ? undefined : said.value?.doubt))

function take(): void {
  tried.value = true
  if (laidOn.value && !doubt.value) emit('take', laidOn.value)
}
</script>

<template>
  <form @submit.prevent="take">
    <fieldset>
      <legend>On the scales lies</legend>
      <label><input
        v-model="of"
        type="radio"
        value="left"
      > what is left of the yarn</label>
      <label><input
        v-model="of"
        type="radio"
        value="work"
      > the work itself</label>
    </fieldset>
    <label v-if="yarns.length > 1">
      Yarn
      <select v-model="yarn">
        <option
          v-for="one in yarns"
          :key="one.id"
          :value="one.id"
        >{{ one.name }}</option>
      </select>
    </label>
    <label>
      It weighs
      <NumberInput
        v-model="grams"
        aria-label="Grams"
        :aria-invalid="tried && !can"
      /> g
    </label>
    <ScalesReading
      label="Read the scales"
      @take="read => (grams = String(read))"
    />
    <p
      v-if="tried && !can"
      role="alert"
      class="wrong"
    >
      Type grams, such as 42.5, up to 100 000.
    </p>
    <DoubtAsked
      v-else-if="doubt"
      :what="told(doubt.what)"
      :instead="doubt.instead?.label"
      :typed="`${grams} g`"
      @instead="grams = String(doubt.instead!.grams)"
      @sure="sure = true"
    />
    <p
      v-else-if="said"
      role="status"
    >
      {{ said.words }}
    </p>
    <slot
      v-if="can && !doubt && of === 'left'"
      :yarn="yarn"
      :grams="weight!"
    />
    <TouchButton
      submit
    >
      Write the weight down
    </TouchButton>
  </form>
</template>

<style scoped>
form { display: flex; flex-direction: column; gap: 0.6rem; }
fieldset { border: 0; margin: 0; padding: 0; display: flex; flex-wrap: wrap; gap: 0.1rem 1.2rem; }
legend { padding: 0; font-weight: 560; }
fieldset label { min-height: 2.6rem; }
select {
  height: var(--control-height); max-width: 100%; padding: 0 0.6rem; font: inherit; color: inherit; background: var(--paper);
  border: 1px solid var(--strong-line); border-radius: var(--control-radius);
}
</style>

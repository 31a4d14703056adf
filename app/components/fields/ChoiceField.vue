<script setup lang="ts" generic="V extends string | number | boolean">
import { computed, useId } from 'vue'
import type { CardId } from '~~/core/things/entry/cards'
import { useTranslate } from '~/composables/useTranslate'

/** One of a few, all in sight; what the chosen one does is said below, stitches in the maker's vocabulary. */
const props = defineProps<{
  label: string
  why?: string | undefined
  value: V
  choices: readonly { readonly value: V, readonly name: string, readonly does?: string, readonly card?: CardId }[]
  card?: CardId | undefined
}>()
const emit = defineEmits<{ change: [value: V] }>()

const name = useId()
const told = useTranslate()
const chosen = computed(() => props.choices.find(({ value }) => value === props.value))
const does = computed(() => told(chosen.value?.does ?? ''))
</script>

<template>
  <fieldset class="choice">
    <legend>
      {{ label }} <WhyMark
        v-if="why"
        :word="label"
        :why="why"
        :card="card"
      />
    </legend>
    <div class="row">
      <label
        v-for="choice in choices"
        :key="String(choice.value)"
        :class="{ chosen: choice.value === value }"
      >
        <input
          type="radio"
          :name="name"
          :checked="choice.value === value"
          @change="emit('change', choice.value)"
        >
        <span>{{ told(choice.name) }}</span>
      </label>
    </div>
    <p
      v-if="does"
      class="does"
    >
      {{ does }}
    </p>
    <HowMade
      v-if="chosen?.card"
      :key="chosen.card"
      :cards="[chosen.card]"
      :of="told(chosen.name)"
    />
  </fieldset>
</template>

<style scoped>
.choice { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); margin-bottom: 0.25rem; padding: 0; }
.row { display: flex; flex-wrap: wrap; gap: 0.35rem; }
label {
  position: relative; display: inline-flex; align-items: center; min-height: 2.1rem; padding: 0 0.7rem;
  border: 1px solid var(--strong-line); border-radius: 4px; cursor: pointer;
}
label:hover { border-color: var(--ink); }
@media (pointer: coarse) { label { min-height: 2.75rem; } }
label.chosen { border-color: var(--accent); box-shadow: inset 0 -3px 0 var(--accent); background: var(--wash); font-weight: 620; }
input { position: absolute; inset: 0; margin: 0; opacity: 0; cursor: pointer; }
label:has(:focus-visible) { outline: 2px solid var(--accent); outline-offset: 2px; }
.does { margin: 0.3rem 0 0; font-size: 0.86rem; color: var(--soft-ink); line-height: 1.35; }
</style>

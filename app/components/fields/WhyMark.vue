<script setup lang="ts">
import { ref, useId } from 'vue'
import type { CardId } from '~~/core/things/entry/cards'
import { useHand } from '~/composables/useHand'

/** Explanation of a word of the craft, behind a `?`: told below it until it is closed again. */
defineProps<{ word: string, why: string, card?: CardId | undefined }>()
const open = ref(false)
const hand = useHand()
const id = useId()
</script>

<template>
  <span class="why">
    <button
      type="button"
      :aria-label="`What is meant by ${word}?`"
      :aria-expanded="open"
      :aria-controls="id"
      @click.prevent="open = !open"
      @keydown.esc="open = false"
    >?</button>
    <span
      v-if="open"
      :id="id"
      class="told"
      role="status"
    >{{ why }}</span>
    <LazyEntryCards
      v-if="open && card"
      class="drawn"
      :cards="[card]"
      :left-handed="hand === 'left'"
    />
  </span>
</template>

<style scoped>
.why { display: inline; }
button {
  width: 1.5rem; height: 1.5rem; padding: 0; border: 1px solid var(--strong-line); border-radius: 50%; background: none; color: inherit;
  font: 600 0.82rem var(--v-font-body); cursor: pointer;
}
button:hover, button[aria-expanded='true'] { border-color: var(--accent); color: var(--accent); }
.told {
  display: block; margin-top: 0.25rem; padding: 0.4rem 0.6rem; border-left: 3px solid var(--accent); background: var(--wash);
  color: var(--ink); font-size: 0.86rem; line-height: 1.4;
}
@media (pointer: coarse) { button { width: 2.75rem; height: 2.75rem; } }
</style>

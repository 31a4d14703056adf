<script setup lang="ts">
import { ref, useId } from 'vue'
import type { CardId } from '~~/core/things/entry/cards'
import { useHand } from '~/composables/useHand'

/** How something is worked, drawn on cards that are fetched once somebody asks. */
defineProps<{ cards: readonly CardId[], of: string }>()
const open = ref(false)
const hand = useHand()
const id = useId()
</script>

<template>
  <div class="how">
    <button
      type="button"
      :aria-label="`Where the hook goes: ${of}`"
      :aria-expanded="open"
      :aria-controls="id"
      @click="open = !open"
      @keydown.esc="open = false"
    >
      Where the hook goes
    </button>
    <LazyEntryCards
      v-if="open"
      :id="id"
      :cards="cards"
      :left-handed="hand === 'left'"
    />
  </div>
</template>

<style scoped>
button {
  min-height: 1.75rem; padding: 0; border: 0; background: none; color: var(--accent); font: inherit; font-size: 0.86rem; font-weight: 560;
  text-decoration: underline; text-underline-offset: 0.2em; cursor: pointer;
}
@media (pointer: coarse) { button { min-height: 2.75rem; } }
</style>

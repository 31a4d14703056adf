<script setup lang="ts">
import type { useTapKeys } from '~/composables/useTapKeys'

/** The next act of the hook, in the letters of a road sign; what must not be missed, and what comes then. All of it is one button. */
defineProps<{
  going: boolean
  where: string
  now: string
  letters: number
  watchFor: readonly { readonly what: string, readonly now: boolean, readonly when: string }[]
  lead: string
  then: string
  hands: ReturnType<typeof useTapKeys>
}>()
</script>

<template>
  <button
    type="button"
    class="beat"
    data-beat
    :disabled="!going"
    :aria-label="going ? `Done: ${now}` : 'All is done'"
    @pointerdown="hands.pointerdown"
    @pointerup="hands.pointerup"
    @pointercancel="hands.pointercancel"
    @pointerleave="hands.pointerleave"
    @click="hands.click"
    @contextmenu.prevent
  >
    <span class="where">{{ where }}</span>
    <span
      class="now"
      :style="{ fontSize: `${letters}px` }"
    >{{ now }}</span>
    <span
      v-for="one in watchFor"
      :key="one.what"
      class="coming"
      :class="{ urgent: one.now }"
    >
      <strong>{{ one.when }}:</strong> {{ one.what }}
    </span>
    <span
      v-if="lead && watchFor.length === 0"
      class="coming"
    >{{ lead }}</span>
    <span class="then">{{ then }}</span>
  </button>
</template>

<style scoped>
.beat {
  position: absolute; inset: 20px; display: flex; flex-direction: column; align-items: center; justify-content: center;
  gap: min(0.5rem, 1.4vh); padding: 0.5rem; border: 0; border-radius: 1.5rem; background: none; color: inherit; text-align: center;
  cursor: pointer; overflow: hidden;
}
.beat:active { background: var(--wash); }
.where { font: 600 min(1.1rem, 3.4vh, 5vw) var(--figures); letter-spacing: -0.03em; color: var(--soft-ink); min-height: 1.2em; }
.now { font-family: var(--v-font-body); font-weight: 650; line-height: 1.08; letter-spacing: -0.015em; text-wrap: balance; }
.coming {
  max-width: 100%; padding: 0.2rem 0.6rem; border: 1px solid var(--strong-line); border-radius: 0.5rem;
  font-size: max(14px, min(1rem, 2.6vh, 4.6vw)); font-weight: 400; line-height: 1.25; letter-spacing: 0; display: -webkit-box;
  -webkit-line-clamp: 3; -webkit-box-orient: vertical; overflow: hidden;
}
.coming.urgent { border: 2px solid var(--accent); color: var(--accent); font-weight: 600; }
.then {
  color: var(--soft-ink); font-size: max(14px, min(1rem, 2.6vh, 4.6vw)); line-height: 1.25; display: -webkit-box;
  -webkit-line-clamp: 2; -webkit-box-orient: vertical; overflow: hidden;
}
@media (--beside) { .where, .coming, .then { font-size: 1.25rem; } }
</style>

<script setup lang="ts">
import { ref } from 'vue'

/** Questions that are seldom asked: folded away behind what they stand at now. */
defineProps<{ title: string, now: string }>()
/** A section that is made when it is opened. */
const opened = ref(false)
const toggled = (event: Event) => (opened.value = opened.value || (event.target as HTMLDetailsElement).open)
</script>

<template>
  <details
    class="folded"
    @toggle="toggled"
  >
    <summary><strong>{{ title }}</strong> <span>{{ now }}</span></summary>
    <div
      v-if="opened"
      class="inside"
    >
      <slot />
    </div>
  </details>
</template>

<style scoped>
.folded { border-top: 1px solid var(--line); border-bottom: 1px solid var(--line); }
.folded + .folded { margin-top: -0.95rem; border-top: 0; }
summary { padding: 0.55rem 0.1rem; cursor: pointer; font-size: 0.92rem; }
summary:focus-visible { outline: 2px solid var(--accent); outline-offset: 2px; }
summary span { color: var(--soft-ink); }
.inside { display: flex; flex-direction: column; gap: 0.95rem; padding: 0.4rem 0 1rem; }
</style>

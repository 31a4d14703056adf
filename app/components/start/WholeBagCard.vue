<script setup lang="ts">
import type { Portrait } from '~~/core/readers/chart/portrait'

/** A whole bag to begin with, drawn in the maker's own gauge. */
defineProps<{ name: string, does: string, portrait: Portrait }>()
const emit = defineEmits<{ choose: [] }>()
</script>

<template>
  <li>
    <button
      type="button"
      @click="emit('choose')"
    >
      <BagPortrait :portrait="portrait" />
      <strong>{{ name }}</strong>
      <span class="soft">{{ does }}</span>
    </button>
  </li>
</template>

<style scoped>
button {
  display: flex; flex-direction: column; gap: 0.25rem; width: 100%; height: 100%; padding: 0.8rem; text-align: left; cursor: pointer;
  background: var(--sheet); border: 1px solid var(--line); border-radius: 6px; font: inherit; color: inherit;
}
button:hover { border-color: var(--accent); }
strong { font-family: var(--v-font-heading); font-size: 1.15rem; margin-top: 0.3rem; }
.soft { font-size: 0.88rem; }
</style>

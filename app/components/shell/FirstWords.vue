<script setup lang="ts">
import { ref } from 'vue'
import { useSettings } from '~/stores/settings'

/** Asked once, before the first bag: terms, measures, hand. What is left as it stands is remembered too. */
const settings = useSettings()
const asking = ref(settings.units === undefined || settings.hands === undefined)

function done(): void {
  settings.units ??= 'cm'
  settings.hands ??= 'right'
  asking.value = false
}
</script>

<template>
  <section
    v-if="asking"
    class="first"
    aria-label="How you work"
  >
    <h2>How do you work?</h2>
    <div class="three">
      <SettingsFields />
    </div>
    <v-btn
      variant="tonal"
      color="primary"
      @click="done"
    >
      That is how I work
    </v-btn>
  </section>
</template>

<style scoped>
.first {
  display: flex; flex-direction: column; align-items: flex-start; gap: 0.9rem; padding: 1.1rem 1.3rem;
  border: 1px solid var(--strong-line); border-left: 4px solid var(--accent); border-radius: 4px; background: var(--sheet);
}
.three { display: flex; flex-wrap: wrap; gap: 1rem 2.4rem; }
</style>

<script setup lang="ts">
import type { Shortcut } from '~/composables/useShortcuts'

defineProps<{ shortcuts: readonly Shortcut[] }>()
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <v-dialog
    v-model="open"
    max-width="420"
    aria-labelledby="keys-title"
  >
    <section class="keys">
      <h2 id="keys-title">
        Keys
      </h2>
      <dl>
        <div
          v-for="{ key, does } in shortcuts"
          :key="key"
        >
          <dt><kbd>{{ key }}</kbd></dt>
          <dd>{{ does }}</dd>
        </div>
      </dl>
      <v-btn
        variant="tonal"
        color="primary"
        @click="open = false"
      >
        Close
      </v-btn>
    </section>
  </v-dialog>
</template>

<style scoped>
.keys { background: var(--sheet); color: var(--ink); padding: 1.4rem; border-radius: 0.6rem; border: 1px solid var(--strong-line); }
dl { margin: 1rem 0; }
dl div { display: flex; gap: 0.9rem; padding: 0.28rem 0; border-bottom: 1px solid var(--line); }
dt { min-width: 2.2rem; }
kbd { font-family: var(--figures); border: 1px solid var(--strong-line); border-bottom-width: 2px; border-radius: 4px; padding: 0 0.5em; }
dd { margin: 0; }
</style>

<script setup lang="ts">
import { useReturnFocus } from '~/composables/useReturnFocus'
import type { Shortcut } from '~/composables/useShortcuts'
import { useSettings } from '~/stores/settings'

defineProps<{ shortcuts: readonly Shortcut[] }>()
const open = defineModel<boolean>({ required: true })
useReturnFocus(open)
const settings = useSettings()
</script>

<template>
  <v-dialog
    v-model="open"
    max-width="680"
    aria-labelledby="keys-title"
  >
    <section class="keys">
      <h2 id="keys-title">
        Keys
      </h2>
      <p
        v-if="!settings.letterKeys"
        class="soft"
      >
        Single letters are switched off in Settings: those with Ctrl work.
      </p>
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
.keys {
  max-height: 92dvh; overflow-y: auto; background: var(--sheet); color: var(--ink); padding: 1.4rem; border-radius: 0.6rem;
  border: 1px solid var(--strong-line);
}
dl { margin: 1rem 0; columns: 2 16rem; column-gap: 1.6rem; }
dl div { break-inside: avoid; }
dl div { display: flex; gap: 0.9rem; padding: 0.28rem 0; border-bottom: 1px solid var(--line); }
dt { min-width: 2.2rem; }
kbd { font-family: var(--figures); border: 1px solid var(--strong-line); border-bottom-width: 2px; border-radius: 4px; padding: 0 0.5em; }
dd { margin: 0; }
</style>

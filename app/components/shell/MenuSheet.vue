<script setup lang="ts">
import { useReturnFocus } from '~/composables/useReturnFocus'
import { SCREENS } from './screens'

/** Everything that the bar has no room for on a phone. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ settings: [], keys: [], jump: [] }>()
useReturnFocus(open)

function then(what: 'settings' | 'keys' | 'jump'): void {
  open.value = false
  if (what === 'settings') emit('settings')
  else if (what === 'keys') emit('keys')
  else emit('jump')
}
</script>

<template>
  <v-dialog
    v-model="open"
    max-width="420"
    aria-labelledby="menu-title"
    scrollable
  >
    <section class="menu">
      <h2 id="menu-title">
        Menu
      </h2>
      <nav aria-label="All screens">
        <NuxtLink
          v-for="{ name, does, to } in SCREENS"
          :key="to"
          :to="to"
          @click="open = false"
        >
          <strong>{{ name }}</strong> <span class="soft">{{ does }}</span>
        </NuxtLink>
      </nav>
      <div class="verbs">
        <v-btn
          variant="outlined"
          @click="then('jump')"
        >
          Go to …
        </v-btn>
        <v-btn
          variant="outlined"
          @click="then('settings')"
        >
          Settings
        </v-btn>
        <v-btn
          variant="outlined"
          @click="then('keys')"
        >
          Keys
        </v-btn>
        <v-btn
          variant="tonal"
          color="primary"
          @click="open = false"
        >
          Close
        </v-btn>
      </div>
    </section>
  </v-dialog>
</template>

<style scoped>
.menu {
  max-height: 92dvh; overflow-y: auto; background: var(--sheet); color: var(--ink); padding: 1.2rem; border-radius: 0.6rem;
  border: 1px solid var(--strong-line);
}
nav { display: flex; flex-direction: column; margin: 0.6rem 0 1rem; }
a {
  display: flex; flex-wrap: wrap; gap: 0 0.6rem; align-items: baseline; min-height: 2.75rem; padding: 0.5rem 0;
  border-bottom: 1px solid var(--line); color: inherit; text-decoration: none;
}
a:hover strong { text-decoration: underline; }
a .soft { font-size: 0.86rem; }
.verbs { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.verbs :deep(.v-btn) { min-height: 2.75rem; }
</style>

<script setup lang="ts">
import { useReturnFocus } from '~/composables/useReturnFocus'
import { type Light, useSettings } from '~/stores/settings'

/** The maker's settings, once for all bags. */
const open = defineModel<boolean>({ required: true })
const settings = useSettings()
useReturnFocus(open)
</script>

<template>
  <v-dialog
    v-model="open"
    max-width="440"
    scrollable
    aria-labelledby="settings-title"
  >
    <section class="settings">
      <h2 id="settings-title">
        Settings
      </h2>
      <p class="soft">
        Kept by this browser. A bag keeps its own measures and hand: change those under “How you work”.
      </p>
      <SettingsFields />
      <ChoiceField
        label="Repeats are written"
        :value="settings.repeats"
        :choices="[
          { value: 'brackets', name: '[ … ] 4 times' },
          { value: 'asterisk', name: '*…; rep from *' },
        ]"
        @change="settings.repeats = $event as 'brackets' | 'asterisk'"
      />
      <ChoiceField
        label="Light"
        :value="settings.light"
        :choices="[{ value: 'machine', name: 'as this machine' }, { value: 'light', name: 'by day' }, { value: 'dark', name: 'by lamp' }]"
        @change="settings.light = $event as Light"
      />
      <label class="check"><input
        v-model="settings.letterKeys"
        type="checkbox"
      > Single letters do something (those with Ctrl always do)</label>
      <v-btn
        variant="tonal"
        color="primary"
        @click="open = false"
      >
        Done
      </v-btn>
    </section>
  </v-dialog>
</template>

<style scoped>
.settings {
  display: flex; flex-direction: column; gap: 1rem; max-height: 92dvh; overflow-y: auto; background: var(--sheet); color: var(--ink);
  padding: 1.4rem; border-radius: 0.6rem; border: 1px solid var(--strong-line);
}
p { margin: 0; }
.check { display: flex; gap: 0.5rem; align-items: center; min-height: 2rem; }
.check input { width: 1.2rem; height: 1.2rem; accent-color: var(--accent); }
</style>

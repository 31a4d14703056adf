<script setup lang="ts">
import { mdiAlertCircleOutline, mdiCheck, mdiDotsHorizontal } from '@mdi/js'
import { computed } from 'vue'
import type { Phase } from '~/keeping/send/bagSending'
import { useSaving } from '~/stores/saving'

const saving = useSaving()
const SAYS: Record<Phase, string> = {
  saved: 'Saved', waiting: 'Saving', sending: 'Saving', asking: 'Saving', failed: 'Not saved, trying again', overtaken: 'Not saved',
  refused: 'Not saved',
}
const bad = computed(() => ['failed', 'overtaken', 'refused'].includes(saving.state))
const icon = computed(() => (bad.value ? mdiAlertCircleOutline : saving.state === 'saved' ? mdiCheck : mdiDotsHorizontal))
</script>

<template>
  <span
    class="saved"
    :class="{ bad }"
    role="status"
    :data-saving="saving.state"
  >
    <v-icon
      :icon="icon"
      size="18"
    />
    <span class="text">{{ SAYS[saving.state] }}</span>
  </span>
</template>

<style scoped>
.saved {
  display: inline-flex; align-items: center; gap: 0.3rem; color: var(--soft-ink); font-size: 0.9rem; margin-right: 0.4rem;
  min-width: 5rem; justify-content: flex-end;
}
.bad { color: rgb(var(--v-theme-error)); font-weight: 620; }
@media (--one-column) { .saved { min-width: 0; } .text { display: none; } .bad .text { display: inline; } }
@media (--smallest) { .saved { margin-right: 0; } .bad .text { display: none; } }
</style>

<script setup lang="ts">
import { mdiAlertCircleOutline } from '@mdi/js'

defineProps<{ lines: readonly string[], title?: string }>()
</script>

<template>
  <div
    v-if="lines.length > 0"
    class="trouble"
    role="alert"
  >
    <v-icon
      :icon="mdiAlertCircleOutline"
      size="22"
    />
    <div>
      <strong v-if="title">{{ title }}</strong>
      <p
        v-for="line in lines.slice(0, 8)"
        :key="line"
      >
        {{ line }}
      </p>
      <p v-if="lines.length > 8">
        and {{ lines.length - 8 }} more
      </p>
      <slot />
    </div>
  </div>
</template>

<style scoped>
.trouble {
  display: flex; gap: 0.7rem; padding: 0.7rem 0.9rem; border: 1px solid rgb(var(--v-theme-error)); border-left-width: 5px;
  border-radius: 4px; background: var(--sheet); color: var(--ink);
}
.trouble :deep(.v-icon) { color: rgb(var(--v-theme-error)); }
p { margin: 0.1rem 0; overflow-wrap: anywhere; }
</style>

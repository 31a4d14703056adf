<script setup lang="ts">
/** A button that shows a sign alone: always with a name that is spoken, shown as a hint too; as large as a thumb needs where one points. */
withDefaults(defineProps<{ icon: string, name: string, hint?: string | undefined, size?: string }>(), { hint: undefined, size: 'small' })
</script>

<template>
  <v-btn
    :icon="icon"
    :size="size"
    :aria-label="name"
    :title="hint ?? name"
    class="icon-button"
  />
</template>

<style scoped>
@media (pointer: coarse) { .icon-button { width: 2.75rem; height: 2.75rem; } }
</style>

<script setup lang="ts">
/** Says for a while what was just deleted, and restores it. */
defineProps<{ name: string | undefined }>()
const emit = defineEmits<{ back: [], close: [] }>()
</script>

<template>
  <v-snackbar
    :model-value="name !== undefined"
    :timeout="12000"
    @update:model-value="$event || emit('close')"
  >
    {{ name }} is deleted. You can restore it for 60 days.
    <template #actions>
      <v-btn @click="emit('back')">
        Restore
      </v-btn>
    </template>
  </v-snackbar>
</template>

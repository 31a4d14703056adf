<script setup lang="ts">
/** Says for a while what was just thrown away, and brings it back. */
defineProps<{ name: string | undefined }>()
const emit = defineEmits<{ back: [], close: [] }>()
</script>

<template>
  <v-snackbar
    :model-value="name !== undefined"
    :timeout="12000"
    @update:model-value="$event || emit('close')"
  >
    {{ name }} lies aside for 60 days.
    <template #actions>
      <v-btn @click="emit('back')">
        Bring it back
      </v-btn>
    </template>
  </v-snackbar>
</template>

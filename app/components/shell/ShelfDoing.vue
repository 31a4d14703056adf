<script setup lang="ts">
import { mdiDeleteOutline, mdiPencilOutline, mdiTrayArrowUp } from '@mdi/js'

/** What can be done with one thing of a shelf: saved to a file, changed if it can be read, thrown away. */
defineProps<{ name: string, file: string, readable: boolean }>()
const emit = defineEmits<{ change: [], remove: [] }>()
</script>

<template>
  <div class="doing">
    <v-btn
      :icon="mdiTrayArrowUp"
      size="small"
      :href="file"
      :aria-label="`Download ${name}`"
      title="Download"
    />
    <v-btn
      v-if="readable"
      :icon="mdiPencilOutline"
      size="small"
      :aria-label="`Change ${name}`"
      title="Change"
      @click="emit('change')"
    />
    <v-btn
      :icon="mdiDeleteOutline"
      size="small"
      :aria-label="`Delete ${name}`"
      title="Delete"
      @click="emit('remove')"
    />
  </div>
</template>

<style scoped>
.doing { flex: none; }
</style>

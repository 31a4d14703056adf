<script setup lang="ts">
import { mdiDeleteOutline, mdiPencilOutline, mdiTrayArrowUp } from '@mdi/js'

/** Buttons for one thing of a list: saved to a file, changed if it can be read, thrown away. */
defineProps<{ name: string, file: string, readable: boolean }>()
const emit = defineEmits<{ change: [], remove: [] }>()
</script>

<template>
  <div class="doing">
    <IconButton
      :icon="mdiTrayArrowUp"
      :href="file"
      :name="`Download ${name}`"
      hint="Download"
    />
    <IconButton
      v-if="readable"
      :icon="mdiPencilOutline"
      :name="`Change ${name}`"
      hint="Change"
      @click="emit('change')"
    />
    <IconButton
      :icon="mdiDeleteOutline"
      :name="`Delete ${name}`"
      hint="Delete"
      @click="emit('remove')"
    />
  </div>
</template>

<style scoped>
.doing { flex: none; }
</style>

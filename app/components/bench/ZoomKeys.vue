<script setup lang="ts">
import { mdiFitToPageOutline, mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js'

/** Looking closer at the drawing, by hand. */
defineProps<{ near: boolean }>()
const emit = defineEmits<{ closer: [], further: [], fit: [] }>()
</script>

<template>
  <div
    class="zoom"
    role="group"
    aria-label="Look at the drawing"
  >
    <IconButton
      :icon="mdiMagnifyPlusOutline"
      name="Enlarge the drawing"
      hint="Enlarge (+)"
      @click="emit('closer')"
    />
    <template v-if="near">
      <IconButton
        :icon="mdiMagnifyMinusOutline"
        name="Make the drawing smaller"
        hint="Smaller (-)"
        @click="emit('further')"
      />
      <IconButton
        :icon="mdiFitToPageOutline"
        name="The whole drawing"
        hint="The whole drawing (0)"
        @click="emit('fit')"
      />
    </template>
  </div>
</template>

<style scoped>
.zoom {
  position: absolute; left: 0.5rem; top: 0.5rem; display: flex; flex-direction: column; gap: 0.15rem; border-radius: 1.4rem;
  background: color-mix(in srgb, var(--paper), transparent 25%);
}
</style>

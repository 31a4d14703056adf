<script setup lang="ts">
import { useLibrary } from '~/stores/library'

/** Work on all that is kept, and its result. */
const library = useLibrary()
</script>

<template>
  <div role="status">
    <WorkProgress
      v-if="library.busy"
      :words="library.work.words"
      :standing="library.work.standing"
      :can-end="library.work.off !== undefined"
      @end="library.work.off?.abort()"
    />
    <span
      v-else
      class="done"
    >{{ library.done }}</span>
  </div>
</template>

<style scoped>
.done { font-weight: 600; color: var(--accent); }
</style>

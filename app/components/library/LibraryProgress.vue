<script setup lang="ts">
import { useLibrary } from '~/stores/library'

/** Work on all that is kept, and its result. */
const house = useLibrary()
</script>

<template>
  <div role="status">
    <WorkProgress
      v-if="house.busy"
      :words="house.work.words"
      :standing="house.work.standing"
      :can-end="house.work.off !== undefined"
      @end="house.work.off?.abort()"
    />
    <span
      v-else
      class="done"
    >{{ house.done }}</span>
  </div>
</template>

<style scoped>
.done { font-weight: 600; color: var(--accent); }
</style>

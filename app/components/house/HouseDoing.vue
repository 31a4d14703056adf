<script setup lang="ts">
import { useHouse } from '~/stores/house'

/** What is being done with all that is kept, and what came of it; what only looks can be called off. */
const house = useHouse()
</script>

<template>
  <div
    role="status"
    class="doing"
  >
    <template v-if="house.doingNow">
      <span>{{ house.doingNow }}</span>
      <progress :aria-label="house.doingNow" />
      <v-btn
        v-if="house.off"
        size="small"
        variant="outlined"
        @click="house.off.abort()"
      >
        Call it off
      </v-btn>
    </template>
    <span v-else>{{ house.done }}</span>
  </div>
</template>

<style scoped>
.doing { display: flex; flex-wrap: wrap; gap: 0.8rem; align-items: center; font-weight: 600; color: var(--accent); }
.doing:not(:has(span:not(:empty))) { display: none; }
progress { flex: 0 1 12rem; height: 1.2rem; accent-color: var(--accent); }
</style>

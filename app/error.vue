<script setup lang="ts">
import { computed } from 'vue'
import type { NuxtError } from '#app'

/** Shown where there is no screen at all: an address that leads nowhere, or a mistake that took the page along. */
const props = defineProps<{ error: NuxtError }>()
const unknown = computed(() => props.error.statusCode === 404)
</script>

<template>
  <v-app>
    <main>
      <div
        v-if="unknown"
        class="unknown"
      >
        <h1>There is nothing here</h1>
        <p>The address leads nowhere; a bag that was deleted may still be restored.</p>
        <div class="row">
          <WaysOut />
        </div>
      </div>
      <PageBroken
        v-else
        @again="clearError()"
      />
    </main>
  </v-app>
</template>

<style scoped>
.unknown { max-width: 46rem; margin: 0 auto; padding: 3rem 1.4rem; }
.row { display: flex; gap: 0.6rem; }
</style>

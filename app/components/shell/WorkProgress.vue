<script setup lang="ts">
import { computed } from 'vue'
import type { Standing } from '~/stores/longWork'

/** Work that lasts: what it is, how it stands, and a button that calls it off where it can be. */
const { words, standing, canEnd } = defineProps<{ words: string, standing: Standing | null, canEnd: boolean }>()
defineEmits<{ end: [] }>()

const before = computed(() => (standing && 'before' in standing ? standing.before : 0))
const share = computed(() => (standing && 'share' in standing ? standing.share : null))
const waits = computed(() => before.value === 1 ? 'One thing is done before it.' : `${before.value} things are done before it.`)
</script>

<template>
  <div class="doing">
    <span>{{ words }} <template v-if="before > 0">{{ waits }}</template></span>
    <progress
      :aria-label="words"
      :max="1"
      v-bind="share === null ? {} : { value: share }"
    />
    <span
      v-if="share !== null"
      aria-hidden="true"
      class="share"
    >{{ Math.round(100 * share) }} %</span>
    <v-btn
      v-if="canEnd"
      size="small"
      variant="outlined"
      @click="$emit('end')"
    >
      Call it off
    </v-btn>
  </div>
</template>

<style scoped>
.doing { display: flex; flex-wrap: wrap; gap: 0.8rem; align-items: center; font-weight: 600; color: var(--accent); }
progress { flex: 0 1 12rem; height: 1.2rem; accent-color: var(--accent); }
.share { min-width: 4ch; text-align: right; }
</style>

<script setup lang="ts">
/** A question about a figure that can hardly be meant: what was meant instead, or that it is so. */
defineProps<{
  what: string
  /** The figure that may have been meant, if a slip explains the one typed. */
  instead?: string | undefined
  /** The figure as it was typed. */
  typed: string
}>()
const emit = defineEmits<{ instead: [], sure: [] }>()
</script>

<template>
  <div
    role="alert"
    class="doubt"
  >
    <p>{{ what }}</p>
    <TouchButton
      v-if="instead"
      @click="emit('instead')"
    >
      {{ instead }}
    </TouchButton>
    <TouchButton
      @click="emit('sure')"
    >
      It is so: {{ typed }}
    </TouchButton>
  </div>
</template>

<style scoped>
.doubt {
  border: 2px solid var(--accent); border-radius: 0.6rem; padding: 0.5rem 0.8rem 0.7rem; display: flex; flex-wrap: wrap; gap: 0.5rem;
}
.doubt p { flex: 1 1 100%; margin: 0; font-weight: 560; }
</style>

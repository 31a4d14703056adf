<script setup lang="ts">
import type { Yarn } from '~~/core/bag/design/design'

defineProps<{ yarns: readonly Yarn[], value: string }>()
const emit = defineEmits<{ change: [id: string] }>()
</script>

<template>
  <PickField
    label="Yarn"
    :model-value="value"
    :items="yarns.map(yarn => ({ value: yarn.id, title: yarn.name }))"
    @update:model-value="emit('change', $event)"
  >
    <span
      class="dot"
      :style="{ background: yarns.find(({ id }) => id === value)?.colour }"
    />
  </PickField>
</template>

<style scoped>
.dot { width: 1.1rem; height: 1.1rem; border-radius: 50%; border: 1px solid var(--strong-line); margin: 0 -0.5rem 0 0.8rem; }
</style>

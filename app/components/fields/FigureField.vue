<script setup lang="ts">
import { useId } from 'vue'

/** A field for a figure: tabular digits, the unit behind it, and what is wrong with it below. */
defineProps<{ label: string, text: string, suffix?: string | undefined, trouble: string }>()
const emit = defineEmits<{ type: [text: string], focus: [], blur: [] }>()
const id = useId()
</script>

<template>
  <v-text-field
    :id="id"
    :label="label"
    :model-value="text"
    :suffix="suffix"
    :error-messages="trouble"
    :aria-invalid="trouble ? 'true' : undefined"
    inputmode="decimal"
    autocomplete="off"
    class="figure-field"
    @focus="emit('focus')"
    @blur="emit('blur')"
    @update:model-value="emit('type', $event)"
  />
</template>

<style scoped>
.figure-field :deep(input) { font-family: var(--figures); }
</style>

<script setup lang="ts">
/** An input for a number as text, for a thumb; its parent parses and checks it. As tall as `--control-height`. */
defineProps<{ whole?: boolean }>()
const typed = defineModel<string>({ required: true })
</script>

<template>
  <input
    v-model="typed"
    :inputmode="whole ? 'numeric' : 'decimal'"
    autocomplete="off"
  >
</template>

<style scoped>
input {
  width: 6.5rem; max-width: 100%; height: var(--control-height); padding: 0 0.5rem; text-align: center; color: inherit;
  font: 600 calc(var(--control-height) * 0.43) var(--figures); background: var(--paper); border: 1px solid var(--strong-line);
  border-radius: var(--control-radius);
}
</style>

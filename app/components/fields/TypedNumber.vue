<script setup lang="ts">
/** A number typed with a thumb, as text: what it means and whether it can be is for whoever asks. Its height follows `--press`. */
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
  width: 6.5rem; max-width: 100%; height: var(--press); padding: 0 0.5rem; text-align: center; color: inherit;
  font: 600 calc(var(--press) * 0.43) var(--figures); background: var(--paper); border: 1px solid var(--strong-line);
  border-radius: var(--round);
}
</style>

<script setup lang="ts">
/** Notes, or steps one after the other, under a heading; nothing if there are none. */
defineProps<{ title: string, lines: readonly string[], numbered?: boolean }>()
</script>

<template>
  <section v-if="lines.length > 0">
    <h2 class="ruled">
      {{ title }}
    </h2>
    <component :is="numbered ? 'ol' : 'ul'">
      <li
        v-for="text in lines"
        :key="text"
      >
        {{ text }}
      </li>
    </component>
  </section>
</template>

<style scoped>
section { margin-top: 1.5rem; }
ul, ol { margin: 0; padding-left: 1.2rem; }
li { padding: 0.12rem 0; break-inside: avoid; }
@media print { h2 { break-after: avoid; } }
</style>

<script setup lang="ts">
/** Short forms beside what they stand for; facts beside their names. */
defineProps<{ terms: readonly { readonly short: string, readonly long: string }[] }>()
</script>

<template>
  <dl>
    <div
      v-for="{ short, long } in terms"
      :key="short"
    >
      <dt>{{ short }}</dt>
      <dd>{{ long }}</dd>
    </div>
  </dl>
</template>

<style scoped>
dl { margin: 0.6rem 0 0; }
div { display: grid; grid-template-columns: 7.2rem 1fr; padding: 0.18rem 0; break-inside: avoid; }
dt { font-weight: 600; }
dd { margin: 0; }
@media (--phone) { div { grid-template-columns: 5.2rem 1fr; } }
</style>

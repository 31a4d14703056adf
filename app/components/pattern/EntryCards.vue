<script setup lang="ts">
import { type CardId, cardOf } from '~~/core/things/entry/cards'

/** Where the hook goes: cards side by side. */
defineProps<{ cards: readonly CardId[], leftHanded?: boolean }>()
</script>

<template>
  <div class="cards">
    <EntryCard
      v-for="id in cards"
      :key="id"
      :card="cardOf(id)"
      :left-handed="leftHanded"
    />
  </div>
</template>

<style scoped>
.cards { display: grid; grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr)); gap: 1.4rem 1.6rem; margin-top: 0.8rem; }
</style>

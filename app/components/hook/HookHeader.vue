<script setup lang="ts">
import { mdiArrowLeft, mdiDotsHorizontal, mdiEyeOutline } from '@mdi/js'

/** Which round of how many, of which part; the way out, and to what is not done every minute. */
defineProps<{ name: string | undefined, title: string, part: string, compares: boolean }>()
const emit = defineEmits<{ looks: [], more: [] }>()
</script>

<template>
  <header>
    <IconButton
      size="default"
      to="/"
      :icon="mdiArrowLeft"
      name="All bags"
    />
    <h1 v-if="name">
      <span class="round">{{ title }}</span>
      <span class="part">{{ part }}</span>
    </h1>
    <PostMark />
    <IconButton
      size="default"
      :icon="mdiEyeOutline"
      name="Is it meant to look like this?"
      :disabled="!compares"
      @click="emit('looks')"
    />
    <IconButton
      size="default"
      :icon="mdiDotsHorizontal"
      name="More"
      @click="emit('more')"
    />
  </header>
</template>

<style scoped>
header { display: flex; align-items: center; gap: 0.25rem; min-width: 0; }
h1 {
  flex: 1; min-width: 0; display: flex; flex-wrap: wrap; align-items: baseline; column-gap: 0.6rem; font-size: min(1.15rem, 5.4vw);
  line-height: 1.15;
}
.part {
  color: var(--soft-ink); font: 400 min(0.95rem, 4.4vw) var(--v-font-body); max-width: 100%; overflow-wrap: anywhere;
}
@media (--beside) { h1 { font-size: 1.5rem; } .part { font-size: 1.1rem; } }
</style>

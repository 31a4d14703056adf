<script setup lang="ts">
import { mdiAlert, mdiAlertOctagon, mdiEyeOutline } from '@mdi/js'
import { computed } from 'vue'
import type { Finding } from '~~/core/parts/part/finding'
import { type FindingCount, countByWeight, countedWords } from '~~/core/parts/part/worst'

/** How much there is to watch at a part: the sign of the worst, and how many there are in all. */
const props = defineProps<{ findings: readonly Finding[] }>()
const ICONS: Readonly<Record<FindingCount['weight'], string>> = { stop: mdiAlertOctagon, caution: mdiAlert, watch: mdiEyeOutline }
const counted = computed(() => countByWeight(props.findings))
const all = computed(() => counted.value.reduce((sum, { number }) => sum + number, 0))
</script>

<template>
  <span
    v-if="counted[0]"
    class="found"
    :class="counted[0].weight"
    :title="countedWords(counted)"
  ><v-icon
    :icon="ICONS[counted[0].weight]"
    size="16"
    aria-hidden="true"
  /><span aria-hidden="true">{{ all }}</span><span class="only-heard">({{ countedWords(counted) }})</span></span>
</template>

<style scoped>
.found {
  display: inline-flex; align-items: center; gap: 0.1rem; font-family: var(--figures); font-size: 0.82rem; font-weight: 600;
  color: rgb(var(--v-theme-warning));
}
.caution, .stop { color: rgb(var(--v-theme-error)); }
</style>

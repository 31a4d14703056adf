<script setup lang="ts">
import { computed } from 'vue'

/** One bag of an order, small: as full as it is made; its outline says whether it is ready in time. */
const props = defineProps<{ share: number, stands: 'finished' | 'sure' | 'open' | 'late' }>()

const TOP = 7
const BOTTOM = 21
const level = computed(() => BOTTOM - props.share * (BOTTOM - TOP))
const BAG = `M3 ${TOP}H17L15.5 ${BOTTOM}H4.5Z`
</script>

<template>
  <svg
    viewBox="0 0 20 24"
    width="20"
    height="24"
    :class="stands"
    aria-hidden="true"
  >
    <path
      d="M6.5 7V5.5A3.5 3.5 0 0 1 13.5 5.5V7"
      class="line"
    />
    <path
      v-if="share > 0"
      :d="`M${3 + (level - TOP) * 0.107} ${level}H${17 - (level - TOP) * 0.107}L15.5 ${BOTTOM}H4.5Z`"
      class="made"
    />
    <path
      :d="BAG"
      class="line"
    />
    <path
      v-if="stands === 'late'"
      d="M1 22L19 3"
      class="cross"
    />
  </svg>
</template>

<style scoped>
.line { fill: none; stroke: var(--ink); stroke-width: 1.5; stroke-linejoin: round; }
.made { fill: var(--accent); }
.open .line { stroke-dasharray: 2.4 1.8; }
.late .line { stroke: var(--soft-ink); }
.cross { stroke: rgb(var(--v-theme-error)); stroke-width: 2; fill: none; stroke-linecap: round; }
</style>

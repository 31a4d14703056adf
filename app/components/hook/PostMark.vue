<script setup lang="ts">
import { mdiCheck, mdiCloudOffOutline, mdiDotsHorizontal } from '@mdi/js'
import { computed } from 'vue'
import { usePost } from '~/stores/post'

/** How what was tapped stands with the server: there, on its way, or kept here until the server answers. */
const post = usePost()
const sign = computed(() => (post.state.away ? 'away' : post.state.waiting > 0 ? 'waiting' : 'sent'))
const SAYS = { sent: 'Kept', waiting: 'Sending', away: 'Kept here' } as const
const ICONS = { sent: mdiCheck, waiting: mdiDotsHorizontal, away: mdiCloudOffOutline }
const long = computed(() => post.state.refused
  ? `The program would not take what was tapped; it is kept on this device. ${post.state.refused}`
  : sign.value === 'away' && !post.state.kept
    ? `The program does not answer, and this browser keeps nothing: ${post.state.waiting} taps are on this page alone. Leave it open.`
    : sign.value === 'away'
      ? `The program does not answer. ${post.state.waiting} taps are kept on this device and sent when it does.`
      : SAYS[sign.value])
</script>

<template>
  <span
    class="mark"
    :class="sign"
    role="status"
    :data-post="sign"
    :title="long"
  >
    <svg
      viewBox="0 0 24 24"
      aria-hidden="true"
    ><path :d="ICONS[sign]" /></svg>
    <span class="only-heard">{{ long }}</span>
    <span
      v-if="sign === 'away'"
      aria-hidden="true"
    >{{ post.state.waiting }} {{ post.state.kept ? 'kept here' : 'not kept' }}</span>
  </span>
</template>

<style scoped>
.mark {
  display: inline-flex; align-items: center; gap: 0.3rem; color: var(--soft-ink); font-size: min(0.9rem, 3.6vw); white-space: nowrap;
}
.mark svg { width: 20px; fill: currentColor; }
.away { color: rgb(var(--v-theme-warning)); font-weight: 620; }
</style>

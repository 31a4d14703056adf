<script setup lang="ts">
import { ROUNDNESS } from '~/looks/yarnShade'

/** Light and shade across a round bag, to fill its outline with by this id. */
defineProps<{ id: string }>()
</script>

<template>
  <defs>
    <linearGradient :id="id">
      <stop
        v-for="[offset, colour, opacity] in ROUNDNESS"
        :key="offset"
        :offset="offset"
        :stop-color="colour"
        :stop-opacity="opacity"
      />
    </linearGradient>
  </defs>
</template>

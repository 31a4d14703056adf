<script setup lang="ts">
import { useTakeUp } from '~/composables/useTakeUp'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'

/** The screens of the bag in hand. */
const bag = useDocument()
const saving = useSaving()
const takeUp = useTakeUp()
</script>

<template>
  <template v-if="bag.isOpen">
    <NuxtLink
      :to="`/bags/${saving.id}`"
      class="way"
    >
      Bench
    </NuxtLink>
    <NuxtLink
      :to="`/bags/${saving.id}/pattern`"
      class="way"
    >
      Pattern
    </NuxtLink>
    <button
      type="button"
      class="way take"
      @click="takeUp"
    >
      Take it up
    </button>
  </template>
</template>

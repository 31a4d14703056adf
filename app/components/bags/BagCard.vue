<script setup lang="ts">
import { mdiCalendarMultiselect, mdiContentCopy, mdiDeleteOutline } from '@mdi/js'
import type { ListedBag } from '~/stores/bags'

/** A bag on its shelf, with its facts. */
defineProps<{ bag: ListedBag }>()
const emit = defineEmits<{ copy: [], remove: [] }>()
const { format } = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
</script>

<template>
  <li class="card">
    <NuxtLink
      :to="`/bags/${bag.id}`"
      class="open"
    >
      <BagPortrait :portrait="bag.portrait" />
      <h2>{{ bag.name }}</h2>
    </NuxtLink>
    <p>{{ bag.portrait?.facts ?? 'Being drawn' }}</p>
    <p
      v-if="bag.portrait?.stop"
      class="stops"
    >
      Stops before it is whole
    </p>
    <div class="foot">
      <span class="soft">{{ format(new Date(bag.updatedAt)) }}</span>
      <span>
        <v-btn
          :icon="mdiCalendarMultiselect"
          size="small"
          :to="`/orders/new?bag=${bag.id}`"
          :aria-label="`Several of ${bag.name} by a day`"
          title="Several of it by a day"
        />
        <v-btn
          :icon="mdiContentCopy"
          size="small"
          :aria-label="`Copy ${bag.name}`"
          title="Copy"
          @click="emit('copy')"
        />
        <v-btn
          :icon="mdiDeleteOutline"
          size="small"
          :aria-label="`Delete ${bag.name}`"
          title="Delete"
          @click="emit('remove')"
        />
      </span>
    </div>
  </li>
</template>

<style scoped>
.open { display: block; color: inherit; text-decoration: none; }
h2 { margin: 0.7rem 0 0; overflow-wrap: anywhere; }
.open:hover h2 { color: var(--accent); text-decoration: underline; text-underline-offset: 3px; }
p { margin: 0.15rem 0 0; font-size: 0.88rem; }
.stops { color: rgb(var(--v-theme-error)); font-weight: 600; }
.foot { display: flex; justify-content: space-between; align-items: center; font-size: 0.88rem; }
</style>

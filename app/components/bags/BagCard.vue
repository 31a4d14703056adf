<script setup lang="ts">
import { mdiCalendarMultiselect, mdiContentCopy, mdiDeleteOutline } from '@mdi/js'
import { computed } from 'vue'
import type { ListedBag } from '~/stores/bags'

/** A bag on its shelf, with its facts. */
const props = defineProps<{ bag: ListedBag }>()
/** What is told of it besides: made, promised, its tags. */
const marks = computed(() => [
  ...(props.bag.finished > 0 ? [props.bag.finished === 1 ? 'made once' : `made ${props.bag.finished} times`] : []),
  ...(props.bag.ordered > 0 ? [props.bag.ordered === 1 ? 'in an order' : `in ${props.bag.ordered} orders`] : []),
  ...props.bag.tags,
])
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
      v-if="bag.inHand"
      class="hand"
    >
      <span
        class="bar"
        aria-hidden="true"
      ><span :style="{ width: `${Math.round(bag.inHand.share * 100)}%` }" /></span>
      On the hook: {{ bag.inHand.words }}
    </p>
    <p
      v-if="marks.length > 0"
      class="marks"
    >
      <span
        v-for="mark in marks"
        :key="mark"
      >{{ mark }}</span>
    </p>
    <p
      v-if="bag.portrait?.stop"
      class="stops"
    >
      Stops before it is whole
    </p>
    <div class="foot">
      <span class="soft">{{ format(new Date(bag.updatedAt)) }}</span>
      <span>
        <IconButton
          :icon="mdiCalendarMultiselect"
          :to="`/orders/new?bag=${bag.id}`"
          :name="`Several of ${bag.name} by a day`"
          hint="Several of it by a day"
        />
        <IconButton
          :icon="mdiContentCopy"
          :name="`Copy ${bag.name}`"
          hint="Copy"
          @click="emit('copy')"
        />
        <IconButton
          :icon="mdiDeleteOutline"
          :name="`Delete ${bag.name}`"
          hint="Delete"
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
.hand { display: flex; flex-direction: column; gap: 0.2rem; }
.bar { height: 6px; border: 1px solid var(--strong-line); border-radius: 3px; overflow: hidden; }
.bar span { display: block; height: 100%; background: var(--accent); }
.marks { display: flex; flex-wrap: wrap; gap: 0.3rem; margin-top: 0.35rem; }
.marks span { padding: 0.05rem 0.5rem; border: 1px solid var(--line); border-radius: 1rem; font-size: 0.82rem; overflow-wrap: anywhere; }
</style>

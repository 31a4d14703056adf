<script setup lang="ts">
import { mdiCalendarMultiselect, mdiContentCopy, mdiDeleteOutline } from '@mdi/js'
import { computed } from 'vue'
import type { ListedBag } from '~/stores/bags'

/** A bag on its shelf, with its facts. */
const props = defineProps<{ bag: ListedBag }>()
/** Badges of a bag: made, promised. */
const marks = computed(() => [
  ...(props.bag.finished > 0 ? [props.bag.finished === 1 ? 'made once' : `made ${props.bag.finished} times`] : []),
  ...(props.bag.ordered > 0 ? [props.bag.ordered === 1 ? 'in an order' : `in ${props.bag.ordered} orders`] : []),
])
const emit = defineEmits<{ copy: [], remove: [], seek: [tag: string] }>()
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
      v-if="marks.length + bag.tags.length > 0"
      class="marks"
    >
      <span
        v-for="mark in marks"
        :key="mark"
      >{{ mark }}</span>
      <button
        v-for="tag in bag.tags"
        :key="tag"
        type="button"
        :title="`Bags tagged ${tag}`"
        @click="emit('seek', tag)"
      >
        {{ tag }}
      </button>
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
.marks > * { padding: 0.05rem 0.5rem; border: 1px solid var(--line); border-radius: 1rem; font-size: 0.82rem; overflow-wrap: anywhere; }
.marks button {
  min-height: 1.5rem; border-color: var(--strong-line); background: none; color: inherit; font: inherit; font-size: 0.82rem;
  cursor: pointer;
}
.marks button:hover { border-color: var(--accent); color: var(--accent); }
@media (pointer: coarse) { .marks button { min-height: 2.75rem; padding: 0 0.9rem; } }
</style>

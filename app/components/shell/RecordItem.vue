<script setup lang="ts">
import type { KeptRecord } from '~/stores/records'

/** A kept document in its list: a picture and facts, or why it cannot be read, and what can be done with it. */
defineProps<{
  record: KeptRecord<{ readonly name: string, readonly note: string }>
  what: 'swatch' | 'yarn' | 'order'
  path: 'swatches' | 'yarns' | 'orders'
  /** The page of the document, if it has one. */
  to?: string
}>()
const emit = defineEmits<{ change: [], remove: [] }>()
</script>

<template>
  <li :class="{ pictured: $slots.picture }">
    <slot name="picture" />
    <div class="about">
      <h2>
        <NuxtLink
          v-if="to && !record.unreadable"
          :to="to"
        >
          {{ record.document.name }}
        </NuxtLink>
        <template v-else>
          {{ record.document.name }}
        </template>
      </h2>
      <p
        v-if="record.unreadable"
        role="alert"
      >
        This {{ what }} cannot be read; save it to a file as it is, or delete it. {{ record.unreadable.join('; ') }}
      </p>
      <slot v-else />
      <p
        v-if="record.document.note"
        class="soft"
      >
        {{ record.document.note }}
      </p>
    </div>
    <ListVerbs
      class="verbs"
      :name="record.document.name"
      :file="`/api/${path}/${record.id}/export`"
      :readable="!record.unreadable"
      @change="emit('change')"
      @remove="emit('remove')"
    />
  </li>
</template>

<style scoped>
li { list-style: none; display: flex; gap: 1.2rem; padding: 1.1rem 0; border-top: 1px solid var(--line); }
.about { flex: 1; min-width: 0; }
.about h2 { margin: 0; }
.about a { color: inherit; text-underline-offset: 3px; text-decoration-color: var(--strong-line); }
.about a:hover { color: var(--accent); }
.about > p, .about > :slotted(p) { margin: 0.2rem 0; }
@media (--one-column) {
  li { flex-wrap: wrap; gap: 0.4rem 1rem; }
  .about { flex: 1 1 12rem; }
  .verbs { flex: 1 0 100%; }
  .pictured .verbs { padding-left: 4rem; }
}
</style>

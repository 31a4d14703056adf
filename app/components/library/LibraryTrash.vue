<script setup lang="ts">
import { type TrashedThing, useLibrary } from '~/stores/library'

/** The trash: what was deleted, and can be restored for a while. */
const library = useLibrary()
const { format } = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' })
const SORT: Readonly<Record<TrashedThing['kind'], string>> = {
  designs: 'bag', swatches: 'swatch', yarns: 'yarn', orders: 'order', makes: 'off the hook',
}
const until = ({ removedAt }: TrashedThing) => format(Date.parse(removedAt) + library.trashDays * 86_400_000)
</script>

<template>
  <section aria-labelledby="trash">
    <h2
      id="trash"
      class="ruled"
    >
      Recently deleted
    </h2>
    <p class="soft">
      What you delete stays here for {{ library.trashDays }} days. Restored, it is as it was.
    </p>
    <p v-if="library.trash.length === 0">
      Nothing was deleted.
    </p>
    <ul>
      <li
        v-for="thing in library.trash"
        :key="thing.id"
      >
        <span><strong>{{ thing.name }}</strong> <span class="soft">{{ SORT[thing.kind] }}, until {{ until(thing) }}</span></span>
        <span class="row">
          <v-btn
            size="small"
            variant="outlined"
            :disabled="library.busy"
            :aria-label="`Restore ${thing.name}`"
            @click="library.bringBack(thing)"
          >
            Restore
          </v-btn>
          <v-btn
            size="small"
            :disabled="library.busy"
            :aria-label="`Delete ${thing.name} for good`"
            @click="library.forget(thing)"
          >
            Delete for good
          </v-btn>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
p { margin: 0 0 0.6rem; }
ul { list-style: none; margin: 0; padding: 0; }
li {
  display: flex; flex-wrap: wrap; gap: 0.6rem; justify-content: space-between; align-items: center; padding: 0.45rem 0;
  border-top: 1px solid var(--line);
}
.row { display: flex; gap: 0.4rem; }
</style>

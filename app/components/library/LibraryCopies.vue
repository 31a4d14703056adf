<script setup lang="ts">
import { mdiContentSaveOutline } from '@mdi/js'
import { shallowRef } from 'vue'
import { type Copy, useLibrary } from '~/stores/library'

/** The copies of everything: when and why each was made, and the way back to it. */
const library = useLibrary()
const asking = shallowRef<Copy>()
const { format } = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' })
const WHY: Readonly<Record<Copy['why'], string>> = {
  'daily': 'of the day', 'asked': 'asked for', 'before-update': 'before an update', 'before-restore': 'before going back to another',
}
function size(bytes: number): string {
  if (bytes < 1e6) return `${Math.ceil(bytes / 1e3)} kB`
  return bytes < 1e9 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Number((bytes / 1e9).toFixed(1))} GB`
}

async function goBack(): Promise<void> {
  const copy = asking.value!
  asking.value = undefined
  await library.returnTo(copy)
}
</script>

<template>
  <section aria-labelledby="copies">
    <h2
      id="copies"
      class="ruled"
    >
      Copies
    </h2>
    <p class="soft">
      Everything is copied by itself once a day, before an update, and before you go back.
      <template v-if="library.copies">
        Kept are the last copy of each of {{ library.copies.kept.days }} days and {{ library.copies.kept.weeks }} weeks, the last
        {{ library.copies.kept.asked }} you asked for, {{ library.copies.kept['before-update'] }} before updates and
        {{ library.copies.kept['before-restore'] }} before going back. They take {{ size(library.copies.bytes) }} in
        <code>{{ library.copies.folder }}</code>, and never more than {{ size(library.copies.mostBytes) }}.
      </template>
    </p>
    <p
      v-if="library.copies?.broken.length"
      role="note"
    >
      {{ library.copies.broken.length === 1 ? 'One text' : `${library.copies.broken.length} texts` }} could not be read and
      {{ library.copies.broken.length === 1 ? 'is' : 'are' }} set aside:
      {{ library.copies.broken.map(({ name, sort }) => name || sort).join(', ') }}. You find what is left of
      {{ library.copies.broken.length === 1 ? 'it' : 'them' }} in the folder "broken" of everything in one file. An earlier copy may have
      {{ library.copies.broken.length === 1 ? 'it' : 'them' }} whole.
    </p>
    <v-btn
      variant="tonal"
      color="primary"
      :prepend-icon="mdiContentSaveOutline"
      :disabled="library.busy || Boolean(library.copies?.barred)"
      @click="library.copyNow"
    >
      Copy everything now
    </v-btn>
    <ul>
      <li
        v-for="copy in library.copies?.copies"
        :key="copy.name"
      >
        <span>
          <strong>{{ format(new Date(copy.madeAt)) }}</strong>
          <span class="soft why">{{ WHY[copy.why] }}, {{ size(copy.bytes) }}</span>
        </span>
        <v-btn
          size="small"
          variant="outlined"
          :disabled="library.busy || Boolean(library.copies?.barred)"
          :aria-label="`Go back to the copy of ${format(new Date(copy.madeAt))}`"
          @click="asking = copy"
        >
          Go back to it
        </v-btn>
      </li>
    </ul>
    <v-dialog
      :model-value="asking !== undefined"
      max-width="30rem"
      @update:model-value="asking = undefined"
    >
      <v-card
        v-if="asking"
        class="ask"
      >
        <h3>Go back to {{ format(new Date(asking.madeAt)) }}?</h3>
        <p>
          Bags, swatches, yarns, orders and what is on the hook become what they were then. What there is now is copied first, so you can
          come back.
        </p>
        <div class="row">
          <v-btn
            variant="flat"
            color="primary"
            @click="goBack"
          >
            Go back
          </v-btn>
          <v-btn
            variant="outlined"
            @click="asking = undefined"
          >
            Stay
          </v-btn>
        </div>
      </v-card>
    </v-dialog>
  </section>
</template>

<style scoped>
p { margin: 0 0 0.8rem; max-width: 46rem; }
code { font-family: var(--figures); font-size: 0.86rem; overflow-wrap: anywhere; }
ul { list-style: none; margin: 1rem 0 0; padding: 0; }
li {
  display: flex; flex-wrap: wrap; gap: 0.6rem; justify-content: space-between; align-items: center; padding: 0.45rem 0;
  border-top: 1px solid var(--line);
}
.why { margin-left: 0.5rem; }
.ask { padding: 1.3rem; }
.row { display: flex; gap: 0.6rem; }
</style>

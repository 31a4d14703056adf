<script setup lang="ts">
import { useTrashNote } from '~/composables/useTrashNote'
import { computed, ref } from 'vue'
import { found, type ShelfSort, ORDERS } from '~~/core/household/shelf/shelfSort'
import { newYarn } from '~~/core/household/shelf/starter'
import { stockOf } from '~~/core/household/shelf/stock'
import { formatKg } from '~~/core/things/measure/amounts'
import { useEntering } from '~/composables/useEntering'
import { useUnits } from '~/composables/useUnits'
import { randomWord } from '~/keeping/newId'
import { useYarns } from '~/stores/yarns'

useHead({ title: 'Yarn · Fair Hollow' })
const shelf = useYarns()
const { gone, throwAway, takeBack } = useTrashNote(shelf)
const { entering, enter, leave, keep, write } = useEntering('yarn', shelf, () => shelf.yarns)

const search = ref('')
const order = ref<ShelfSort>('name')
const sound = computed(() => shelf.yarns.filter(({ unreadable }) => !unreadable))
const broken = computed(() => shelf.yarns.filter(({ unreadable }) => unreadable))
const shown = computed(() => found(sound.value, search.value, order.value))
const units = useUnits()
const kilos = computed(() => (sound.value.reduce((all, { document }) => all + stockOf(document).grams, 0) / 1000))
</script>

<template>
  <div class="yarns">
    <ShelfHeader
      title="Yarn"
      about="What lies at home, ball by ball: a bag that points to it says whether it will last."
      start="Enter a yarn"
      file-label="A yarn's file"
      accept=".json,application/json,.csv,text/csv"
      @start="enter(newYarn(randomWord(12).toLowerCase()))"
      @file="shelf.bringInAll"
    >
      <v-btn
        variant="outlined"
        href="/api/yarns/export?as=csv"
      >
        Save as a table
      </v-btn>
      <v-btn
        variant="outlined"
        href="/api/yarns/export?as=json"
      >
        Save as a file
      </v-btn>
    </ShelfHeader>
    <WorkProgress
      v-if="shelf.work.words"
      role="status"
      :words="shelf.work.words"
      :standing="shelf.work.standing"
      :can-end="shelf.work.off !== undefined"
      @end="shelf.work.off?.abort()"
    />
    <p
      v-if="shelf.brought"
      role="status"
    >
      {{ shelf.brought }}
    </p>
    <TroubleNote
      :lines="shelf.trouble"
      title="That did not work"
    />
    <YarnForm
      v-if="entering"
      :key="entering.kept?.id ?? entering.document.id"
      :yarn="entering.document"
      @enter="write"
      @keep="keep"
      @leave="leave"
    />
    <div
      v-if="sound.length > 0"
      class="finding"
    >
      <v-text-field
        v-model="search"
        label="Search"
        clearable
        @click:clear="search = ''"
      />
      <PickField
        v-model="order"
        label="In order of"
        :items="ORDERS.map(({ value, name }) => ({ value, title: name }))"
      />
      <p class="soft">
        {{ sound.length }} {{ sound.length === 1 ? 'yarn' : 'yarns' }}, {{ formatKg(kilos, units) }}
      </p>
    </div>
    <p v-if="sound.length === 0 && !entering">
      The shelf is empty. Enter a yarn with its balls as you weighed them, and bags say how many balls they take and whether they last.
    </p>
    <p v-else-if="shown.length === 0">
      No yarn has “{{ search }}” in its name, fibre, place, notes or lots.
    </p>
    <ul>
      <RecordItem
        v-for="kept in [...shown, ...broken]"
        :key="kept.id"
        :record="kept"
        what="yarn"
        path="yarns"
        @change="enter(kept.document, kept)"
        @remove="throwAway(kept.id)"
      >
        <template #picture>
          <span
            class="skein"
            :style="{ background: kept.document.colour }"
            aria-hidden="true"
          />
        </template>
        <YarnFacts :yarn="kept.document" />
      </RecordItem>
    </ul>
    <TrashNote
      :name="gone?.document.name"
      @back="takeBack"
      @close="gone = undefined"
    />
  </div>
</template>

<style scoped>
.yarns { max-width: 60rem; margin: 0 auto; padding: 1.8rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.4rem; }
.finding { display: grid; grid-template-columns: 2fr 1fr auto; gap: 0.8rem; align-items: center; }
.finding p { margin: 0; white-space: nowrap; }
ul { margin: 0; padding: 0; }
.skein { flex: none; width: 3.4rem; height: 3.4rem; border-radius: 50%; border: 1px solid var(--strong-line); }
@media (--one-column) { .finding { grid-template-columns: 1fr; } }
</style>

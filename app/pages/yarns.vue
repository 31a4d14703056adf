<script setup lang="ts">
import { useTrashNote } from '~/composables/useTrashNote'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { found, type ShelfSort, ORDERS } from '~~/core/household/shelf/shelfSort'
import { newYarn } from '~~/core/household/shelf/starter'
import { stockOf } from '~~/core/household/shelf/stock'
import type { ShelfYarn } from '~~/core/household/shelf/yarn'
import { formatKg } from '~~/core/things/measure/amounts'
import { useUnits } from '~/composables/useUnits'
import { unfinishedFormOf } from '~/keeping/unfinishedForms'
import { randomWord } from '~/keeping/newId'
import type { KeptRecord } from '~/stores/records'
import { useYarns } from '~/stores/yarns'

useHead({ title: 'Yarn · Fair Hollow' })
const shelf = useYarns()
const { gone, throwAway, takeBack } = useTrashNote(shelf)
const written = unfinishedFormOf<ShelfYarn>('yarn')
onMounted(async () => {
  await shelf.load()
  const left = written.left()
  const kept = left?.id === undefined ? undefined : shelf.yarns.find(({ id }) => id === left.id)
  if (left && (left.id === undefined || kept)) entering.value = { yarn: left.document, ...(kept ? { kept } : {}) }
})

const search = ref('')
const order = ref<ShelfSort>('name')
const sound = computed(() => shelf.yarns.filter(({ unreadable }) => !unreadable))
const broken = computed(() => shelf.yarns.filter(({ unreadable }) => unreadable))
const shown = computed(() => found(sound.value, search.value, order.value))
const units = useUnits()
const kilos = computed(() => (sound.value.reduce((all, { document }) => all + stockOf(document).grams, 0) / 1000))

/** The yarn being entered; `kept` when it is an old one. */
const entering = shallowRef<{ yarn: ShelfYarn, kept?: KeptRecord<ShelfYarn> }>()

async function keep(yarn: ShelfYarn): Promise<void> {
  const kept = entering.value?.kept
  const done = kept ? await shelf.save(kept, yarn) : await shelf.add(yarn)
  if (done) leave()
}

function leave(): void {
  written.end()
  entering.value = undefined
}
</script>

<template>
  <div class="yarns">
    <ShelfHeader
      title="Yarn"
      about="What lies at home, ball by ball: a bag that points to it says whether it will last."
      start="Enter a yarn"
      file-label="A yarn's file"
      accept=".json,application/json,.csv,text/csv"
      @start="entering = { yarn: newYarn(randomWord(12).toLowerCase()) }"
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
      :key="entering.kept?.id ?? entering.yarn.id"
      :yarn="entering.yarn"
      @enter="yarn => written.keep(yarn, entering?.kept?.id)"
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
      <li
        v-for="kept in [...shown, ...broken]"
        :key="kept.id"
      >
        <span
          class="skein"
          :style="{ background: kept.document.colour }"
          aria-hidden="true"
        />
        <div class="about">
          <h2>{{ kept.document.name }}</h2>
          <p
            v-if="kept.unreadable"
            role="alert"
          >
            This yarn cannot be read; save it to a file as it is, or delete it. {{ kept.unreadable.join('; ') }}
          </p>
          <YarnFacts
            v-else
            :yarn="kept.document"
          />
          <p
            v-if="kept.document.note"
            class="soft"
          >
            {{ kept.document.note }}
          </p>
        </div>
        <ListVerbs
          :name="kept.document.name"
          :file="`/api/yarns/${kept.id}/export`"
          :readable="!kept.unreadable"
          @change="entering = { yarn: kept.document, kept }"
          @remove="throwAway(kept.id)"
        />
      </li>
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
ul { list-style: none; margin: 0; padding: 0; }
li { display: flex; gap: 1.2rem; padding: 1.1rem 0; border-top: 1px solid var(--line); }
.skein { flex: none; width: 3.4rem; height: 3.4rem; border-radius: 50%; border: 1px solid var(--strong-line); }
.about { flex: 1; min-width: 0; }
.about h2 { margin: 0; }
.about > p { margin: 0.2rem 0; }
@media (max-width: 640px) {
  .finding { grid-template-columns: 1fr; }
  li { flex-wrap: wrap; gap: 0.4rem 1rem; }
  .about { flex: 1 1 12rem; }
  li > :deep(.doing) { flex: 1 0 100%; padding-left: 4rem; }
}
</style>

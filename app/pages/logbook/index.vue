<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { mdiTrayArrowUp } from '@mdi/js'
import { useTimeoutFn } from '@vueuse/core'
import { type LogBag, useLogbook } from '~/stores/logbook'

/** The maker's own book: bags in hand and finished, and what all of them have taught. */
useHead({ title: 'Logbook · Fair Hollow' })
const book = useLogbook()
onMounted(() => Promise.all([loadUntilRead(), book.loadTaught()]))

/** Bags that something happened to are still being read: they are asked for again until they are, ever more seldom. */
let waitMs = 500
const { start: askAgain } = useTimeoutFn(loadUntilRead, () => (waitMs *= 2), { immediate: false })
async function loadUntilRead(): Promise<void> {
  await book.load()
  if (book.bags.some(({ listed }) => !listed)) askAgain()
}

const isFinished = ({ listed }: LogBag) => listed?.finished !== undefined
const inHand = computed(() => book.bags.filter(bag => !isFinished(bag)))
const finished = computed(() => book.bags.filter(isFinished).sort((a, b) => b.listed!.finished! - a.listed!.finished!))
</script>

<template>
  <div class="book">
    <ShelfHeader
      title="Logbook"
      about="Every bag you took up, as it really went, and what your hands have taught by it."
      file-label="A logbook or make file, or a table of bags"
      accept=".json,application/json,.csv,text/csv"
      @file="book.bringIn"
    >
      <v-btn
        variant="outlined"
        :prepend-icon="mdiTrayArrowUp"
        href="/api/logbook/export?as=json"
        download
      >
        All of it (JSON)
      </v-btn>
      <v-btn
        variant="outlined"
        :prepend-icon="mdiTrayArrowUp"
        href="/api/logbook/export?as=csv"
        download
      >
        A line a bag (CSV)
      </v-btn>
    </ShelfHeader>
    <WorkProgress
      v-if="book.work.words"
      role="status"
      :words="book.work.words"
      :standing="book.work.standing"
      :can-end="book.work.off !== undefined"
      @end="book.work.off?.abort()"
    />
    <TroubleNote
      :lines="book.trouble"
      title="That did not work"
    />
    <p
      v-if="book.said"
      role="status"
    >
      {{ book.said }}
    </p>
    <LogBags
      v-if="inHand.length > 0"
      title="In hand"
      :bags="inHand"
    />
    <LogBags
      v-if="finished.length > 0"
      title="Finished"
      :bags="finished"
    />
    <p
      v-if="book.bags.length === 0"
      class="soft"
    >
      Nothing yet. Open a bag and choose “Take it up”: the logbook writes itself while you work.
    </p>
    <template v-if="book.taught && book.taught.hands.bags > 0">
      <LogSkill :taught="book.taught" />
      <LazyLogOverAll :taught="book.taught" />
    </template>
  </div>
</template>

<style scoped>
.book { max-width: 76rem; margin: 0 auto; padding: 1.4rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.6rem; }
@media (--one-column) { .book { padding: 1rem 0.9rem 3rem; } }
</style>

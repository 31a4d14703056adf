<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { mdiTrayArrowDown, mdiTrayArrowUp } from '@mdi/js'
import { type LogBag, useLogbook } from '~/stores/logbook'

/** The maker's own book: bags in hand and finished, and what all of them have taught. */
useHead({ title: 'Logbook · Fair Hollow' })
const book = useLogbook()
const picker = ref<HTMLInputElement>()
onMounted(() => Promise.all([book.load(), book.loadTaught()]))

const isFinished = ({ listed }: LogBag) => listed?.finished !== undefined
const inHand = computed(() => book.bags.filter(bag => !isFinished(bag)))
const finished = computed(() => book.bags.filter(isFinished).sort((a, b) => b.listed!.finished! - a.listed!.finished!))

function take(event: Event): void {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) void book.bringIn(file)
}
</script>

<template>
  <div class="book">
    <header>
      <div>
        <h1>Logbook</h1>
        <p class="soft">
          Every bag you took up, as it really went, and what your hands have taught by it.
        </p>
      </div>
      <div class="doing">
        <v-btn
          variant="outlined"
          :prepend-icon="mdiTrayArrowDown"
          @click="picker?.click()"
        >
          Bring in a file
        </v-btn>
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
        <input
          ref="picker"
          type="file"
          accept=".json,application/json"
          class="only-heard"
          tabindex="-1"
          aria-label="A logbook or make file"
          @change="take"
        >
      </div>
    </header>
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
      <LogHands :taught="book.taught" />
      <LazyLogOverAll :taught="book.taught" />
    </template>
  </div>
</template>

<style scoped>
.book { max-width: 76rem; margin: 0 auto; padding: 1.4rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.6rem; }
header { display: flex; flex-wrap: wrap; gap: 0.8rem 1.4rem; align-items: flex-start; justify-content: space-between; }
header p { margin: 0.3rem 0 0; }
.doing { display: flex; flex-wrap: wrap; gap: 0.6rem; position: relative; }
@media (max-width: 640px) { .book { padding: 1rem 0.9rem 3rem; } }
</style>

<script setup lang="ts">
import { useBags } from '~/stores/bags'
import { useBench } from '~/stores/bench'

/** What is wrong between this page and the records: a bag that is not there, a save that did not go through. */
const bench = useBench()
const bags = useBags()
const route = useRoute()
const router = useRouter()

async function keepCopy(): Promise<void> {
  const kept = await bags.add({ ...bench.design!, name: `${bench.design!.name}, my copy`.slice(0, 80) })
  if (!kept) return
  bench.close()
  await router.push(`/bags/${kept.id}`)
}

async function openAnew(): Promise<void> {
  bench.close()
  await bench.open(route.params.id as string)
}
</script>

<template>
  <TroubleNote
    :lines="bench.trouble"
    :title="bench.design ? 'Not saved yet' : 'This bag cannot be opened'"
    class="trouble not-on-paper"
  >
    <div
      v-if="bench.saving === 'overtaken' && bench.design"
      class="row"
    >
      <v-btn
        variant="tonal"
        color="primary"
        @click="keepCopy"
      >
        Keep mine as a copy
      </v-btn>
      <v-btn
        variant="outlined"
        @click="openAnew"
      >
        Open it anew
      </v-btn>
    </div>
    <v-btn
      v-if="!bench.design"
      variant="tonal"
      color="primary"
      to="/"
    >
      All bags
    </v-btn>
  </TroubleNote>
</template>

<style scoped>
.trouble { margin: 0.8rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.5rem; margin-top: 0.5rem; }
</style>

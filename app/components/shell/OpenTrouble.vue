<script setup lang="ts">
import { useBags } from '~/stores/bags'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'

/** What is wrong between this page and the records: a bag that is not there, a save that did not go through. */
const bag = useDocument()
const saving = useSaving()
const bags = useBags()
const route = useRoute()
const router = useRouter()

async function keepCopy(): Promise<void> {
  const kept = await bags.add({ ...bag.design, name: `${bag.design.name}, my copy`.slice(0, 80) })
  if (!kept) return
  saving.close()
  await router.push(`/bags/${kept.id}`)
}

async function openAnew(): Promise<void> {
  saving.close()
  await saving.open(route.params.id as string)
}
</script>

<template>
  <TroubleNote
    :lines="saving.trouble"
    :title="bag.isOpen ? 'Not saved yet' : 'This bag cannot be opened'"
    class="trouble not-on-paper"
  >
    <div
      v-if="saving.state === 'overtaken' && bag.isOpen"
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
      v-if="!bag.isOpen"
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

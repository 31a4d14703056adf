<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import type { Design } from '~~/core/design/design'
import { useBags } from '~/stores/bags'
import { useSaving } from '~/stores/saving'
import type { Kept } from '~/stores/records'

useHead({ title: 'All bags · Fair Hollow' })
const shelf = useBags()
const saving = useSaving()
const router = useRouter()
const gone = shallowRef<Kept<Design>>()
const showGone = ref(false)

onMounted(async () => {
  await saving.flush()
  await shelf.load()
})

async function go(kept: Kept<Design> | undefined): Promise<void> {
  if (kept) await router.push(`/bags/${kept.id}`)
}

/** A bag's file goes on this shelf, a make's back on the hook. */
async function bringIn(file: File): Promise<void> {
  if (!file.name.endsWith('.make.json')) return go(await shelf.bringIn(file))
  const { useMakes } = await import('~/stores/makes')
  const make = await useMakes().bringIn(file)
  if (make) await router.push(`/makes/${make.id}`)
}

async function throwAway(id: string): Promise<void> {
  gone.value = await shelf.remove(id)
  showGone.value = gone.value !== undefined
  if (saving.id === id) saving.close()
}

async function takeBack(): Promise<void> {
  showGone.value = false
  if (gone.value) await shelf.add(gone.value.document)
}
</script>

<template>
  <div class="bags">
    <ShelfHeader
      title="Your bags"
      about="Enter a swatch, say how big, and the rounds follow."
      start="Start a bag"
      file-label="A bag's file"
      @start="async () => go(await shelf.start())"
      @file="bringIn"
    />
    <TroubleNote
      :lines="shelf.trouble"
      title="That did not work"
    />
    <LazyMakesInHand />
    <p
      v-if="shelf.loaded && shelf.bags.length === 0 && shelf.trouble.length === 0"
      class="soft"
    >
      No bags here. Start one, or bring in a file.
    </p>
    <ul class="shelf">
      <BagCard
        v-for="bag in shelf.bags"
        :key="bag.id"
        :bag="bag"
        @copy="async () => go(await shelf.add({ ...bag.document, name: `${bag.document.name}, again`.slice(0, 80) }))"
        @remove="throwAway(bag.id)"
      />
    </ul>
    <v-snackbar
      v-model="showGone"
      :timeout="12000"
    >
      {{ gone?.document.name }} is deleted.
      <template #actions>
        <v-btn @click="takeBack">
          Bring it back
        </v-btn>
      </template>
    </v-snackbar>
  </div>
</template>

<style scoped>
.bags { max-width: 76rem; margin: 0 auto; padding: 1.8rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.4rem; }
.shelf { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr)); gap: 2rem 1.4rem; }
</style>

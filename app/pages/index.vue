<script setup lang="ts">
import { mdiPlus, mdiTrayArrowDown } from '@mdi/js'
import { onMounted, ref, shallowRef } from 'vue'
import type { Design } from '~~/core/design/design'
import { useBags } from '~/stores/bags'
import { useBench } from '~/stores/bench'
import type { Kept } from '~/stores/records'

useHead({ title: 'All bags · Fair Hollow' })
const shelf = useBags()
const bench = useBench()
const router = useRouter()
const picker = ref<HTMLInputElement>()
const gone = shallowRef<Kept<Design>>()
const showGone = ref(false)

onMounted(async () => {
  await bench.flush()
  await shelf.load()
})

async function go(kept: Kept<Design> | undefined): Promise<void> {
  if (kept) await router.push(`/bags/${kept.id}`)
}

async function bringIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) await go(await shelf.bringIn(file))
}

async function throwAway(id: string): Promise<void> {
  gone.value = await shelf.remove(id)
  showGone.value = gone.value !== undefined
  if (bench.id === id) bench.close()
}

async function takeBack(): Promise<void> {
  showGone.value = false
  if (gone.value) await shelf.add(gone.value.document)
}
</script>

<template>
  <div class="bags">
    <header>
      <div>
        <h1>Your bags</h1>
        <p class="soft">
          Enter a swatch, say how big, and the rounds follow.
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
          variant="flat"
          color="primary"
          :prepend-icon="mdiPlus"
          @click="async () => go(await shelf.start())"
        >
          Start a bag
        </v-btn>
      </div>
      <input
        ref="picker"
        type="file"
        accept=".json,application/json"
        class="only-heard"
        tabindex="-1"
        aria-label="A bag's file"
        @change="bringIn"
      >
    </header>
    <TroubleNote
      :lines="shelf.trouble"
      title="That did not work"
    />
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
header { display: flex; flex-wrap: wrap; gap: 1rem; align-items: flex-end; justify-content: space-between; }
header p { margin: 0.3rem 0 0; }
.doing { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.shelf { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr)); gap: 2rem 1.4rem; }
</style>

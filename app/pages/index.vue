<script setup lang="ts">
import { useDropped } from '~/composables/useDropped'
import { useTrashNote } from '~/composables/useTrashNote'
import { mdiMagnify } from '@mdi/js'
import { nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import { type Group, GROUPS, type BagSort, ORDERS, useBags } from '~/stores/bags'
import { useLocalBags } from '~/stores/localBags'
import { useMakes } from '~/stores/makes'
import type { KeptRecord } from '~/stores/records'

useHead({ title: 'All bags · Fair Hollow' })
const shelf = useBags()
const { gone, throwAway, takeBack } = useTrashNote(shelf)
const desk = useLocalBags()
const makes = useMakes()
/** The hook and the shelf come together: neither pushes the other down. */
const ready = ref(shelf.loaded)
const router = useRouter()
/** Stands below the last bag: seen, it asks for the next ones. */
const end = ref<HTMLElement>()

let watcher: IntersectionObserver | undefined
onMounted(async () => {
  watcher = new IntersectionObserver((seen) => {
    if (seen.some(({ isIntersecting }) => isIntersecting) && shelf.more) void shelf.loadMore()
  }, { rootMargin: '400px' })
  await Promise.all([shelf.load(), makes.load()])
  ready.value = true
  await nextTick()
  if (end.value) watcher.observe(end.value)
})
onBeforeUnmount(() => watcher?.disconnect())

let typing: ReturnType<typeof setTimeout>
function look(find: string): void {
  shelf.find = find ?? ''
  clearTimeout(typing)
  typing = setTimeout(() => void shelf.load(), 200)
}

async function arrange(order: BagSort): Promise<void> {
  shelf.order = order
  await shelf.load()
}

async function sort(group: Group): Promise<void> {
  shelf.group = group
  await shelf.load()
}

async function go(kept: KeptRecord<Design> | undefined): Promise<void> {
  if (kept) await router.push(`/bags/${kept.id}`)
}

const EMPTY: Readonly<Record<Group, string>> = {
  all: 'No bags here. Start one, or drop a file on this page.', hand: 'Nothing is on the hook: open a bag and take it up.',
  drafts: 'Every bag of yours was begun.', finished: 'Nothing is finished yet.', orders: 'No order asks for a bag: start one under Orders.',
}

const hovering = useDropped(bringIn)

/** A bag's file goes on this shelf, a make's back on the hook. */
async function bringIn(file: File): Promise<void> {
  if (!file.name.endsWith('.make.json')) return go(await shelf.bringIn(file))
  const make = await makes.bringIn(file)
  if (make) await router.push(`/makes/${make.id}`)
}
</script>

<template>
  <div class="bags">
    <p
      v-if="hovering"
      class="drop"
    >
      Let go: the file comes in here.
    </p>
    <ShelfHeader
      title="Your bags"
      about="Enter a swatch, say how big, and the rounds follow."
      start="Start a bag"
      file-label="A bag's file"
      @start="router.push('/start')"
      @file="bringIn"
    />
    <TroubleNote
      :lines="shelf.trouble"
      title="That did not work"
    />
    <LazyUnsentBags @sent="shelf.load" />
    <template v-if="ready">
      <MakesInHand />
      <TroubleNote
        v-if="shelf.away"
        :lines="['Bags that were opened on this device can be worked on; what you change is sent once it answers.']"
        title="The program does not answer"
      />
      <ul
        v-if="shelf.away"
        class="plain"
      >
        <li
          v-for="bag in desk.here"
          :key="bag.id"
        >
          <NuxtLink :to="`/bags/${bag.id}`">
            {{ bag.design.name }}
          </NuxtLink>
        </li>
      </ul>
      <div
        v-if="shelf.total > 8 || shelf.find || shelf.group !== 'all'"
        class="seek"
      >
        <v-text-field
          :model-value="shelf.find"
          :prepend-inner-icon="mdiMagnify"
          label="Find a bag"
          clearable
          maxlength="80"
          hide-details
          @update:model-value="look"
        />
        <PickField
          :model-value="shelf.order"
          :items="ORDERS.map(({ value, name }) => ({ value, title: name }))"
          label="In order"
          @update:model-value="arrange"
        />
        <ChoiceField
          class="groups"
          label="Shown"
          :value="shelf.group"
          :choices="GROUPS"
          @change="sort"
        />
        <span
          class="soft count"
          role="status"
        >{{ shelf.total }} {{ shelf.total === 1 ? 'bag' : 'bags' }}</span>
      </div>
      <p
        v-if="shelf.loaded && !shelf.away && shelf.bags.length === 0 && shelf.trouble.length === 0"
        class="soft"
      >
        {{ shelf.find ? 'No bag is called so, or says so in its tags or notes.' : EMPTY[shelf.group] }}
      </p>
      <ul class="shelf">
        <BagCard
          v-for="bag in shelf.bags"
          :key="bag.id"
          :bag="bag"
          @copy="async () => go(await shelf.copy(bag.id))"
          @remove="throwAway(bag.id)"
          @seek="look"
        />
      </ul>
      <div ref="end">
        <v-btn
          v-if="shelf.more"
          variant="outlined"
          @click="shelf.loadMore"
        >
          More bags
        </v-btn>
      </div>
      <p class="soft">
        <NuxtLink
          to="/safe"
        >
          Kept safe: copies, what was deleted, your phone
        </NuxtLink>
      </p>
    </template>
    <TrashNote
      :name="gone?.name"
      @back="takeBack"
      @close="gone = undefined"
    />
  </div>
</template>

<style scoped>
p a { color: var(--accent); }
.bags { max-width: 76rem; margin: 0 auto; padding: 1.8rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.4rem; }
.shelf {
  list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr)); gap: 2rem 1.4rem;
}
.seek { display: flex; flex-wrap: wrap; gap: 0.8rem; align-items: center; }
.seek > :first-child { flex: 2 1 16rem; max-width: 26rem; }
.seek > :nth-child(2) { flex: 1 1 12rem; max-width: 16rem; }
.plain { margin: 0; padding-left: 1.2rem; line-height: 1.9; }
.drop {
  position: fixed; inset: 3.25rem 0 0; z-index: 30; margin: 0; display: grid; place-items: center; font-size: 1.4rem;
  border: 4px dashed var(--accent); background: color-mix(in srgb, var(--paper), transparent 12%); pointer-events: none;
}
</style>

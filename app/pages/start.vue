<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { portraitOf } from '~~/core/chart/portrait'
import type { DesignGauge } from '~~/core/design/design'
import { draft } from '~~/core/draft/draft'
import { formatCm } from '~~/core/measure/format'
import { type SizeAsked, sizesOf, type Sizes, WHOLE_BAGS, wholeBag } from '~~/core/whole/wholeBags'
import { useBags } from '~/stores/bags'
import { useLastUsed } from '~/stores/lastUsed'

/** Beginning a bag: what for; then how big, in which stitches, and how it is carried, with a drawing that answers. All can be skipped. */
useHead({ title: 'Start a bag · Fair Hollow' })
const route = useRoute()
const router = useRouter()
const shelf = useBags()
const last = useLastUsed()
const ready = ref(false)
onMounted(async () => {
  await last.load()
  ready.value = true
})

const cards = computed(() => WHOLE_BAGS.map(bag => ({
  bag, portrait: portraitOf(draft(wholeBag(bag, { name: bag.name, gauge: last.gauge, yarn: last.yarn, sizes: {} }))),
})))
const chosen = computed(() => WHOLE_BAGS.find(({ id }) => id === route.query.bag))

const name = ref('')
const sizes = shallowRef<Partial<Sizes>>({})
const carried = ref<string>()
const gauge = shallowRef<DesignGauge>()
const yarnName = ref<string>()

function choose(id: string): void {
  name.value = ''
  sizes.value = {}
  carried.value = undefined
  void router.push({ path: '/start', query: { bag: id } })
}

const design = computed(() => chosen.value && wholeBag(chosen.value, {
  name: name.value.trim() || chosen.value.name, gauge: gauge.value ?? last.gauge, units: last.units, sizes: sizes.value,
  yarn: yarnName.value ? { name: yarnName.value, colour: last.yarn.colour } : last.yarn,
  ...(carried.value ? { carried: carried.value } : {}),
}))
const drafted = computed(() => design.value && draft(design.value))
const says = computed(() => {
  if (!drafted.value) return ''
  const { sizes: { flatWidth, flatHeight, stitches }, rounds, design: { units } } = drafted.value
  return `${formatCm(flatWidth.cm, units)} wide and ${formatCm(flatHeight.cm, units)} tall lying flat; ${rounds.length} rounds, `
    + `${stitches.toLocaleString('en')} stitches.`
})
const now = computed(() => (chosen.value ? sizesOf(chosen.value, sizes.value) : undefined))
function setSize({ name: which }: SizeAsked, cm: number): void {
  sizes.value = { ...sizes.value, [which]: cm }
}

async function make(): Promise<void> {
  const kept = await shelf.add(design.value!)
  if (kept) await router.push(`/bags/${kept.id}`)
}
async function empty(): Promise<void> {
  const kept = await shelf.start()
  if (kept) await router.push(`/bags/${kept.id}`)
}
</script>

<template>
  <div class="start">
    <TroubleNote
      :lines="shelf.trouble"
      title="That did not work"
    />
    <template v-if="!chosen">
      <header>
        <h1>What is it for?</h1>
        <p class="soft">
          Whole bags, drawn in the stitches of your last one. Whatever you choose, everything can be changed.
        </p>
      </header>
      <ul v-if="ready">
        <WholeBagCard
          v-for="{ bag, portrait } in cards"
          :key="bag.id"
          :name="bag.name"
          :does="bag.does"
          :portrait="portrait"
          @choose="choose(bag.id)"
        />
      </ul>
      <p>
        <v-btn
          variant="outlined"
          @click="empty"
        >
          Begin with a small round pouch, and no questions
        </v-btn>
      </p>
    </template>
    <div
      v-else-if="ready && design && drafted && now"
      class="asked"
    >
      <figure>
        <BagPortrait
          :portrait="portraitOf(drafted)"
          fit
        />
        <figcaption role="status">
          {{ says }}
        </figcaption>
      </figure>
      <form @submit.prevent="make">
        <p class="back">
          <NuxtLink to="/start">
            Another bag
          </NuxtLink>
        </p>
        <h1>{{ chosen.name }}</h1>
        <p class="soft">
          {{ chosen.does }}
        </p>
        <h2>How big?</h2>
        <div class="row">
          <LengthField
            v-for="size in chosen.asks"
            :key="size.name"
            :label="size.label"
            :cm="now[size.name]"
            :units="last.units"
            :bounds="size.bounds"
            @change="setSize(size, $event)"
          />
        </div>
        <template v-if="chosen.carried.length > 1">
          <h2>How is it carried?</h2>
          <ChoiceField
            label="Carried by"
            :value="carried ?? chosen.carried[0]!.id"
            :choices="chosen.carried.map(({ id, name: title }) => ({ value: id, name: title }))"
            @change="carried = $event"
          />
        </template>
        <h2>In which stitches?</h2>
        <GaugeToBegin @gauge="(told, yarn) => { gauge = told; yarnName = yarn }" />
        <v-text-field
          v-model="name"
          label="Its name"
          :placeholder="chosen.name"
          persistent-placeholder
          maxlength="80"
        />
        <v-btn
          type="submit"
          variant="flat"
          color="primary"
        >
          To the bench
        </v-btn>
      </form>
    </div>
  </div>
</template>

<style scoped>
.start { max-width: 70rem; margin: 0 auto; padding: 1.8rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.2rem; }
header p { margin: 0.3rem 0 0; }
ul { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr)); gap: 1rem; }
.asked { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 25rem); gap: 2rem; align-items: start; }
figure { margin: 0; position: sticky; top: 4rem; }
figcaption { margin-top: 0.6rem; color: var(--soft-ink); }
form { display: flex; flex-direction: column; gap: 0.8rem; }
form p { margin: 0; }
h2 { margin-top: 0.6rem; }
.row { display: flex; gap: 0.5rem; }
.row > :deep(.v-input) { flex: 1; }
.back a { color: var(--accent); }
@media (max-width: 760px) {
  ul { grid-template-columns: 1fr 1fr; gap: 0.6rem; }
  .asked { grid-template-columns: minmax(0, 1fr); gap: 0.6rem; }
  figure { position: sticky; top: 3.25rem; z-index: 2; background: var(--paper); padding-bottom: 0.3rem; }
  figure :deep(svg) { max-height: 26vh; }
}
</style>

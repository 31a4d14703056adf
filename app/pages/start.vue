<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { portraitOf } from '~~/core/readers/chart/portrait'
import type { DesignGauge } from '~~/core/bag/design/design'
import { draft } from '~~/core/bag/draft/draft'
import { lyingWords } from '~~/core/readers/words/floorWords'
import { CONTENT_KINDS, type Contents } from '~~/core/parts/contents/contents'
import { fromPattern } from '~~/core/bag/whole/fromPattern'
import { holdingBag } from '~~/core/bag/whole/holding'
import { sizesOf, wholeBag } from '~~/core/bag/whole/wholeBags'
import { type SizeAsked, type Sizes, WHOLE_BAGS } from '~~/core/bag/whole/wholeBagList'
import { useBags } from '~/stores/bags'
import { useLastUsed } from '~/stores/lastUsed'
import { useSettings } from '~/stores/settings'

/** Beginning a bag: what for; then how big, in which stitches, and how it is carried, with a drawing that answers. All can be skipped. */
useHead({ title: 'Start a bag · Fair Hollow' })
const route = useRoute()
const router = useRouter()
const shelf = useBags()
const last = useLastUsed()
const settings = useSettings()
const ready = ref(false)
onMounted(async () => {
  await last.load()
  ready.value = true
})

const cards = computed(() => WHOLE_BAGS.map(bag => ({
  bag, portrait: portraitOf(draft(wholeBag(bag, { name: bag.name, gauge: last.gauge, yarn: last.yarn, sizes: {} }))),
})))
const chosen = computed(() => WHOLE_BAGS.find(({ id }) => id === route.query.bag))

/** The way in: a whole bag, what must go in, or a written pattern. */
const holds = computed(() => CONTENT_KINDS.find(({ kind }) => kind === route.query.holds))
const contents = shallowRef<Contents>()
const held = computed<Contents | undefined>(() => holds.value
  && (contents.value?.kind === holds.value.kind ? contents.value : holds.value.begins as Contents))
const reading = computed(() => route.query.pattern !== undefined)
const written = ref('')

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

const title = computed(() => chosen.value?.name ?? (held.value ? `A bag for ${holds.value!.name}` : 'From a written pattern'))
const said = computed(() => ({
  name: name.value.trim() || title.value, gauge: gauge.value ?? last.gauge, units: last.units,
  yarn: yarnName.value ? { name: yarnName.value, colour: last.yarn.colour } : last.yarn,
}))
const taken = computed(() => reading.value ? fromPattern(written.value, said.value) : undefined)
const design = computed(() => {
  if (held.value) return holdingBag(held.value, said.value)
  if (!chosen.value) return taken.value?.design
  return wholeBag(chosen.value, { ...said.value, sizes: sizes.value, ...(carried.value ? { carried: carried.value } : {}) })
})
const drafted = computed(() => design.value && draft(design.value))
const says = computed(() => {
  if (!drafted.value) return ''
  const { sizes, rounds, design: { units } } = drafted.value
  return `${lyingWords(sizes, units)}; ${rounds.length} rounds, ${sizes.stitches.toLocaleString('en')} stitches.`
})
const now = computed(() => (chosen.value ? sizesOf(chosen.value, sizes.value) : undefined))
function setSize({ name: which }: SizeAsked, cm: number): void {
  sizes.value = { ...sizes.value, [which]: cm }
}

async function make(): Promise<void> {
  const kept = await shelf.add({ ...design.value!, ...(settings.hands ? { hands: settings.hands } : {}) })
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
    <template v-if="!chosen && !held && !reading">
      <FirstWords />
      <header>
        <h1>What is it for?</h1>
        <p class="soft">
          Whole bags, drawn in the stitches of your last one. Whatever you choose, everything can be changed.
        </p>
      </header>
      <template v-if="ready">
        <ul>
          <WholeBagCard
            v-for="{ bag, portrait } in cards"
            :key="bag.id"
            :name="bag.name"
            :does="bag.does"
            :portrait="portrait"
            @choose="choose(bag.id)"
          />
        </ul>
        <section
          class="others"
          aria-labelledby="others"
        >
          <h2 id="others">
            Or it must hold …
          </h2>
          <p class="row">
            <v-btn
              v-for="{ kind, name: what } in CONTENT_KINDS"
              :key="kind"
              variant="outlined"
              :to="`/start?holds=${kind}`"
            >
              {{ what }}
            </v-btn>
          </p>
          <h2>Or</h2>
          <p class="row">
            <v-btn
              variant="outlined"
              to="/start?pattern="
            >
              From a written pattern
            </v-btn>
            <v-btn
              variant="outlined"
              class="wraps"
              @click="empty"
            >
              Begin with a small round pouch, and no questions
            </v-btn>
          </p>
        </section>
      </template>
    </template>
    <div
      v-else-if="ready"
      class="chosen"
    >
      <figure>
        <BagPortrait
          v-if="drafted"
          :portrait="portraitOf(drafted)"
          fit
        />
        <figcaption>
          <span role="status">{{ says }}</span>
        </figcaption>
      </figure>
      <form @submit.prevent="make">
        <p class="back">
          <NuxtLink to="/start">
            Another bag
          </NuxtLink>
        </p>
        <h1>{{ title }}</h1>
        <p
          v-if="chosen"
          class="soft"
        >
          {{ chosen.does }}
        </p>
        <template v-if="held">
          <h2>How big is it?</h2>
          <HoldingAsked
            :contents="held"
            :units="last.units"
            @change="contents = $event"
          />
        </template>
        <template v-if="reading">
          <p class="soft">
            Paste its rounds, a line each, with the count at the end: “Rnd 3: [sc, inc] x 6 (18)”.
          </p>
          <v-textarea
            v-model="written"
            label="The pattern"
            rows="8"
            maxlength="20000"
          />
          <p role="status">
            {{ taken ? taken.says : written.trim() ? 'No round with a count can be read yet.' : '' }}
            <span
              v-if="taken && taken.left.length > 0"
              class="soft"
            >{{ taken.left.length }} {{ taken.left.length === 1 ? 'line tells' : 'lines tell' }} no round; the text is kept in the
              notes.</span>
          </p>
        </template>
        <h2 v-if="chosen">
          How big?
        </h2>
        <div
          v-if="chosen && now"
          class="row"
        >
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
        <template v-if="chosen && chosen.carried.length > 1">
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
          :placeholder="title"
          persistent-placeholder
          maxlength="80"
        />
        <v-btn
          type="submit"
          :disabled="!design"
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
.wraps { height: auto; min-height: 2.25rem; max-width: 100%; padding-block: 0.4rem; }
.wraps :deep(.v-btn__content) { white-space: normal; }
.start { max-width: 70rem; margin: 0 auto; padding: 1.8rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.2rem; }
header p { margin: 0.3rem 0 0; }
ul { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr)); gap: 1rem; }
.chosen { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 25rem); gap: 2rem; align-items: start; }
figure { margin: 0; position: sticky; top: 4rem; }
figcaption { margin-top: 0.6rem; color: var(--soft-ink); }
form { display: flex; flex-direction: column; gap: 0.8rem; }
form p { margin: 0; }
h2 { margin-top: 0.6rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.5rem; margin: 0.4rem 0 0; }
.row > :deep(.asked) { flex: 1 1 10.5rem; }
.back a { color: var(--accent); }
@media (--tablet) {
  ul { grid-template-columns: 1fr 1fr; gap: 0.6rem; }
  .chosen { grid-template-columns: minmax(0, 1fr); gap: 0.6rem; }
  figure { position: sticky; top: 3.25rem; z-index: 2; background: var(--paper); padding-bottom: 0.3rem; }
  figure :deep(svg) { max-height: 26vh; }
}
</style>

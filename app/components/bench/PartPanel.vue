<script setup lang="ts">
import { computed } from 'vue'
import { BAG_FIELDS } from '~~/core/design/fields'
import { useAsking } from '~/composables/useAsking'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** What a part is asked for, what it comes to and what to watch: three blocks, always in this order. */
const bag = useDocument()
const view = useView()
const asking = useAsking(() => [], () => bag.design)

const draft = computed(() => bag.draft)
const part = computed(() => draft.value.parts.find(({ id }) => id === view.selected))
const drafted = computed(() => part.value?.from.in)
const bandIndex = computed(() => bag.design.wall.findIndex(({ id }) => id === view.selected))
const band = computed(() => bag.design.wall[bandIndex.value])
const title = computed(() => part.value?.name ?? (band.value ? `Wall ${bandIndex.value + 1}` : 'The whole bag'))
const hasStop = computed(() => findings.value.some(({ weight, code }) => weight === 'stop' || code === 'mouth-does-not-divide'))
const findings = computed(() => part.value ? draft.value.findings.filter(finding => finding.part === part.value!.id) : draft.value.findings)
</script>

<template>
  <aside
    class="panel"
    aria-label="The part in hand"
  >
    <header>
      <h2>{{ title }}</h2>
      <v-btn
        v-if="view.selected !== 'bag'"
        size="small"
        @click="view.selected = 'bag'"
      >
        The whole bag
      </v-btn>
    </header>
    <section aria-labelledby="want">
      <h3
        id="want"
        class="ruled"
      >
        What you want
      </h3>
      <WantBase v-if="drafted === 'base'" />
      <AskedFields
        v-else-if="drafted === 'turnUp'"
        :fields="{ turnUp: BAG_FIELDS.turnUp }"
        :asking="asking"
      />
      <WantPart
        v-else-if="band"
        :key="band.id"
        :spec="band"
        :part="part"
      />
      <WantBag v-else />
    </section>
    <section aria-labelledby="work">
      <h3
        id="work"
        class="ruled"
      >
        What you'll work
      </h3>
      <WorkBlock
        :draft="draft"
        :part="part"
      />
      <CountDrift
        v-if="part && part.rounds.length > 0"
        :key="part.id"
        :draft="draft"
        :part="part"
      />
    </section>
    <section aria-labelledby="watch">
      <h3
        id="watch"
        class="ruled"
      >
        What to watch
      </h3>
      <WatchBlock
        :findings="findings"
        @fix="bag.applyFix"
        @look="view.look"
      />
      <FitFinder v-if="draft.design.wall.length > 0 && (!part || hasStop)" />
      <FlatnessTable v-if="drafted === 'base'" />
    </section>
  </aside>
</template>

<style scoped>
.panel { display: flex; flex-direction: column; gap: 1.4rem; padding: 1.1rem 1.2rem 1.6rem; }
header { display: flex; align-items: baseline; justify-content: space-between; gap: 0.5rem; }
</style>

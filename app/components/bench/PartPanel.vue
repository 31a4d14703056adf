<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { BAG_FIELDS } from '~~/core/bag/design/bagFields'
import { partName } from '~~/core/bag/design/partNames'
import { countByWeight, countedWords } from '~~/core/parts/part/worst'
import { useAnswers } from '~/composables/useAnswers'
import { useGoTo } from '~/composables/useGoTo'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'
import type { Naming } from './PartHeading.vue'

/** The panel of a part: its questions, what it comes to and what to watch: three blocks, always in this order. */
const bag = useDocument()
const view = useView()
const asking = useAnswers(() => [], () => bag.design)

const draft = computed(() => view.still)
const part = computed(() => draft.value.parts.find(({ id }) => id === view.selected))
const settledPart = computed(() => view.settled.parts.find(({ id }) => id === view.selected))
const band = computed(() => bag.design.wall.find(({ id }) => id === view.selected))
const title = computed(() => part.value?.name ?? (band.value ? partName(bag.design, band.value.id)! : 'The whole bag'))
const goTo = useGoTo()
const nameOf = (id: string) => draft.value.parts.find(one => one.id === id)?.name ?? 'the whole bag'
const heading = ref<{ focus: () => void }>()
const naming = computed(() => band.value
  ? { path: ['wall', band.value.id, 'called'], called: band.value.called }
  : OTHERS[view.selected]?.())
/** Name of the foot of the wall, which can be called otherwise too. */
const OTHERS: Readonly<Record<string, () => Naming>> = {
  base: () => ({ path: ['base', 'called'], called: bag.design.base.called }),
  turnUp: () => ({ path: ['turnUpCalled'], called: bag.design.turnUpCalled }),
}
/** A pressed button is often gone with what stood there before: the heading has the focus then. */
watch(() => view.selected, async () => {
  const pressed = document.activeElement
  await nextTick()
  if (pressed && !pressed.isConnected) heading.value?.focus()
}, { flush: 'sync' })
const whole = computed(() => view.selected === 'bag')
const hasStop = computed(() => findings.value.some(({ weight, code }) => weight === 'stop' || code === 'mouth-does-not-divide'))
const findings = computed(() => part.value ? draft.value.findings.filter(finding => finding.part === part.value!.id) : draft.value.findings)
</script>

<template>
  <aside
    class="panel"
    aria-label="The part in hand"
  >
    <header>
      <PartHeading
        ref="heading"
        :title="title"
        :naming="naming"
      />
      <v-btn
        v-if="!whole"
        size="small"
        @click="view.selected = 'bag'"
      >
        The whole bag
      </v-btn>
    </header>
    <PartVerbs
      v-if="band"
      :band="band"
      :name="title"
      @leave="heading?.focus()"
    />
    <BenchTour v-if="whole" />
    <FoldSection
      :key="`parts-${whole}`"
      :name="whole ? 'parts-of-the-bag' : 'parts-beside-one'"
      title="Parts"
      :now="`${bag.design.wall.length + 2}, from the mouth to the floor`"
      :usually="whole"
    >
      <PartList />
    </FoldSection>
    <FoldSection
      name="want"
      title="What you want"
    >
      <LazyWantBase v-if="view.selected === 'base'" />
      <AskedFields
        v-else-if="view.selected === 'turnUp'"
        :fields="{ turnUp: BAG_FIELDS.turnUp }"
        :asking="asking"
      />
      <LazyWantPart
        v-else-if="band"
        :key="band.id"
        :spec="band"
        :part="part"
      />
      <WantBag v-else />
    </FoldSection>
    <FoldSection
      name="work"
      title="What you'll work"
    >
      <WorkBlock
        :draft="view.settled"
        :part="settledPart"
      />
      <LazyCountDrift
        v-if="settledPart && settledPart.rounds.length > 0"
        :key="settledPart.id"
        :draft="view.settled"
        :part="settledPart"
      />
    </FoldSection>
    <FoldSection
      name="watch"
      title="What to watch"
      :now="countedWords(countByWeight(findings))"
    >
      <WatchBlock
        :findings="findings"
        :in-hand="view.selected"
        :name-of="nameOf"
        @go="goTo"
        @fix="bag.applyFix"
        @look="view.look"
      />
      <FitFinder v-if="draft.design.wall.length > 0 && (!part || hasStop)" />
      <LazyFlatnessTable v-if="view.selected === 'base'" />
    </FoldSection>
  </aside>
</template>

<style scoped>
.panel { display: flex; flex-direction: column; gap: 1rem; padding: 1.1rem 1.2rem 1.6rem; }
header { display: flex; align-items: baseline; justify-content: space-between; gap: 0.5rem; }
</style>

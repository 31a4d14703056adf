<script setup lang="ts">
import { computed, ref } from 'vue'
import { WALL_STITCHES } from '~~/core/parts/field/bounds'
import type { Draft, DraftPart } from '~~/core/bag/draft/draft'
import { drift } from '~~/core/bag/draft/replan/drift'
import { ADJUST_KIND } from '~~/core/parts/wall/adjusted'
import { stepsWords } from '~~/core/readers/words/stepWords'
import { useTranslate } from '~/composables/useTranslate'
import { fetchPart, NOT_FETCHED } from '~/kinds/fetchKinds'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'
import { useSettings } from '~/stores/settings'

/** "I have 118, not 116": what that does to the mouth, where it may have come from, and what can be done about it. */
const props = defineProps<{ draft: Draft, part: DraftPart }>()
const bag = useDocument()
const view = useView()
const settings = useSettings()
const told = useTranslate()
const open = ref(false)
const rounds = computed(() => ({ least: props.part.firstRound, most: props.part.firstRound + props.part.rounds.length - 1 }))
const wanted = ref(rounds.value.most)
const round = computed(() => Math.min(rounds.value.most, Math.max(rounds.value.least, wanted.value)))
const planned = computed(() => props.draft.rounds[round.value - 1]!.worked.edge.count)
const typed = ref<number>()
const counted = computed(() => typed.value ?? planned.value)
/** Remedies are tried out with adjusting rounds, of which the bag may have none. */
const ready = ref(false)
const found = computed(() => (ready.value ? drift(props.draft, round.value, counted.value) : undefined))

async function unfold(now: boolean): Promise<void> {
  open.value = now
  if (!now || ready.value) return
  try {
    await fetchPart(ADJUST_KIND)
    ready.value = true
  }
  catch {
    bag.refused = NOT_FETCHED
  }
}

function words(index: number): string {
  const way = found.value!.ways[index]!
  if (!way.steps) return told(way.what)
  const { edge } = props.draft.rounds[round.value - 1]!.worked
  return `${told(way.what)} ${stepsWords(way.steps, { terms: settings.terms, on: edge, start: props.draft.start })}.`
}
</script>

<template>
  <details
    class="drift"
    :open="open"
    @toggle="unfold(($event.target as HTMLDetailsElement).open)"
  >
    <summary>Counted something else?</summary>
    <div class="row">
      <CountField
        label="In round"
        :value="round"
        :bounds="rounds"
        @change="wanted = $event"
      />
      <CountField
        label="Stitches you really have"
        :value="counted"
        :bounds="WALL_STITCHES"
        :suffix="`not ${planned}`"
        @change="typed = $event"
      />
    </div>
    <div
      v-if="found"
      role="status"
      class="told"
    >
      <p><strong>{{ told(found.mouth) }}</strong></p>
      <p>It may come from:</p>
      <ul>
        <li
          v-for="cause in found.causes"
          :key="cause"
        >
          {{ told(cause) }}
        </li>
      </ul>
      <p>What you can do:</p>
      <ul>
        <li
          v-for="(way, i) in found.ways"
          :key="way.way"
        >
          {{ words(i) }}
          <v-btn
            v-if="way.fix"
            variant="tonal"
            color="primary"
            size="small"
            @click="bag.applyFix(way.fix)"
            @mouseenter="view.look(way.fix)"
            @mouseleave="view.look()"
          >
            {{ told(way.fix.label) }}
          </v-btn>
        </li>
      </ul>
    </div>
    <p
      v-else
      class="soft"
    >
      {{ planned }} is what the pattern says.
    </p>
  </details>
</template>

<style scoped>
.drift { margin-top: 0.9rem; border-top: 1px solid var(--line); padding-top: 0.5rem; }
summary { cursor: pointer; font-weight: 560; }
.row { display: grid; grid-template-columns: 7rem 1fr; gap: 0.5rem; margin-top: 0.7rem; align-items: start; }
.told { margin-top: 0.6rem; font-size: 0.93rem; line-height: 1.4; }
p { margin: 0.4rem 0 0.2rem; }
ul { margin: 0; padding-left: 1.1rem; display: flex; flex-direction: column; gap: 0.35rem; }
</style>

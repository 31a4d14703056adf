<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { USUAL_WISH } from '~~/core/bag/fit/wish'
import { useFit } from '~/composables/useFit'
import { useShortYarns } from '~/composables/useShortYarns'
import { useDocument } from '~/stores/document'

/** Looks for counts with which everything divides at once, and lays the best ways out to be looked at and taken. */
const bag = useDocument()
const { result, searching, progress, failed, search, stop } = useFit()
const toleranceCm = ref(USUAL_WISH.toleranceCm)
const mostAdjusting = ref(USUAL_WISH.mostAdjusting)
const units = computed(() => bag.design.units)
const shorts = useShortYarns()
const yarn = ref('')
const taker = ref('')
const short = computed(() => shorts.value.find(({ id }) => id === yarn.value))
const TOLERANCE = { least: 0.2, most: 10 }

// What was found holds for the bag as it was then.
watch(
  () => bag.design,
  () => {
    result.value = undefined
    stop()
  },
)

function start(): void {
  void search(bag.design, bag.draft.gauge, {
    toleranceCm: toleranceCm.value, mostAdjusting: mostAdjusting.value,
    ...(short.value
      ? { yarn: { yarn: short.value.id, metres: short.value.metres, ...(taker.value ? { part: taker.value } : {}) } }
      : {}),
  })
}
</script>

<template>
  <fieldset class="fit">
    <legend>Find counts that every part divides into</legend>
    <div class="row">
      <LengthField
        label="The base may be off by"
        :cm="toleranceCm"
        :units="units"
        :bounds="TOLERANCE"
        @change="toleranceCm = $event"
      />
      <ChoiceField
        label="Adjusting rounds, at most"
        :value="mostAdjusting"
        :choices="[{ value: 0, name: 'none' }, { value: 1, name: '1' }, { value: 2, name: '2' }]"
        @change="mostAdjusting = $event"
      />
    </div>
    <div
      v-if="shorts.length > 0"
      class="below"
    >
      <PickField
        v-model="yarn"
        label="A yarn that must last"
        :items="[{ value: '', title: 'none' }, ...shorts.map(({ id, title }) => ({ value: id, title }))]"
      />
      <PickField
        v-if="short && short.takers.length > 0"
        v-model="taker"
        label="What is left of it goes to"
        :items="[{ value: '', title: 'nothing: heights stay' }, ...short.takers]"
      />
    </div>
    <div class="row">
      <v-btn
        v-if="!searching"
        :prepend-icon="mdiMagnify"
        variant="tonal"
        color="primary"
        @click="start"
      >
        Look for counts that fit
      </v-btn>
      <template v-else>
        <v-btn
          variant="outlined"
          @click="stop"
        >
          Call it off
        </v-btn>
        <progress
          :value="progress"
          max="1"
          aria-label="How far the search is"
        />
      </template>
    </div>
    <p
      v-if="failed"
      role="alert"
    >
      The search broke off. Nothing is changed; try it with fewer adjusting rounds.
    </p>
    <div
      v-if="result"
      role="status"
    >
      <LazyFitFound :result="result" />
    </div>
  </fieldset>
</template>

<style scoped>
.fit {
  border: 1px solid var(--line); border-radius: 6px; padding: 0.5rem 0.8rem 0.8rem; margin: 1rem 0 0; display: flex;
  flex-direction: column; gap: 0.7rem; min-width: 0;
}
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0 0.3rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.8rem; align-items: flex-start; }
.below { display: flex; flex-direction: column; gap: 0.6rem; }
.row > :deep(.v-input) { flex: 1 1 9rem; }
progress { flex: 1; height: 2.2rem; accent-color: var(--accent); }
p { margin: 0 0 0.4rem; font-size: 0.88rem; line-height: 1.4; }
</style>

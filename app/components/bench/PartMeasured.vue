<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Measure } from '~~/core/bag/design/measures'
import { applyFix } from '~~/core/bag/design/edit'
import { type DraftPart, draft } from '~~/core/bag/draft/draft'
import { measurable } from '~~/core/making/make/expectedLength'
import { compared, type Measuring, partMeasured } from '~~/core/making/make/measuring'
import { translate } from '~~/core/things/stitch/translate'
import { useDocument } from '~/stores/document'
import { useSettings } from '~/stores/settings'

/** A part of the wall, done or half done, under the tape: what lies above is drafted by it. */
const props = defineProps<{ part: DraftPart }>()
const bag = useDocument()
const settings = useSettings()
const rounds = ref(props.part.rounds.length)
watch(() => [props.part.id, props.part.rounds.length] as const, ([id, length], [before]) => {
  if (id !== before || rounds.value > length) rounds.value = length
})
const round = computed(() => props.part.firstRound - 1 + rounds.value)
const lengths = computed(() => measurable(bag.draft, round.value))
const known = computed(() => (bag.design.measured ?? []).filter(one => one.part === props.part.id))
const told = (text: string) => translate(text, { terms: settings.terms, units: bag.design.units })

function edit(what: Measure, cm: number) {
  return partMeasured(bag.draft, { part: props.part.id, rounds: rounds.value, what, cm })
}
function weigh(what: Measure, cm: number): Measuring {
  const fix = edit(what, cm)
  const after = fix ? draft(applyFix(bag.design, fix).design, { before: bag.draft }) : bag.draft
  return compared(bag.draft, after, { round: round.value, what, cm })
}
function take(what: Measure, cm: number): void {
  const fix = edit(what, cm)
  if (fix) bag.applyFix(fix)
}
function forget(): void {
  const left = (bag.design.measured ?? []).filter(one => one.part !== props.part.id)
  bag.change('Forget what was measured', [{ path: ['measured'], value: left.length > 0 ? left : undefined }])
}
</script>

<template>
  <details class="measured">
    <summary>Worked some of it? Lay the tape on</summary>
    <label>
      Rounds of it worked
      <input
        v-model.number="rounds"
        type="number"
        inputmode="numeric"
        min="1"
        :max="part.rounds.length"
      >
      of {{ part.rounds.length }}
    </label>
    <TapeLaid
      v-if="lengths.length > 0"
      :key="round"
      :measurable="lengths"
      :units="bag.design.units"
      :weigh="weigh"
      :told="told"
      record-less
      @take="take"
    />
    <p
      v-else
      role="alert"
    >
      Say how many of its {{ part.rounds.length }} rounds are worked.
    </p>
    <v-btn
      v-if="known.length > 0"
      variant="outlined"
      size="small"
      @click="forget"
    >
      Forget what was measured of it
    </v-btn>
  </details>
</template>

<style scoped>
.measured {
  --control-height: 2.4rem; --control-text: 0.95rem; --control-width: fit-content;
  border: 1px solid var(--line); border-radius: 6px; padding: 0.5rem 0.8rem;
}
summary { cursor: pointer; font-size: 0.92rem; color: var(--soft-ink); }
.measured[open] { padding-bottom: 0.9rem; }
label { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem; margin: 0.6rem 0; }
input[type=number] {
  width: 5rem; height: 2.4rem; padding: 0 0.5rem; font: 560 1rem var(--figures); color: inherit; background: var(--paper);
  border: 1px solid var(--strong-line); border-radius: 0.4rem;
}
.measured :deep(label) { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem; }
.measured :deep(.wrong) { color: rgb(var(--v-theme-error)); font-weight: 600; }
</style>

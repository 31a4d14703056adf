<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { TapeAsked } from '~~/core/readers/beats/checks'
import type { Measure } from '~~/core/bag/design/measures'
import type { Measurement } from '~~/core/bag/draft/replan/measurements'
import { measurable } from '~~/core/making/make/expectedLength'
import type { Lies } from '~~/core/making/make/event'
import { lastDone, measuring } from '~~/core/making/make/measuring'
import { withChanges } from '~~/core/bag/design/edit'
import { yarnUseOf, yarnUseUnseen } from '~~/core/household/shelf/yarnUse'
import { SURE_ENOUGH } from '~~/core/household/shelf/enough'
import { fixesInHand } from '~~/core/household/shelf/fixes'
import type { YarnFix } from '~~/core/household/shelf/triedFix'
import type { HowFar } from '~~/core/household/shelf/runOut'
import { eatsNow, type Weight, withWeight } from '~~/core/household/shelf/weighing'
import { type EatenBefore, farBy, weightDoubt, type WeightDoubt, weightWords } from '~~/core/household/shelf/weightWords'
import { useHook } from '~/composables/useHook'
import { useLogbook } from '~/stores/logbook'
import { useYarns } from '~/stores/yarns'

/** The tape, the scales, the seam and a strip: each says what it would change, then the rest is drafted by it. */
const props = defineProps<{ asked?: TapeAsked | undefined }>()
const emit = defineEmits<{ done: [] }>()
const { make, told, units } = useHook()

const TOOLS = [{ id: 'tape', name: 'Tape' }, { id: 'scales', name: 'Scales' }, { id: 'seam', name: 'Seam, strip' }] as const
const tool = ref<(typeof TOOLS)[number]['id']>('tape')
const hand = computed(() => make.hand!)
const round = computed(() => lastDone(hand.value))
const lengths = computed(() => measurable(hand.value.draft, round.value))
const floorDone = computed(() => hand.value.draft.parts[0]?.rounds.length === round.value && round.value > 0)
const LIES: readonly (readonly [Lies, string])[] = [['flat', 'flat'], ['cups', 'it cups'], ['ripples', 'it ripples']]
const looked = computed(() => make.state?.looked.at(-1)?.lies)

function weigh(what: Measure, cm: number) {
  return measuring(hand.value, { round: round.value, what, cm })
}
function says(one: { leanPerTen: number } | { strip: Extract<Measurement, { strip: object }>['strip'] }): string {
  return told(measuring(hand.value, { round: round.value, ...one } as Measurement).words)
}
function take(what: Measure, cm: number, redrafts: boolean): void {
  make.tell({ do: 'measured', round: round.value, what, cm, ...(redrafts ? { redrafts: true } : {}) })
  emit('done')
}
/** Knowledge of a yarn before this bag: from the shelf, from finished bags, or by its gauge alone. */
const shelf = useYarns()
const book = useLogbook()
onMounted(() => {
  void shelf.load()
  void book.loadTaught()
})
function eatsBefore(id: string): EatenBefore {
  const yarn = hand.value.plan.yarns.find(one => one.id === id)
  const taught = book.hands.yarn.find(one => one.name === yarn?.name)?.gramsPerMetre
  const kept = shelf.byId(yarn?.shelf)
  return { rate: kept ? yarnUseOf(kept, taught) : yarnUseUnseen(hand.value.draft, taught), known: Boolean(kept ?? taught) }
}
const left = (yarn: string, grams: number): Weight => ({ yarn, grams, of: 'left' })
function farOf(id: string, grams: number): HowFar | undefined {
  return farBy(hand.value, make.state!, left(id, grams), eatsBefore(id))
}
function isShort(id: string, grams: number): boolean {
  const far = farOf(id, grams)
  return far !== undefined && far.odds < SURE_ENOUGH
}
function fixesFor(id: string, grams: number): YarnFix[] {
  const eats = eatsNow(hand.value, withWeight(hand.value, make.state!, left(id, grams)), id, eatsBefore(id).rate)
  return fixesInHand(hand.value, id, round.value, grams, eats)
}
/** A fix of a bag on the hook: the weight is written down, and the plan goes on changed; what is worked stays. */
function takeFix(id: string, grams: number, { label, changes }: YarnFix): void {
  make.tell({ do: 'weighed', yarn: id, grams, of: 'left', round: round.value })
  make.replan(withChanges(hand.value.plan, changes), label)
  emit('done')
}
function weightSays(weight: Weight): { readonly words: string, readonly doubt?: WeightDoubt | undefined } {
  const on = [hand.value, make.state!, weight, eatsBefore(weight.yarn)] as const
  return { words: told(weightWords(...on)), doubt: weightDoubt(...on) }
}
function weighed(weight: Weight): void {
  make.tell({ do: 'weighed', ...weight, round: round.value })
  emit('done')
}
</script>

<template>
  <div
    role="group"
    aria-label="What to tell"
    class="tools"
  >
    <TouchButton
      v-for="one in TOOLS"
      :key="one.id"
      :aria-pressed="tool === one.id"
      @click="tool = one.id"
    >
      {{ one.name }}
    </TouchButton>
  </div>
  <template v-if="tool === 'tape'">
    <p v-if="asked">
      {{ told(asked.how) }}
    </p>
    <TapeLaid
      v-if="lengths.length > 0"
      :measurable="lengths"
      :units="units"
      :begin="props.asked?.what"
      :weigh="weigh"
      :told="told"
      @take="take"
    />
    <p v-else>
      No round is done yet: there is nothing to measure.
    </p>
    <div
      v-if="floorDone"
      role="group"
      aria-label="How the floor lies"
      class="lies"
    >
      <span>Patted flat, the floor lies</span>
      <TouchButton
        v-for="[one, name] in LIES"
        :key="one"
        :aria-pressed="looked === one"
        @click="make.tell({ do: 'looked', round, lies: one })"
      >
        {{ name }}
      </TouchButton>
    </div>
  </template>
  <YarnWeighed
    v-else-if="tool === 'scales'"
    :yarns="hand.plan.yarns"
    :says="weightSays"
    :told="told"
    @take="weighed"
  >
    <template #default="{ yarn, grams }">
      <RunOutLine
        v-if="farOf(yarn, grams)?.runsOut"
        :draft="hand.draft"
        :runs-out="farOf(yarn, grams)!.runsOut!"
      />
      <LastingFixes
        v-if="isShort(yarn, grams)"
        :short="`${yarn} ${grams} ${round}`"
        :look="() => fixesFor(yarn, grams)"
        @take="fix => takeFix(yarn, grams, fix)"
      />
    </template>
  </YarnWeighed>
  <SeamAndStrip
    v-else
    :joined="hand.draft.design.rounds.style !== 'turned'"
    :units="units"
    :says="says"
    @lean="(perTen: number) => { make.tell({ do: 'leaned', round, perTen }); emit('done') }"
    @strip="(strip) => { make.tell({ do: 'stretched', round, strip }); emit('done') }"
  />
</template>

<style scoped>
.tools { display: flex; gap: 0.4rem; margin-bottom: 0.8rem; }
.tools > * { flex: 1; }
.lies { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem; margin-top: 0.9rem; }
</style>

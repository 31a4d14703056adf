<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { TapeAsked } from '~~/core/beats/checks'
import type { Measure } from '~~/core/design/measured'
import type { Taken } from '~~/core/draft/taken'
import { measurable } from '~~/core/make/expected'
import { type Lies, LIES } from '~~/core/make/event'
import { lastDone, measuring } from '~~/core/make/measuring'
import { scales, scalesWords } from '~~/core/make/scales'
import { withChanges } from '~~/core/design/edit'
import { type Eats, eatsOf, eatsUnseen } from '~~/core/shelf/eats'
import { SURE_ENOUGH } from '~~/core/shelf/enough'
import { fixesInHand, type YarnFix } from '~~/core/shelf/fixes'
import { eatsWeighing, type HowFar, howFarInHand, howFarWords } from '~~/core/shelf/runOut'
import { gramsOf, tell } from '~~/core/stitch/tell'
import { useHook } from '~/composables/useHook'
import { useLogbook } from '~/stores/logbook'
import { useYarns } from '~/stores/yarns'
import { useWays } from '~/stores/ways'

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
const LIES_NAMES: Record<Lies, string> = { flat: 'flat', cups: 'it cups', ripples: 'it ripples' }
const looked = computed(() => make.state?.looked.at(-1)?.lies)

function weigh(what: Measure, cm: number) {
  return measuring(hand.value, { round: round.value, what, cm })
}
function says(one: { leanPerTen: number } | { strip: Extract<Taken, { strip: object }>['strip'] }): string {
  return told(measuring(hand.value, { round: round.value, ...one } as Taken).words)
}
function take(what: Measure, cm: number, redrafts: boolean): void {
  make.tell({ do: 'measured', round: round.value, what, cm, ...(redrafts ? { redrafts: true } : {}) })
  emit('done')
}
/** What is known of a yarn before this bag: from the shelf, from finished bags, or by its gauge alone. */
const shelf = useYarns()
const book = useLogbook()
onMounted(() => {
  void shelf.load()
  void book.loadTaught()
})
function eatsBefore(id: string): { readonly rate: Eats, readonly known: boolean } {
  const yarn = hand.value.plan.yarns.find(one => one.id === id)
  const taught = book.hands.yarn.find(one => one.name === yarn?.name)?.gramsPerMetre
  const kept = shelf.byId(yarn?.shelf)
  return { rate: kept ? eatsOf(kept, taught) : eatsUnseen(hand.value.draft, taught), known: Boolean(kept ?? taught) }
}
function farOf(id: string, grams: number): HowFar | undefined {
  const { rate, known } = eatsBefore(id)
  const state = make.state!
  // Nothing is worked and nothing known: a weight is written down, and says something once it is weighed again.
  if (!known && !scales(hand.value, state, { yarn: id, grams, of: 'left' })) return undefined
  return howFarInHand(hand.value, state, id, grams, rate)
}
function isShort(id: string, grams: number): boolean {
  const far = farOf(id, grams)
  return far !== undefined && far.odds < SURE_ENOUGH
}
function fixesFor(id: string, grams: number): YarnFix[] {
  return fixesInHand(hand.value, id, round.value, grams, eatsWeighing(hand.value, make.state!, id, grams, eatsBefore(id).rate))
}
/** A fix of a bag on the hook: the weight is written down, and the plan goes on changed; what is worked stays. */
function takeFix(id: string, grams: number, { label, changes }: YarnFix): void {
  make.tell({ do: 'weighed', yarn: id, grams, of: 'left', round: round.value })
  make.replan(withChanges(hand.value.plan, changes), label)
  emit('done')
}
const ways = useWays()
const say = (text: string) => tell(text, { terms: ways.terms, units: hand.value.plan.units })
function weightSays(yarn: string, grams: number, of: 'left' | 'work'): string {
  const state = make.state!
  const first = state.weighed.find(one => one.yarn === yarn && one.of !== 'work')
  const far = of === 'left' && (!first || grams <= first.grams) ? farOf(yarn, grams) : undefined
  if (!far) return say(scalesWords(hand.value, state, { yarn, grams, of }))
  const used = scales(hand.value, state, { yarn, grams, of })?.usedGrams
  return say(`${used ? `What is worked took ${gramsOf(used)}. ` : ''}${howFarWords(far, hand.value.draft.rounds.length)}`)
}
function weighed(yarn: string, grams: number, of: 'left' | 'work'): void {
  make.tell({ do: 'weighed', yarn, grams, of, round: round.value })
  emit('done')
}
</script>

<template>
  <div
    role="group"
    aria-label="What to tell"
    class="tools"
  >
    <button
      v-for="one in TOOLS"
      :key="one.id"
      type="button"
      class="plain"
      :aria-pressed="tool === one.id"
      @click="tool = one.id"
    >
      {{ one.name }}
    </button>
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
      <button
        v-for="one in LIES"
        :key="one"
        type="button"
        class="plain"
        :aria-pressed="looked === one"
        @click="make.tell({ do: 'looked', round, lies: one })"
      >
        {{ LIES_NAMES[one] }}
      </button>
    </div>
  </template>
  <YarnWeighed
    v-else-if="tool === 'scales'"
    :yarns="hand.plan.yarns"
    :says="weightSays"
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
.tools button { flex: 1; }
[aria-pressed=true] { border-color: var(--accent); box-shadow: inset 0 -3px 0 var(--accent); background: var(--wash); font-weight: 650; }
.lies { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem; margin-top: 0.9rem; }
</style>

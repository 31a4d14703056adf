<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { countAfter, tapeAfter } from '~~/core/readers/beats/checks'
import { IMPORTANCE, IN_TIME_BEATS } from '~~/core/readers/beats/upcoming'
import { deedWord, deedWords } from '~~/core/making/make/undo'
import { spokenText } from '~~/core/readers/words/spokenText'
import { heightOfSmall, lettersFor } from '~/looks/track'
import { useAwake } from '~/composables/useAwake'
import { useTapKeys } from '~/composables/useTapKeys'
import { useHook } from '~/composables/useHook'
import { useSignals } from '~/composables/useSignals'
import type { Sheet } from '~/components/hook/HookSheets.vue'
import { useHookSettings } from '~/stores/hookSettings'
import { useSettings } from '~/stores/settings'

/** At the hook: the round in hand and nothing else. */
definePageMeta({ bare: true })

const route = useRoute()
const hookSettings = useHookSettings()
const settings = useSettings()
const hook = useHook()
const { make, leg, now, then, counting, ahead, alike, note, groups, roundDone, made, title, part, count, lead, whereWords, road } = hook
const sheet = ref<Sheet>()

watch(() => route.params.id as string, id => void make.open(id), { immediate: true })
onBeforeUnmount(() => make.close())
useHead({ title: () => (make.hand ? `${title.value} · ${make.hand.plan.name}` : 'At the hook · Fair Hollow') })

const colour = computed(() => {
  const id = leg.value?.worked?.round.colour
  return make.hand?.plan.yarns.find(yarn => yarn.id === id)?.colour ?? '#b9a77f'
})
const missing = computed(() => make.trouble === 'gone'
  ? 'This bag was thrown off the hook, here or on another device.'
  : 'This bag is not kept on this device, and the program does not know it or does not answer.')
const leftHanded = computed(() => make.hand?.plan.hands === 'left')
const standstill = computed(() => make.elsewhere.length > 0)

/** Whether the round just done is one where the tape pays; said, not asked. */
const tapePays = computed(() => Boolean(make.justDone && road.value && tapeAfter(road.value, make.justDone)))

function on(): void {
  if (sheet.value || !leg.value || standstill.value) return
  make.goOn()
  make.tap()
  if (make.justDone && hookSettings.asks && road.value && countAfter(road.value, make.justDone)) sheet.value = 'count'
}
/** The picture is as good a place to tap as the words. */
function onAside(event: MouseEvent): void {
  if (!(event.target as Element).closest('button')) on()
}
/** The deed that was undone last, said for a moment. */
const undone = ref('')
let saying: ReturnType<typeof setTimeout> | undefined
const undoes = computed(() => {
  const deed = make.state?.lastDeed
  return deed && { word: deedWord(deed), full: deedWords(deed, make.hand?.plan.units ?? 'cm', make.nameOfRound) }
})
function back(): void {
  if (sheet.value || standstill.value) return
  const last = make.state?.lastDeed
  const what = make.back()
  // A tap back is seen by itself; all else happens out of sight.
  undone.value = what && last?.do !== 'moved' ? `Undone: ${what}` : ''
  clearTimeout(saying)
  saying = setTimeout(() => (undone.value = ''), 5000)
}
const hands = useTapKeys({ on, back })

const panel = ref<HTMLElement>()
const { width, height } = useElementSize(panel)
const shares = (sort: 'marker' | 'side') => computed(() => {
  const all = hook.beats.value.length
  return hook.coming.value.filter(one => one.sort === sort && one.at < all).map(({ at }) => at / all)
})
const markers = shares('marker')
const sides = shares('side')
/** Warnings: of what comes now the most important two, else the next thing that is near. */
const watchFor = computed(() => {
  const inTime = (sort: string) => (sort === 'marker' ? IN_TIME_BEATS : 4 * IN_TIME_BEATS)
  // Of a whole round the words say themselves that it is joined.
  const unsaid = (sort: string) => sort !== 'side' && (sort !== 'join' || make.size !== 'round')
  const all = ahead.value.filter(one => unsaid(one.sort) && (one.now || one.beats <= inTime(one.sort)))
  const now = all.filter(one => one.now).sort((a, b) => IMPORTANCE.indexOf(a.sort) - IMPORTANCE.indexOf(b.sort))
  return (now.length > 0 ? now.slice(0, 2) : all.slice(0, 1)).map(one => ({
    ...one, when: ['turn', 'count', 'tape'].includes(one.sort) ? 'At the end' : one.now ? 'Now' : `In ${one.beats}`,
  }))
})
const thenSaid = computed(() => then.value && `then ${then.value.charAt(0).toLowerCase()}${then.value.slice(1)}`)
/** Letters of what is said besides, as the style sheet has them. */
function smallLetters(): number {
  const rem = parseFloat(getComputedStyle(document.documentElement).fontSize)
  return Math.max(14, Math.min(rem, 0.026 * innerHeight, 0.046 * innerWidth))
}
const letters = computed(() => {
  const wide = Math.max(60, width.value - 64)
  const besides = [
    ...watchFor.value.map(({ what, when }) => ({ text: `${when}: ${what}`, lines: 3 })), { text: thenSaid.value, lines: 2 },
    ...(lead.value && watchFor.value.length === 0 ? [{ text: lead.value, lines: 3 }] : []),
  ]
  const rest = height.value - 92 - heightOfSmall(besides, smallLetters(), wide * 0.94)
  return lettersFor(now.value, wide, Math.min(Math.max(48, rest), height.value * 0.6), 92)
})

const { awake } = useAwake()
const alarm = computed(() => {
  const [first] = watchFor.value
  return first?.now && first.sort !== 'join' && first.sort !== 'marker' ? `${leg.value?.id} ${first.what}` : undefined
})
const { hasVoice } = useSignals(
  () => {
    const watched = watchFor.value.filter(one => one.now).map(({ what }) => what)
    return make.hand ? spokenText([now.value, ...watched].join('. '), settings.terms) : ''
  },
  () => alarm.value,
)

function open(wanted: Sheet): void {
  sheet.value = wanted
}
function close(): void {
  sheet.value = undefined
  make.justDone = undefined
}
function spotName({ leg: id, beats }: { leg: string, beats: number | 'all' }): string {
  const place = /^r\d+$/.test(id) ? make.nameOfRound(Number(id.slice(1))) : id === 'start' ? 'the start' : 'a step'
  return beats === 'all' ? `the end of ${place}` : `${place}, after ${beats} ${beats === 1 ? 'step' : 'steps'}`
}
onMounted(() => document.documentElement.classList.add('at-the-hook'))
onBeforeUnmount(() => clearTimeout(saying))
onBeforeUnmount(() => document.documentElement.classList.remove('at-the-hook'))
</script>

<template>
  <div
    class="hook"
    :class="[`thumb-${hookSettings.thumb}`, { windowless: !leg?.worked }]"
  >
    <HookHeader
      :name="make.hand?.plan.name"
      :title="title"
      :part="part"
      :compares="leg?.worked !== undefined"
      @looks="open('looks')"
      @more="open('more')"
    />

    <div
      v-if="!make.hand"
      class="missing"
      role="status"
    >
      <template v-if="make.trouble === 'looking'">
        Looking for it …
      </template>
      <template v-else>
        <p>{{ missing }}</p>
        <NuxtLink to="/">
          All bags
        </NuxtLink>
      </template>
    </div>

    <template v-else>
      <div
        ref="panel"
        class="panel"
      >
        <RoundTrack
          v-if="leg"
          :width="width"
          :height="height"
          :groups="groups.of"
          :done="roundDone"
          :colour="colour"
          :left-handed="leftHanded"
          :markers="markers"
          :sides="sides"
        />
        <HookBeat
          :going="leg !== undefined && !standstill"
          :where="counting || (make.size === 'round' && leg?.worked ? 'the whole round' : '')"
          :now="now"
          :letters="letters"
          :watch-for="watchFor"
          :lead="lead"
          :then="thenSaid"
          :hands="hands"
        />
      </div>

      <p
        class="only-heard"
        aria-live="polite"
      >
        {{ now }}
      </p>
      <aside
        @click="onAside"
      >
        <HookWindow
          v-if="leg?.worked"
          :draft="make.hand.draft"
          :leg="leg"
          :made="made"
          :left-handed="leftHanded"
        />
        <p class="facts">
          <span v-if="count"><strong>{{ count.replace(/[()]/g, '') }}</strong> when done</span>
          <span v-if="alike > 0">{{ alike }} more like this{{ make.size === 'round' ? ': television rounds' : '' }}</span>
          <span v-if="note">{{ note }}</span>
          <span v-if="tapePays"><TouchButton
            variant="link"
            @click="open('tape')"
          >The tape pays now: measure</TouchButton></span>
        </p>
      </aside>

      <p
        class="undone"
        role="status"
      >
        {{ undone }}
      </p>
      <HookFooter
        :going="leg !== undefined"
        :stands="standstill"
        :finished="make.state?.finishedAt !== undefined"
        :can-go-back="make.state?.lastDeed !== undefined && !standstill"
        :undoes="undoes"
        :own="make.size"
        @on="on"
        @back="back"
        @finish="make.finish()"
      />

      <div
        v-if="standstill"
        class="banner"
        role="alert"
      >
        <p><strong>The hook moved on two devices.</strong> Where is it really?</p>
        <TouchButton
          v-for="(spot, i) in make.elsewhere"
          :key="i"
          @click="make.moveTo(spot)"
        >
          {{ spotName(spot) }}
        </TouchButton>
      </div>
      <div
        v-else-if="make.resumed || make.state?.paused"
        class="banner"
        role="status"
      >
        <p>
          {{ whereWords }}
          <span
            v-if="awake === 'cannot'"
            class="soft"
          >The screen may go dark here: this browser does not let the page keep it lit.</span>
        </p>
        <TouchButton
          @click="make.goOn()"
        >
          Go on
        </TouchButton>
      </div>

      <HookSheets
        :sheet="sheet"
        :has-voice="hasVoice"
        :awake="awake"
        @open="open"
        @close="close"
      />
    </template>
  </div>
</template>

<style scoped>
.hook {
  position: fixed; inset: 0; display: grid; grid-template: auto minmax(0, 1fr) minmax(0, 24dvh) auto / minmax(0, 1fr); gap: 0.45rem;
  padding: 0.35rem 0.6rem max(0.6rem, env(safe-area-inset-bottom)); background: var(--sheet); overflow: hidden;
  touch-action: manipulation; user-select: none; -webkit-user-select: none;
}
.windowless { grid-template-rows: auto minmax(0, 1fr) auto auto; }
.missing { grid-row: 2; align-self: center; text-align: center; padding: 1rem; }
.panel { position: relative; min-height: 0; min-width: 0; contain: layout paint; }
aside { contain: layout paint; min-height: 0; display: flex; flex-direction: column; gap: 0.3rem; overflow: hidden; }
aside :deep(svg) { flex: 1; min-height: 0; }
.facts {
  margin: 0; display: flex; flex-wrap: wrap; gap: 0 1rem; font-size: max(13px, min(0.92rem, 2.3vh, 4.2vw)); line-height: 1.3;
  max-height: 3.9em; overflow: hidden; color: var(--soft-ink);
}
.facts strong { color: var(--ink); }
.banner {
  position: absolute; left: 0.6rem; right: 0.6rem; top: 3.4rem; z-index: 5; display: flex; flex-wrap: wrap; align-items: center;
  gap: 0.5rem; padding: 0.5rem 0.8rem; background: var(--paper); border: 2px solid var(--accent); border-radius: 0.7rem;
}
.banner p { flex: 1 1 12rem; margin: 0; font-weight: 560; }
.undone {
  position: absolute; z-index: 5; left: 0.6rem; bottom: calc(min(4rem, 15vh) + 1.4rem); margin: 0; padding: 0.4rem 0.8rem;
  border-radius: 0.5rem; background: var(--ink); color: var(--paper); font-weight: 560; pointer-events: none;
}
.undone:empty { display: none; }
@media (orientation: landscape) and (--low), (--wide) {
  .hook { grid-template: auto minmax(0, 1fr) auto / minmax(0, 1.5fr) minmax(0, 1fr); column-gap: 1rem; }
  .hook.thumb-left { grid-template-columns: minmax(0, 1fr) minmax(0, 1.5fr); }
  .hook > :deep(header) { grid-column: 1 / -1; }
  .panel { grid-row: 2 / 4; grid-column: 1; }
  aside { grid-row: 2; grid-column: 2; }
  .hook > :deep(footer) { grid-row: 3; grid-column: 2; }
  .thumb-left .panel { grid-column: 2; }
  .thumb-left aside, .thumb-left > :deep(footer) { grid-column: 1; }
.missing { grid-column: 1 / -1; }
}
@media (--beside) { .hook { padding: 0.8rem 1.6rem 1.4rem; } .facts { font-size: 1.05rem; } }
</style>

<style>
html.at-the-hook { overflow: hidden; }
</style>

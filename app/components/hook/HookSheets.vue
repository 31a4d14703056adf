<script setup lang="ts">
import { computed, ref } from 'vue'
import { countAfter, countOf, tapeAfter } from '~~/core/readers/beats/checks'
import { uncounted } from '~~/core/making/make/plan'
import { useHook } from '~/composables/useHook'

/** Questions and drawers over the screen, one at a time. */
export type Sheet = 'count' | 'rip' | 'more' | 'looks' | 'tape' | 'note' | 'ways'

const props = defineProps<{ sheet: Sheet | undefined, hasVoice: boolean, awake: string }>()
const emit = defineEmits<{ open: [sheet: Sheet], close: [] }>()
const { make, road, title } = useHook()
const ripTo = ref<number>()

const lastRound = computed(() => road.value?.legs.slice(0, make.hand!.at.index).findLast(({ sort }) => sort === 'round'))
/** The count that is asked for: what was planned before this round was counted, however often it is counted anew. */
const askedCount = computed(() => {
  const done = make.justDone ?? lastRound.value
  if (!done || !make.hand) return undefined
  const { road: asPlanned } = uncounted(make.hand, done.number)
  const leg = asPlanned.legs.find(({ id }) => id === done.id) ?? done
  return countAfter(asPlanned, leg) ?? countOf(leg, '')
})
const askedTape = computed(() => (lastRound.value && road.value ? tapeAfter(road.value, lastRound.value) : undefined))

const heading = computed(() => {
  const titles: Record<Sheet, string> = {
    count: askedCount.value ? `Count ${make.nameOfRound(askedCount.value.round)}` : 'Count', rip: 'Rip back', looks: title.value,
    tape: 'Tape and scales', note: 'A note', ways: 'How I am followed', more: make.hand?.plan.name ?? '',
  }
  return props.sheet && titles[props.sheet]
})

function rip(round: number): void {
  ripTo.value = round
  emit('open', 'rip')
}
</script>

<template>
  <HookSheet
    v-if="sheet"
    :key="sheet"
    :title="heading ?? ''"
    :closing="sheet === 'count' ? 'Not now' : 'Close'"
    @close="emit('close')"
  >
    <HookCount
      v-if="sheet === 'count' && askedCount"
      :asked="askedCount"
      @done="emit('close')"
      @rip="rip"
    />
    <p v-else-if="sheet === 'count'">
      No round is done yet: there is nothing to count.
    </p>
    <HookRip
      v-else-if="sheet === 'rip'"
      :to="ripTo"
      @done="emit('close')"
    />
    <HookLooks v-else-if="sheet === 'looks'" />
    <HookTape
      v-else-if="sheet === 'tape'"
      :asked="askedTape"
      @done="emit('close')"
    />
    <HookNote
      v-else-if="sheet === 'note'"
      @done="emit('close')"
    />
    <HookSettingsSheet
      v-else-if="sheet === 'ways'"
      :has-voice="hasVoice"
      :awake="awake"
    />
    <HookMore
      v-else
      @open="emit('open', $event)"
      @close="emit('close')"
    />
  </HookSheet>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { countAfter, countOf, tapeAfter } from '~~/core/beats/checks'
import { useHook } from '~/composables/useHook'

/** Questions and drawers over the screen, one at a time. */
export type Sheet = 'count' | 'rip' | 'more' | 'looks' | 'tape' | 'note' | 'ways'

defineProps<{ sheet: Sheet | undefined, hasVoice: boolean, awake: string }>()
const emit = defineEmits<{ open: [sheet: Sheet], close: [] }>()
const { make, road, title } = useHook()
const ripTo = ref<number>()

const lastRound = computed(() => road.value?.legs.slice(0, make.hand!.at.index).findLast(({ sort }) => sort === 'round'))
const askedCount = computed(() => {
  const done = make.justDone ?? lastRound.value
  return done && road.value ? (countAfter(road.value, done) ?? countOf(done, '')) : undefined
})
const askedTape = computed(() => (lastRound.value && road.value ? tapeAfter(road.value, lastRound.value) : undefined))

function rip(round: number): void {
  ripTo.value = round
  emit('open', 'rip')
}
</script>

<template>
  <HookSheet
    v-if="sheet === 'count' && askedCount"
    :title="`Count round ${askedCount.round}`"
    closing="Not now"
    @close="emit('close')"
  >
    <HookCount
      :asked="askedCount"
      @done="emit('close')"
      @rip="rip"
    />
  </HookSheet>
  <HookSheet
    v-else-if="sheet === 'count'"
    title="Count"
    @close="emit('close')"
  >
    <p>No round is done yet: there is nothing to count.</p>
  </HookSheet>
  <HookSheet
    v-else-if="sheet === 'rip'"
    title="Rip back"
    @close="emit('close')"
  >
    <HookRip
      :to="ripTo"
      @done="emit('close')"
    />
  </HookSheet>
  <HookSheet
    v-else-if="sheet === 'looks'"
    :title="title"
    @close="emit('close')"
  >
    <HookLooks />
  </HookSheet>
  <HookSheet
    v-else-if="sheet === 'tape'"
    title="Tape and scales"
    @close="emit('close')"
  >
    <HookTape
      :asked="askedTape"
      @done="emit('close')"
    />
  </HookSheet>
  <HookSheet
    v-else-if="sheet === 'note'"
    title="A note"
    @close="emit('close')"
  >
    <HookNote @done="emit('close')" />
  </HookSheet>
  <HookSheet
    v-else-if="sheet === 'ways'"
    title="How I am followed"
    @close="emit('close')"
  >
    <HookWaysSheet
      :has-voice="hasVoice"
      :awake="awake"
    />
  </HookSheet>
  <HookSheet
    v-else-if="sheet === 'more'"
    :title="make.hand!.plan.name"
    @close="emit('close')"
  >
    <HookMore
      @open="emit('open', $event)"
      @close="emit('close')"
    />
  </HookSheet>
</template>

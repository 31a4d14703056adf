<script setup lang="ts">
import { computed } from 'vue'
import { NUDGE, SIDE_AT } from '~~/core/design/bounds'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'

/** Where something on the rim goes: in the middle, or moved; by the sides the bag has, or as the maker marked them anew. */
const props = defineProps<{ spec: { readonly nudge: number, readonly sideAt?: number }, index: number }>()
const bench = useBench()
const { part, set } = useWallPart(() => props.index)
const leans = computed(() => bench.design!.rounds.style === 'joined')

/** Where the first side is now, for a maker who begins to mark it anew. */
function setMarked(marked: boolean): void {
  const on = part.value?.rounds[0]?.on ?? part.value?.edge
  set(marked ? 'Mark the sides anew' : 'Sides as they are', { sideAt: marked ? (on ? (on.sides[0] - on.start + on.count) % on.count : 0) : undefined })
}
</script>

<template>
  <fieldset class="where">
    <legend>Where they go</legend>
    <CountField
      label="Moved from the middle"
      suffix="sts"
      :value="spec.nudge"
      :bounds="NUDGE"
      @change="set('Move the handles', { nudge: $event }, 'nudge')"
    />
    <p
      v-if="part?.grip && part.grip.onward !== 0"
      class="soft"
    >
      Or drag the marked span along the rim in the drawing; its mirror image goes along.
    </p>
    <ChoiceField
      label="The bag's sides are"
      :value="spec.sideAt !== undefined"
      :choices="[
        { value: false, name: 'as drafted', does: leans ? 'Where the base puts them, moved on with the seam\'s lean if you measured that.' : 'Where the base puts them.' },
        { value: true, name: 'marked anew', does: 'Flatten the bag, mark a fold, and count from the start of the round to it.' },
      ]"
      @change="setMarked"
    />
    <CountField
      v-if="spec.sideAt !== undefined"
      label="From the round's start to a side"
      suffix="sts"
      :value="spec.sideAt"
      :bounds="SIDE_AT"
      @change="set('Where a side is', { sideAt: $event }, 'sideAt')"
    />
  </fieldset>
</template>

<style scoped>
p { margin: -0.3rem 0 0; font-size: 0.86rem; }
.where { border: 0; padding: 0; margin: 0; min-width: 0; display: flex; flex-direction: column; gap: 0.6rem; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.6rem; }
</style>

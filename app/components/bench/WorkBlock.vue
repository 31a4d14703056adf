<script setup lang="ts">
import { hasFloor } from '~~/core/parts/part/floor'
import { computed } from 'vue'
import type { Draft, DraftPart } from '~~/core/bag/draft/draft'
import { hangingsOf } from '~~/core/bag/draft/handles'
import { openingOf } from '~~/core/bag/draft/findings/meshFindings'
import { formatCm, formatLength } from '~~/core/things/measure/format'
import { floorWords, isFloorAlone } from '~~/core/readers/words/floorWords'

/** A part, or the whole bag, as drafted: counts and sizes first, then the words. */
const props = defineProps<{ draft: Draft, part?: DraftPart | undefined }>()
const units = computed(() => props.draft.design.units)
const hangings = computed(() => hangingsOf(props.draft.design, props.draft.parts))
const opening = computed(() => props.part && openingOf(props.part))
const figures = computed(() => {
  if (!props.part && isFloorAlone(props.draft.sizes)) return [['Floor', floorWords(props.draft.sizes.floor, units.value)]]
  const { part, draft } = props
  if (!part) {
    return [
      ['Floor', floorWords(draft.sizes.floor, units.value)], ['Lies flat, wide', formatLength(draft.sizes.flatWidth, units.value)],
      ...(hasFloor(draft.sizes.floor) ? [['Tall, standing', formatLength(draft.sizes.height, units.value)]] : []),
      ['Tall, lying flat', formatLength(draft.sizes.flatHeight, units.value)],
      ['Mouth, around', formatLength(draft.sizes.mouth, units.value)],
      ...(draft.sizes.loadedHeightCm === undefined ? [] : [['Tall, loaded', `about ${formatCm(draft.sizes.loadedHeightCm, units.value)}`]]),
      ...(draft.sizes.withHandles
        ? [
            ['With handles, held apart', formatCm(draft.sizes.withHandles.emptyCm, units.value)],
            ['Held together', formatCm(draft.sizes.withHandles.togetherCm, units.value)],
            ['With handles, loaded', `about ${formatCm(draft.sizes.withHandles.loadedCm, units.value)}`],
          ]
        : []),
    ]
  }
  const { size, rounds, edge } = part
  return [
    ['Rounds', String(rounds.length)], ['Stitches at its edge', String(edge.count)],
    hasFloor(size.floor)
      ? ['Floor', floorWords(size.floor, units.value)]
      : ['Tall', formatLength(size.height, units.value)],
    ...(part.net ? [['Loops a round', String(part.net.loops)]] : []),
    ...(opening.value
      ? [
          ['Largest ball that squeezes through', formatCm(opening.value.ballCm, units.value)],
          ['Largest stick that falls through', formatCm(opening.value.rodCm, units.value)],
        ]
      : []),
    ...hangings.value
      .filter(one => one.part === part)
      .flatMap(({ handle, dropCm, loadedDropCm }, i, all) =>
        i > 0 && handle.lengthCm === all[0]!.handle.lengthCm
          ? []
          : [
              [`${handle.lies === 'around' ? handle.name : 'Handle'}, foot to foot`, formatCm(handle.lengthCm, units.value)],
              ['Drop, empty', formatCm(dropCm, units.value)], ['Drop, loaded', `about ${formatCm(loadedDropCm, units.value)}`],
            ],
      ),
    ['Flat width there', formatLength({ cm: size.circumference.cm / 2, plusMinusCm: size.circumference.plusMinusCm / 2 }, units.value)],
  ]
})
</script>

<template>
  <dl class="sums">
    <div
      v-for="[name, value] in figures"
      :key="name"
    >
      <dt>{{ name }}</dt>
      <dd class="figures">
        {{ value }}
      </dd>
    </div>
  </dl>
  <LazyWorkWords
    v-if="part"
    :draft="draft"
    :part="part"
  />
</template>

<style scoped>
.sums { display: grid; grid-template-columns: 1fr 1fr; gap: 0.35rem 1rem; margin: 0; }
.sums div { display: flex; flex-direction: column; }
dt { font-size: 0.84rem; color: var(--soft-ink); }
dd { margin: 0; font-weight: 600; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { Draft, DraftPart } from '~~/core/draft/draft'
import { hangingsOf } from '~~/core/draft/handles'
import { openingOf } from '~~/core/draft/meshFindings'
import { formatCm, formatLength } from '~~/core/measure/format'
import { floorWords } from '~~/core/words/floorWords'
import { patternOf } from '~~/core/words/pattern'
import { useWays } from '~/stores/ways'

/** What a part, or the whole bag, comes to: counts and sizes first, then the words. */
const props = defineProps<{ draft: Draft, part?: DraftPart | undefined }>()
const ways = useWays()

const units = computed(() => props.draft.design.units)
const pattern = computed(() => patternOf(props.draft, ways.terms, ways.repeats))
/** A part's own section, and one for each piece that is worked for it. */
const sections = computed(() => pattern.value.sections.filter(({ part }) => part === props.part?.id))
const hangings = computed(() => hangingsOf(props.draft.design, props.draft.parts))
const opening = computed(() => props.part && openingOf(props.part))
const figures = computed(() => {
  const { part, draft } = props
  if (!part) {
    return [
      ['Floor', floorWords(draft.sizes.floor, units.value)], ['Lies flat, wide', formatLength(draft.sizes.flatWidth, units.value)],
      ...(draft.sizes.floor.shape === 'none' ? [] : [['Tall, standing', formatLength(draft.sizes.height, units.value)]]),
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
    size.floor && size.floor.shape !== 'none'
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
  <template
    v-for="(section, i) in sections"
    :key="i"
  >
    <h4
      v-if="i > 0"
      class="piece"
    >
      {{ section.title }}
    </h4>
    <p
      v-if="section.lead"
      class="lead"
    >
      {{ section.lead }}
    </p>
    <p
      v-for="text in section.advice"
      :key="text"
      class="lead"
    >
      {{ text }}
    </p>
    <ol class="words">
      <li
        v-for="line in section.lines"
        :key="line.from"
      >
        <span class="number">{{ line.from === line.to ? line.from : `${line.from}–${line.to}` }}</span>
        <span>{{ line.words }}. <strong>{{ line.count }}</strong> {{ line.note }}</span>
      </li>
    </ol>
    <p
      v-for="text in [...(section.finish ?? []), ...(section.check ? [section.check] : []), ...(section.looks ? [section.looks] : [])]"
      :key="text"
      class="lead"
    >
      {{ text }}
    </p>
  </template>
  <p
    v-if="part && sections.length === 0"
    class="soft"
  >
    No round of its own.
  </p>
</template>

<style scoped>
.sums { display: grid; grid-template-columns: 1fr 1fr; gap: 0.35rem 1rem; margin: 0; }
.sums div { display: flex; flex-direction: column; }
dt { font-size: 0.84rem; color: var(--soft-ink); }
dd { margin: 0; font-weight: 600; }
.lead { margin: 0.9rem 0 0.3rem; }
.piece { margin: 1.1rem 0 0; font-size: 1rem; }
.words { list-style: none; margin: 0.7rem 0 0; padding: 0; font-size: 0.93rem; line-height: 1.4; }
.words li { display: grid; grid-template-columns: 3.1rem 1fr; gap: 0.3rem; padding: 0.3rem 0; border-top: 1px solid var(--line); }
.number { font-family: var(--figures); font-weight: 640; color: var(--accent); white-space: nowrap; letter-spacing: -0.04em; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { Draft, DraftPart } from '~~/core/bag/draft/draft'
import { patternOf } from '~~/core/readers/words/pattern'
import { useSettings } from '~/stores/settings'

/** A part's rounds in words: its own section of the pattern, and one for each piece that is worked for it. */
const props = defineProps<{ draft: Draft, part: DraftPart }>()
const settings = useSettings()
const pattern = computed(() => patternOf(props.draft, settings.terms, settings.repeats))
const sections = computed(() => pattern.value.sections.filter(({ part }) => part === props.part.id))
/** Every way in that differs from the usual one, of the part and its pieces. */
const cards = computed(() => [...new Set(sections.value.flatMap(({ lines }) => lines.flatMap(({ cards: own }) => own)))])
</script>

<template>
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
  <HowMade
    v-if="cards.length > 0"
    :key="part.id"
    :cards="cards"
    :of="part.name"
  />
  <p
    v-if="sections.length === 0"
    class="soft"
  >
    No round of its own.
  </p>
</template>

<style scoped>
.lead { margin: 0.9rem 0 0.3rem; }
.piece { margin: 1.1rem 0 0; font-size: 1rem; }
.words { list-style: none; margin: 0.7rem 0 0; padding: 0; font-size: 0.93rem; line-height: 1.4; }
.words li { display: grid; grid-template-columns: 3.1rem 1fr; gap: 0.3rem; padding: 0.3rem 0; border-top: 1px solid var(--line); }
.number { font-family: var(--figures); font-weight: 640; color: var(--accent); white-space: nowrap; letter-spacing: -0.04em; }
</style>

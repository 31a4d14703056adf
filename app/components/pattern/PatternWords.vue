<script setup lang="ts">
import type { Pattern } from '~~/core/readers/words/pattern'

/** A pattern to read and print, from what it takes to the last woven end. */
defineProps<{ pattern: Pattern, leftHanded?: boolean, lit?: number | undefined }>()
const emit = defineEmits<{ light: [round: number | undefined] }>()
</script>

<template>
  <article class="pattern">
    <h1>{{ pattern.title }}</h1>
    <div
      v-if="pattern.unfinished.length > 0"
      class="stop"
      role="alert"
    >
      <strong>Not finished: this is no pattern yet.</strong>
      <p
        v-for="text in pattern.unfinished"
        :key="text"
      >
        {{ text }}
      </p>
    </div>
    <PatternTerms :terms="pattern.facts.map(({ name, value }) => ({ short: name, long: value }))" />
    <PatternList
      title="Notes"
      :lines="pattern.notes"
    />
    <section>
      <h2 class="ruled">
        Abbreviations
      </h2>
      <PatternTerms :terms="pattern.abbreviations" />
    </section>
    <section v-if="pattern.special.length > 0">
      <h2 class="ruled">
        Special stitches
      </h2>
      <PatternTerms :terms="pattern.special" />
    </section>
    <PatternSection
      v-for="section in pattern.sections"
      :key="`${section.part}.${section.piece ?? ''}`"
      :section="section"
      :lit="lit"
      :left-handed="leftHanded"
      @light="emit('light', $event)"
    />
    <PatternList
      title="Finishing"
      :lines="pattern.finishing"
      numbered
    />
    <section v-if="pattern.cards.length > 0">
      <h2 class="ruled">
        Where the hook goes
      </h2>
      <EntryCards
        :cards="pattern.cards"
        :left-handed="leftHanded"
      />
    </section>
    <PatternList
      title="Take care"
      :lines="pattern.care"
    />
  </article>
</template>

<style scoped>
.pattern { line-height: 1.45; }
.stop { margin: 0.8rem 0; border: 2px solid var(--accent); padding: 0.6rem 0.8rem; }
.stop p { margin: 0.3rem 0 0; }
section { margin-top: 1.5rem; }
@media print { .pattern { font-size: 10.5pt; } h2 { break-after: avoid; } }
</style>

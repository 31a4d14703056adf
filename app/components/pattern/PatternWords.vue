<script setup lang="ts">
import type { Pattern } from '~~/core/words/pattern'

/** A pattern to read and print. Pointing at a round lights it in the chart. */
defineProps<{ pattern: Pattern, note: string, lit?: number | undefined }>()
const emit = defineEmits<{ light: [round: number | undefined] }>()
</script>

<template>
  <article class="pattern">
    <h1>{{ pattern.title }}</h1>
    <p
      v-if="note"
      class="note"
    >
      {{ note }}
    </p>
    <dl class="facts">
      <div
        v-for="fact in pattern.facts"
        :key="fact.name"
      >
        <dt>{{ fact.name }}</dt>
        <dd>{{ fact.value }}</dd>
      </div>
    </dl>
    <section
      v-for="section in pattern.sections"
      :key="`${section.part}.${section.piece ?? ''}`"
    >
      <h2 class="ruled">
        {{ section.title }}
      </h2>
      <p v-if="section.lead">
        {{ section.lead }}
      </p>
      <p
        v-for="text in section.advice"
        :key="text"
      >
        {{ text }}
      </p>
      <ol>
        <li
          v-for="line in section.lines"
          :key="line.from"
          :class="{ lit: !section.piece && lit !== undefined && lit >= line.from && lit <= line.to }"
          tabindex="0"
          @mouseenter="emit('light', section.piece ? undefined : line.from)"
          @mouseleave="emit('light', undefined)"
          @focus="emit('light', section.piece ? undefined : line.from)"
          @blur="emit('light', undefined)"
        >
          <span class="number">{{ line.label }}</span>
          <span>{{ line.words }}. <span class="count">{{ line.count }}</span>
            <em v-if="line.note">{{ line.note }}</em>
          </span>
        </li>
      </ol>
      <p
        v-for="text in section.finish"
        :key="text"
      >
        {{ text }}
      </p>
    </section>
    <section>
      <h2 class="ruled">
        Notes
      </h2>
      <ul>
        <li
          v-for="text in pattern.notes"
          :key="text"
        >
          {{ text }}
        </li>
      </ul>
    </section>
    <section>
      <h2 class="ruled">
        Abbreviations
      </h2>
      <dl class="short">
        <div
          v-for="{ short, long } in pattern.abbreviations"
          :key="short"
        >
          <dt>{{ short }}</dt>
          <dd>{{ long }}</dd>
        </div>
      </dl>
    </section>
    <section>
      <h2 class="ruled">
        Take care
      </h2>
      <ul>
        <li
          v-for="text in pattern.care"
          :key="text"
        >
          {{ text }}
        </li>
      </ul>
    </section>
  </article>
</template>

<style scoped>
.pattern { line-height: 1.45; }
.note { margin: 0.4rem 0 0; font-style: italic; color: var(--soft-ink); }
section { margin-top: 1.5rem; }
section p { margin: 0 0 0.5rem; }
.facts { margin: 1rem 0 0; }
.facts div { display: grid; grid-template-columns: 7.2rem 1fr; padding: 0.22rem 0; }
dt { color: var(--soft-ink); }
dd { margin: 0; }
ol { list-style: none; margin: 0; padding: 0; }
ol li { display: grid; grid-template-columns: 7.2rem 1fr; padding: 0.35rem 0.4rem 0.35rem 0; border-top: 1px solid var(--line); break-inside: avoid; }
ol li:hover, ol li.lit { background: var(--wash); }
.number { font-weight: 640; white-space: nowrap; }
.count { white-space: nowrap; font-weight: 640; font-variant-numeric: tabular-nums; }
em { display: block; color: var(--accent); font-style: normal; font-weight: 600; }
ul { margin: 0; padding-left: 1.1rem; }
.short div { display: grid; grid-template-columns: 6.5rem 1fr; }
.short dt { font-weight: 600; color: var(--ink); }
@media (max-width: 480px) { ol li, .facts div, .short div { grid-template-columns: 5.2rem 1fr; } .number { white-space: normal; } }
@media print { .pattern { font-size: 10.5pt; } h2 { break-after: avoid; } em { color: black; } }
</style>

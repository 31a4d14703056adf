<script setup lang="ts">
import { ref } from 'vue'
import type { PatternSection } from '~~/core/readers/words/pattern'

/** A part of the bag, or a piece worked for it, to read and print. Pointing at a round lights it in the chart. */
const props = defineProps<{ section: PatternSection, leftHanded?: boolean, lit?: number | undefined }>()
const emit = defineEmits<{ light: [round: number | undefined] }>()

/** One line of a section is reached by Tab, the others from it with the arrow keys. */
const at = ref(0)
const lines = ref<HTMLElement[]>([])
function step(by: number): void {
  const next = Math.min(props.section.lines.length - 1, Math.max(0, at.value + by))
  at.value = next
  lines.value[next]?.focus()
}
</script>

<template>
  <section>
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
        v-for="(line, i) in section.lines"
        :key="line.from"
        ref="lines"
        :class="{ lit: !section.piece && lit !== undefined && lit >= line.from && lit <= line.to }"
        :tabindex="i === at ? 0 : -1"
        :data-from="section.piece ? undefined : line.from"
        :data-to="line.to"
        @keydown.down.self.prevent="step(1)"
        @keydown.up.self.prevent="step(-1)"
        @mouseenter="emit('light', section.piece ? undefined : line.from)"
        @mouseleave="emit('light', undefined)"
        @focus="at = i; emit('light', section.piece ? undefined : line.from)"
        @blur="emit('light', undefined)"
      >
        <span class="number">{{ line.label }}</span>
        <span>{{ line.words }}. <span class="count">{{ line.count }}</span>
          <em v-if="line.note">{{ line.note }}</em>
          <details
            v-if="line.cards.length > 0"
            class="how not-on-paper"
          >
            <summary>Where the hook goes</summary>
            <EntryCards
              :cards="line.cards"
              :left-handed="leftHanded"
            />
          </details>
        </span>
      </li>
    </ol>
    <p
      v-if="section.check"
      class="check"
    >
      {{ section.check }}
    </p>
    <p
      v-if="section.looks"
      class="soft"
    >
      {{ section.looks }}
    </p>
    <p
      v-for="text in section.finish"
      :key="text"
    >
      {{ text }}
    </p>
    <p
      v-if="section.stop"
      class="stop"
    >
      <strong>The pattern stops here.</strong> {{ section.stop }}
    </p>
  </section>
</template>

<style scoped>
section { margin-top: 1.5rem; }
p { margin: 0 0 0.5rem; }
ol { list-style: none; margin: 0; padding: 0; }
li {
  display: grid; grid-template-columns: 7.2rem 1fr; padding: 0.35rem 0.4rem 0.35rem 0; border-top: 1px solid var(--line);
  break-inside: avoid;
}
li:hover, li.lit { background: var(--wash); }
.number { font-weight: 640; white-space: nowrap; }
.count { white-space: nowrap; font-weight: 640; font-variant-numeric: tabular-nums; }
.check { margin-top: 0.5rem; font-weight: 560; }
.how { margin-top: 0.15rem; font-size: 0.9rem; }
.how summary { cursor: pointer; color: var(--soft-ink); width: fit-content; }
.stop { margin-top: 0.5rem; border: 2px solid var(--accent); padding: 0.5rem 0.7rem; }
em { display: block; color: var(--accent); font-style: normal; font-weight: 600; }
@media (--phone) { li { grid-template-columns: 5.2rem 1fr; } .number { white-space: normal; } }
@media print { h2 { break-after: avoid; } em { color: black; } }
</style>

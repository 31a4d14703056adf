<script setup lang="ts">
import { mdiDragVertical } from '@mdi/js'
import type { Finding } from '~~/core/parts/part/finding'

/** A part of the bag in the list: its yarns, its name, what it comes to, what to watch. */
export interface ListedPart {
  readonly id: string
  readonly name: string
  readonly facts: string
  readonly colours: readonly string[]
  readonly findings: readonly Finding[]
  /** Of the wall: it can be moved. Base and turn-up stay where they are. */
  readonly moves: boolean
}
const props = defineProps<{ row: ListedPart, chosen: boolean }>()
const emit = defineEmits<{ pick: [], move: [by: number] }>()

function onKey(event: KeyboardEvent): void {
  if (!props.row.moves || !event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return
  event.preventDefault()
  emit('move', event.key === 'ArrowUp' ? 1 : -1)
}
</script>

<template>
  <li :class="{ chosen }">
    <v-icon
      v-if="row.moves"
      :icon="mdiDragVertical"
      class="handle"
      size="20"
      aria-hidden="true"
    />
    <span
      v-else
      class="handle still"
    />
    <button
      type="button"
      class="pick"
      :data-part="row.id"
      :aria-pressed="chosen"
      @click="emit('pick')"
      @keydown="onKey"
    >
      <span class="dots"><span
        v-for="colour in row.colours"
        :key="colour"
        :style="{ background: colour }"
      /></span>
      <span class="name">{{ row.name }}</span>
      <FoundMark :findings="row.findings" />
      <span class="facts">{{ row.facts }}</span>
      <span
        v-if="row.moves"
        class="only-heard"
      >Alt and up or down arrow moves it</span>
    </button>
  </li>
</template>

<style scoped>
li { display: flex; flex-wrap: wrap; align-items: center; border-top: 1px solid var(--line); background: var(--sheet); }
.chosen { background: var(--wash); box-shadow: inset 3px 0 0 var(--accent); }
.handle { color: var(--soft-ink); margin: 0 0.1rem 0 0.25rem; touch-action: none; }
.still { width: 20px; }
.pick {
  flex: 1; min-width: 0; display: flex; align-items: center; gap: 0.5rem; min-height: 2.1rem; padding: 0.2rem 0.5rem 0.2rem 0.2rem;
  border: 0; background: none; color: inherit; font: inherit; text-align: left; cursor: pointer;
}
.dots { display: inline-flex; flex: none; }
.dots span { width: 0.85rem; height: 0.85rem; border-radius: 50%; border: 1px solid var(--strong-line); margin-left: -0.25rem; }
.dots span:first-child { margin-left: 0; }
.name { flex: 1; min-width: 4rem; overflow-wrap: anywhere; font-weight: 560; }
.facts { font-size: 0.85rem; color: var(--soft-ink); font-variant-numeric: tabular-nums; }
@media (pointer: coarse) { .pick { min-height: 2.75rem; } }
</style>

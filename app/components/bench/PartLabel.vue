<script setup lang="ts">
import { hasFloor } from '~~/core/parts/part/floor'
import { computed } from 'vue'
import type { DraftPart } from '~~/core/bag/draft/draft'
import { isStopped } from '~~/core/bag/draft/fold/draftPart'
import { formatCm, type Units } from '~~/core/things/measure/format'
import type { Finding } from '~~/core/parts/part/finding'
import { floorShort } from '~~/core/readers/words/floorWords'

const props = defineProps<{ part: DraftPart, findings: readonly Finding[], units: Units, chosen: boolean, tight?: boolean }>()

const size = computed(() => hasFloor(props.part.size.floor)
  ? floorShort(props.part.size.floor, props.units)
  : formatCm(props.part.size.height.cm, props.units))
function counted(n: number, what: string): string {
  return n === 0 ? '' : `${n} ${what}${n === 1 ? '' : 's'}`
}
const rounds = computed(() => {
  const rows = props.part.rounds.filter(({ round }) => round.join === 'open').length
  return [counted(rows, 'row'), counted(props.part.rounds.length - rows, 'round')].filter(Boolean).join(', ')
})
const facts = computed(() => {
  if (props.part.rounds.length > 0) return `${rounds.value} · ${props.part.edge.count} sts · ${size.value}`
  return isStopped(props.part) ? 'cannot be worked yet' : 'no round of its own'
})
</script>

<template>
  <button
    type="button"
    class="label"
    :class="{ chosen, tight }"
    :aria-pressed="chosen"
  >
    <span class="name"><span>{{ part.name }}</span><FoundMark :findings="findings" /></span>
    <span class="facts">{{ facts }}</span>
  </button>
</template>

<style scoped>
.label {
  display: flex; flex-direction: column; align-items: flex-start; text-align: left; min-height: 50px; padding: 0.3rem 0.6rem;
  border-radius: 4px; border: 1px solid transparent; cursor: pointer; white-space: nowrap; color: var(--ink); background: none;
  font: inherit;
}
.label:hover { background: var(--sheet); border-color: var(--line); }
.chosen { background: var(--sheet); border-color: var(--accent); box-shadow: inset 3px 0 0 var(--accent); }
.name { font-family: var(--v-font-heading); font-weight: 640; display: flex; gap: 0.35rem; align-items: center; }
.name { max-width: 100%; }
.name > :first-child { overflow: hidden; text-overflow: ellipsis; }
.facts { font-size: 0.86rem; font-variant-numeric: tabular-nums; color: var(--soft-ink); }
/* Facts that have no room beside the name go to a second line, which is not shown. */
.tight { flex-flow: row wrap; align-items: center; gap: 0 0.5rem; height: 24px; min-height: 24px; padding-block: 0; overflow: hidden; }
.tight .name, .tight .facts { line-height: 22px; }
.tight .name, .tight .facts { font-size: 0.84rem; }
</style>

<script setup lang="ts">
import { mdiAlert, mdiAlertOctagon, mdiEyeOutline } from '@mdi/js'
import { computed } from 'vue'
import type { DraftPart } from '~~/core/draft/draft'
import { formatCm, type Units } from '~~/core/measure/format'
import { floorShort } from '~~/core/words/floorWords'

const props = defineProps<{ part: DraftPart, units: Units, chosen: boolean }>()

const size = computed(() => props.part.size.floor && props.part.size.floor.shape !== 'none'
  ? floorShort(props.part.size.floor, props.units)
  : formatCm(props.part.size.height.cm, props.units))
function counted(n: number, what: string): string {
  return n === 0 ? '' : `${n} ${what}${n === 1 ? '' : 's'}`
}
const rounds = computed(() => {
  const rows = props.part.rounds.filter(({ round }) => round.join === 'open').length
  return [counted(rows, 'row'), counted(props.part.rounds.length - rows, 'round')].filter(Boolean).join(', ')
})
const sign = computed(() => {
  const weights = props.part.findings.map(({ weight }) => weight)
  if (weights.includes('stop')) return { icon: mdiAlertOctagon, says: 'stopped' }
  if (weights.includes('caution')) return { icon: mdiAlert, says: 'take care' }
  return weights.includes('watch') ? { icon: mdiEyeOutline, says: 'keep an eye on it' } : undefined
})
</script>

<template>
  <button
    type="button"
    class="label"
    :class="{ chosen }"
    :aria-pressed="chosen"
  >
    <span class="name">{{ part.name }}<v-icon
      v-if="sign"
      :icon="sign.icon"
      size="16"
      :aria-label="sign.says"
      role="img"
    /></span>
    <span class="facts">{{ part.rounds.length === 0 ? 'no round of its own' : `${rounds} · ${part.edge.count} sts · ${size}` }}</span>
  </button>
</template>

<style scoped>
.label { display: flex; flex-direction: column; align-items: flex-start; text-align: left; min-height: 50px; padding: 0.3rem 0.6rem; border-radius: 4px; border: 1px solid transparent; cursor: pointer; white-space: nowrap; color: var(--ink); background: none; font: inherit; }
.label:hover { background: var(--sheet); border-color: var(--line); }
.chosen { background: var(--sheet); border-color: var(--accent); box-shadow: inset 3px 0 0 var(--accent); }
.name { font-family: var(--v-font-heading); font-weight: 640; display: flex; gap: 0.35rem; align-items: center; }
.name .v-icon { color: rgb(var(--v-theme-warning)); }
.facts { font-size: 0.86rem; font-variant-numeric: tabular-nums; color: var(--soft-ink); }
</style>

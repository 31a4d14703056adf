<script setup lang="ts">
import { mdiAlert, mdiAlertOctagon, mdiEyeOutline } from '@mdi/js'
import { computed } from 'vue'
import type { DraftPart } from '~~/core/draft/draft'
import { formatCm, type Units } from '~~/core/measure/format'
import { floorShort } from '~~/core/words/floorWords'

const props = defineProps<{ part: DraftPart, units: Units, chosen: boolean, tight?: boolean }>()

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
const facts = computed(() => {
  if (props.part.rounds.length > 0) return `${rounds.value} · ${props.part.edge.count} sts · ${size.value}`
  return sign.value?.says === 'stopped' ? 'cannot be worked yet' : 'no round of its own'
})
</script>

<template>
  <button
    type="button"
    class="label"
    :class="{ chosen, tight }"
    :aria-pressed="chosen"
  >
    <span class="name">{{ part.name }}<template v-if="sign"><v-icon
      :icon="sign.icon"
      size="16"
    /><span class="only-heard">({{ sign.says }})</span></template></span>
    <span class="facts">{{ facts }}</span>
  </button>
</template>

<style scoped>
.label { display: flex; flex-direction: column; align-items: flex-start; text-align: left; min-height: 50px; padding: 0.3rem 0.6rem; border-radius: 4px; border: 1px solid transparent; cursor: pointer; white-space: nowrap; color: var(--ink); background: none; font: inherit; }
.label:hover { background: var(--sheet); border-color: var(--line); }
.chosen { background: var(--sheet); border-color: var(--accent); box-shadow: inset 3px 0 0 var(--accent); }
.name { font-family: var(--v-font-heading); font-weight: 640; display: flex; gap: 0.35rem; align-items: center; }
.name .v-icon { color: rgb(var(--v-theme-warning)); }
.facts { font-size: 0.86rem; font-variant-numeric: tabular-nums; color: var(--soft-ink); }
.tight { flex-direction: row; align-items: baseline; gap: 0.5rem; min-height: 24px; padding-block: 0; overflow: hidden; }
.tight .name, .tight .facts { font-size: 0.84rem; }
</style>

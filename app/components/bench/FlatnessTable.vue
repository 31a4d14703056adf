<script setup lang="ts">
import { computed } from 'vue'
import type { Judgement } from '~~/core/parts/base/flatness'
import { dishDepthCm } from '~~/core/parts/base/flatness'
import { formOf } from '~~/core/parts/base/base'
import { compareSchools, withIncreases } from '~~/core/parts/base/increaseSchools'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** Effect of each school in this gauge, each with the profile it predicts. Pick one to use it. */
const bag = useDocument()
const view = useView()
/** Of a form with two halves of a disc, the numbers are told of one end. */
const ends = computed(() => formOf(bag.design.base).ends ?? 1)
const schools = computed(() => compareSchools(view.settled.from.base, view.settled.gauge))
const SAYS: Record<Judgement, string> = { dish: 'cups', flat: 'lies flat', ripple: 'warps mildly', ruffle: 'ruffles' }

/** The base from the side, 40 units across: a cone's slope where it cups, a wave of as much more edge where it ripples. */
function profile(ratio: number): string {
  if (ratio < 1) {
    const depth = Math.min(14, dishDepthCm(20, ratio))
    const reach = 20 * ratio
    return `M${20 - reach} ${16 - depth}L20 16L${20 + reach} ${16 - depth}`
  }
  const wave = Math.min(7, 9 * (ratio - 1))
  const points = Array.from({ length: 121 }, (_, i) => {
    const x = i / 3
    return `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${(11 - wave * (Math.abs(x - 20) / 20) ** 0.7 * Math.cos((x - 20) * 0.94)).toFixed(2)}`
  })
  return points.join('')
}

function use(increases: number): void {
  bag.change('Increases a round', [{ path: ['base'], value: withIncreases(bag.design.base, increases) }])
}
</script>

<template>
  <table
    v-if="schools.length > 0"
    class="schools"
  >
    <caption>Which number of increases lies flat in your gauge</caption>
    <thead>
      <tr>
        <th scope="col">
          {{ ends === 2 ? 'Each end' : 'A round' }}
        </th>
        <th scope="col">
          Edge
        </th>
        <th scope="col">
          From the side
        </th>
        <th scope="col">
          It
        </th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="school in schools"
        :key="school.increases"
        :class="{ used: school.inUse }"
      >
        <th scope="row">
          <button
            type="button"
            :aria-pressed="school.inUse"
            :aria-label="`Use ${school.increases / ends}`"
            @click="use(school.increases)"
          >
            {{ school.increases / ends }}
          </button>
        </th>
        <td class="figures">
          × {{ school.flatness.ratio.toFixed(2) }}
        </td>
        <td>
          <svg
            viewBox="0 0 40 20"
            width="60"
            height="30"
            aria-hidden="true"
          ><path :d="profile(school.flatness.ratio)" /></svg>
        </td>
        <td>{{ SAYS[school.flatness.judgement] }}<span v-if="school.flattest">, flattest</span></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.schools { width: 100%; border-collapse: collapse; margin-top: 1rem; font-size: 0.92rem; }
caption { text-align: left; font-size: 0.84rem; color: var(--soft-ink); padding-bottom: 0.3rem; }
thead th { font-weight: 500; font-size: 0.82rem; color: var(--soft-ink); text-align: left; }
tr { border-top: 1px solid var(--line); }
thead tr { border: 0; }
.used { background: var(--wash); }
th, td { padding: 0.1rem 0.4rem; }
button {
  min-width: 2.6rem; padding: 0.15rem 0.5rem; border: 1px solid var(--line); border-radius: 4px; cursor: pointer;
  font: 600 0.95rem var(--figures); background: none; color: inherit;
}
.used button { border-color: var(--accent); }
path { fill: none; stroke: var(--ink); stroke-width: 1.5; stroke-linejoin: round; }
</style>

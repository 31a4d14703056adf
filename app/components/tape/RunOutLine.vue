<script setup lang="ts">
import { computed } from 'vue'
import { portraitOf } from '~~/core/readers/chart/portrait'
import type { Draft } from '~~/core/bag/draft/draft'
import { heightAfter, type RunsOut } from '~~/core/household/shelf/runOut'

/** The bag with a line where a yarn runs out, and the band that it lies in eight times of ten. */
const props = defineProps<{ draft: Draft, runsOut: RunsOut }>()
const portrait = computed(() => portraitOf(props.draft))
const y = (rounds: number) => -heightAfter(props.draft, rounds)
const half = computed(() => portrait.value.wideCm / 2 + 1.5)
const at = computed(() => {
  const { round, low, high } = props.runsOut
  return { line: y(round), top: y(high), tall: Math.max(0.2, y(low) - y(high)) }
})
</script>

<template>
  <figure>
    <BagPortrait
      :portrait="portrait"
      fit
    >
      <rect
        :x="-half"
        :y="at.top"
        :width="2 * half"
        :height="at.tall"
        class="band"
      />
      <path
        :d="`M${-half} ${at.line}H${half}`"
        class="line"
      />
    </BagPortrait>
    <figcaption>
      About here, round {{ Math.floor(runsOut.round) }}; between {{ Math.floor(runsOut.low) }} and {{ Math.floor(runsOut.high) }}.
    </figcaption>
  </figure>
</template>

<style scoped>
figure { margin: 0; max-width: 20rem; }
.band { fill: var(--accent); fill-opacity: 0.16; stroke: var(--accent); stroke-width: 0.06; stroke-dasharray: 0.4 0.3; }
.line { fill: none; stroke: var(--accent); stroke-width: 0.28; }
figcaption { font-size: 0.9rem; color: var(--soft-ink); }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { keyWords } from '~~/core/making/log/paceKey'
import { formatCm, formatLength } from '~~/core/things/measure/format'
import { translate } from '~~/core/things/stitch/translate'
import { alongChart, paceOverTime, sizesChart } from '~/looks/charts'
import type { Taught } from '~/stores/logbook'
import { useSettings } from '~/stores/settings'

/** Over all bags: the pace bag after bag, tension along a bag, sizes said and found. */
const props = defineProps<{ taught: Taught }>()
const settings = useSettings()
const told = (text: string) => translate(text, { terms: settings.terms, units: settings.units ?? 'cm' })
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })

/** Stitches that several bags tell of: one point makes no line. */
const lines = computed(() => {
  const all = props.taught.overTime.pace.map(({ key, points }) => ({ name: told(keyWords(key)), points }))
  const often = all.filter(({ points }) => points.length > 1)
  return often.length > 0 ? often : all
})
const along = computed(() => props.taught.overTime.along)
const sizes = computed(() => props.taught.overTime.sizes.slice(-14).map(one => ({ ...one, name: `${one.bag}: ${one.what}` })))
const sizeRows = computed(() => sizes.value.map(({ bag, what, saidCm, plusMinusCm, cm, units }) => [
  bag, what, formatLength({ cm: saidCm, plusMinusCm }, units), formatCm(cm, units),
]))
</script>

<template>
  <section aria-label="Over all bags">
    <h2 class="ruled">
      Over all bags
    </h2>
    <div class="charts">
      <LogChart
        title="Pace, bag after bag: seconds a stitch"
        :draw="inks => paceOverTime(inks, lines)"
      >
        <LogTable
          caption="Pace, bag after bag"
          :heads="['Stitch', 'Bag', 'Begun', 'Seconds']"
          :rows="lines.flatMap(({ name, points }) => points.map(({ bag, at, value }) => [name, bag, DAY.format(at), value.toFixed(1)]))"
        />
      </LogChart>
      <LogChart
        title="Tension along a bag: beside the swatch, from the first round to the last"
        :draw="inks => alongChart(inks, along)"
      >
        <LogTable
          caption="Tension along a bag"
          :heads="['Bag', 'How far in', 'Side', 'Beside the swatch']"
          :rows="along.map(({ bag, at, side, value }) => [bag, `${Math.round(100 * at)} %`, side, `${(100 * (value - 1)).toFixed(1)} %`])"
        />
      </LogChart>
      <LogChart
        title="Sizes: what was said, with its band, and the tape"
        :height="Math.max(240, 40 + 22 * sizes.length)"
        :draw="inks => sizesChart(inks, sizes)"
      >
        <LogTable
          caption="Sizes said and found"
          :heads="['Bag', 'What', 'Said', 'The tape']"
          :rows="sizeRows"
        />
      </LogChart>
    </div>
  </section>
</template>

<style scoped>
.charts { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 26rem), 1fr)); gap: 1.6rem 2.4rem; }
</style>

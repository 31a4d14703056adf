<script setup lang="ts">
import { computed } from 'vue'
import { CRAFT_SECONDS } from '~~/core/making/log/rulesOfThumb'
import { isInside } from '~~/core/making/log/calibration'
import { SIDE_WORDS } from '~~/core/making/log/facts'
import type { BagFacts } from '~~/core/making/log/bagFacts'
import { keyWords } from '~~/core/making/log/paceKey'
import { formatCm, formatLength } from '~~/core/things/measure/format'
import { translate } from '~~/core/things/stitch/translate'
import { formatGrams, formatMetres } from '~~/core/things/measure/amounts'
import { paceChart, roundsChart, sizesChart, yarnChart } from '~/looks/charts'
import type { Taught } from '~/stores/logbook'
import { useSettings } from '~/stores/settings'

/** A bag planned against made, in pictures; each with its table. */
const props = defineProps<{ facts: BagFacts, taught?: Taught | undefined }>()
const settings = useSettings()
const told = (text: string) => translate(text, { terms: settings.terms, units: settings.units ?? 'cm' })
const WHEN = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })

const sizes = computed(() => props.facts.sizes.map(one => ({ ...one, name: `${one.part}, ${SIDE_WORDS[one.what]} (${one.rounds})` })))
const paces = computed(() => props.facts.pace.map(({ key, kind, minutes, stitches }) => ({
  name: told(keyWords(key)), craft: CRAFT_SECONDS[kind], own: (60 * minutes) / stitches,
})))
const yarns = computed(() => props.facts.yarn.map(({ name, grams, saidMetres }) => {
  const taught = props.taught?.hands.yarn.find(one => one.name === name)
  // What stands on this bag alone says nothing of it.
  const said = taught && taught.gramsPerMetre.bags > 1 ? { said: saidMetres * taught.gramsPerMetre.value } : {}
  return { name, grams, saidMetres, ...said }
}))
const sizeRows = computed(() => sizes.value.map(one => [
  one.name, formatLength({ cm: one.saidCm, plusMinusCm: one.plusMinusCm }, props.facts.units), formatCm(one.cm, props.facts.units),
  isInside(one) ? 'yes' : 'no',
]))
const yarnRows = computed(() => yarns.value.map(({ name, saidMetres, said, grams }) => [
  name, formatMetres(saidMetres, props.facts.units), said === undefined ? '–' : formatGrams(said, props.facts.units),
  formatGrams(grams, props.facts.units),
]))
</script>

<template>
  <div class="charts">
    <LogChart
      v-if="facts.timeline.length > 1"
      title="Rounds over time"
      :draw="inks => roundsChart(inks, facts.timeline, facts.rounds.planned)"
    >
      <LogTable
        caption="Sittings"
        :heads="['Sitting', 'From', 'Minutes']"
        :rows="facts.sittings.map(({ from, minutes }, i) => [String(i + 1), WHEN.format(from), String(Math.round(minutes))])"
      />
    </LogChart>
    <LogChart
      v-if="sizes.length > 0"
      title="Sizes: said with their band, and the tape"
      :height="Math.max(200, 60 + 26 * sizes.length)"
      :draw="inks => sizesChart(inks, sizes)"
    >
      <LogTable
        caption="Sizes said and measured"
        :heads="['What (after rounds)', 'Said', 'The tape', 'In its band']"
        :rows="sizeRows"
      />
    </LogChart>
    <LogChart
      v-if="paces.length > 0"
      title="Pace by stitch: seconds a stitch"
      :draw="inks => paceChart(inks, paces)"
    >
      <LogTable
        caption="Pace by stitch"
        :heads="['Stitch', 'You', 'The craft (rule of thumb)']"
        :rows="paces.map(({ name, own, craft }) => [name, `${own.toFixed(1)} s`, `${craft.toFixed(1)} s`])"
      />
    </LogChart>
    <LogChart
      v-if="yarns.length > 0"
      title="Yarn: said, and weighed"
      :height="150"
      :draw="inks => yarnChart(inks, yarns)"
    >
      <LogTable
        caption="Yarn said and weighed"
        :heads="['Yarn', 'The plan', 'At your weight a metre', 'Weighed']"
        :rows="yarnRows"
      />
    </LogChart>
  </div>
</template>

<style scoped>
.charts { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 28rem), 1fr)); gap: 1.6rem 2.4rem; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { CRAFT_SECONDS } from '~~/core/making/log/rulesOfThumb'
import { keyWords } from '~~/core/making/log/paceKey'
import type { Estimate } from '~~/core/making/log/estimate'
import { translate } from '~~/core/things/stitch/translate'
import type { Taught } from '~/stores/logbook'
import { useSettings } from '~/stores/settings'

/** The maker's skill, each figure with its range, and where it comes from. */
const props = defineProps<{ taught: Taught }>()
const settings = useSettings()
const told = (text: string) => translate(text, { terms: settings.terms, units: settings.units ?? 'cm' })

type Row = readonly string[]

function bags({ bags: number }: Pick<Estimate, 'bags'>): string {
  return number === 0 ? 'the craft' : `you, ${number} ${number === 1 ? 'bag' : 'bags'}`
}
/** A figure and its range, with one unit for both. */
function figures(one: Estimate, say: (value: number) => string, unit: string): Row {
  return [`${say(one.value)} ${unit}`, `${say(one.low)} to ${say(one.high)} ${unit}`, bags(one)]
}
const tenths = (value: number) => value.toFixed(1)
const signed = (value: number) => `${value >= 1 ? '+' : '−'}${Math.abs(100 * (value - 1)).toFixed(1)}`

const pace = computed<Row[]>(() => props.taught.hands.pace.map(({ key, kind, seconds: one }) => [
  told(keyWords(key)), ...figures(one, tenths, 's'), `${CRAFT_SECONDS[kind].toFixed(1)} s`,
]))
function over(one: Estimate | undefined): string {
  if (!one) return '–'
  const [is, from, to] = [one.value, one.high, one.low].map(cm => (10 / cm).toFixed(1))
  return `${is} (${from} to ${to})`
}
const tension = computed<Row[]>(() => props.taught.hands.tension.map(({ hookMm, yarn, key, widthCm, heightCm }) => [
  told(keyWords(key)), `${yarn}, ${hookMm} mm`, over(widthCm), over(heightCm),
  bags({ bags: Math.max(widthCm?.bags ?? 0, heightCm?.bags ?? 0) }),
]))
const other = computed<Row[]>(() => {
  const { tired, again, swatch, yarn, flat, evenings } = props.taught.hands
  return [
    ['Late in a sitting a stitch takes longer by', ...figures(tired, signed, '%')],
    ['Ripping back adds to a bag\'s time', ...figures(again, signed, '%')],
    ['Bags beside their swatches, across', ...figures(swatch.width, signed, '%')],
    ['Bags beside their swatches, up', ...figures(swatch.height, signed, '%')],
    ...yarn.map(({ name, gramsPerMetre }): Row => [
      `A metre of the plan, in ${name}`, ...figures(gramsPerMetre, value => value.toFixed(2), 'g'),
    ]),
    ...flat.map(({ kind, from, to, increases, bags: number }): Row => [
      told(`Floors in {${kind}} that lay flat, share of edge (${increases.join(', ')} increases a round)`),
      from === to ? from.toFixed(2) : `${from.toFixed(2)} to ${to.toFixed(2)}`, '', bags({ bags: number }),
    ]),
    [
      'A sitting', `${Math.round(evenings.minutes)} min`, `one every ${evenings.daysApart.toFixed(1)} days`,
      evenings.sittings < 3 ? 'the craft' : `you, ${evenings.sittings} sittings`,
    ],
  ]
})
const FROM = { craft: 'from the craft\'s tables', swatch: 'from a swatch', you: 'from your own bags' } as const
const calibration = computed(() => props.taught.calibration.map(({ from, said, inside, middleOff }) =>
  `Of ${said} sizes said ${FROM[from]}, ${inside} fell inside their band (${Math.round((100 * inside) / said)} %); half were off by `
  + `less than ${(100 * middleOff).toFixed(1)} %.`))
</script>

<template>
  <section aria-label="What your hands have taught">
    <h2 class="ruled">
      What your hands have taught
    </h2>
    <p class="soft">
      Where it says “the craft”, nothing of yours is known yet: a rule of thumb. Ranges hold nine times of ten.
    </p>
    <div class="two">
      <div>
        <h3>Pace: seconds a stitch</h3>
        <LogTable
          caption="Pace"
          :heads="['Stitch', 'Is', 'Range', 'Known from', 'The craft']"
          :rows="pace"
        />
      </div>
      <div>
        <h3>And besides</h3>
        <LogTable
          caption="And besides"
          :heads="['What', 'Is', 'Range', 'Known from']"
          :rows="other"
        />
      </div>
    </div>
    <h3>Tension: over 10 cm, by yarn and hook</h3>
    <LogTable
      caption="Tension"
      :heads="['Stitch', 'Yarn and hook', 'Stitches across', 'Rounds up', 'Known from']"
      :rows="tension"
    />
    <h3>How good the forecasts were</h3>
    <p
      v-for="line in calibration"
      :key="line"
    >
      {{ line }}
    </p>
    <p class="soft">
      Bags are worked otherwise than squares. A new bag can start from what your finished ones taught: on the bench, under Swatch, “From
      your logbook”.
    </p>
  </section>
</template>

<style scoped>
.two { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr); gap: 1rem 2rem; }
@media (--narrow-screens) { .two { grid-template-columns: minmax(0, 1fr); } }
.two > div { min-width: 0; }
h3 { margin: 0.9rem 0 0.2rem; }
p { margin: 0.4rem 0; }
</style>

<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { Draft } from '~~/core/bag/draft/draft'
import type { Skill } from '~~/core/making/log/skill'
import { formatCm } from '~~/core/things/measure/format'
import type { Change } from '~~/core/parts/part/finding'
import type { Wants } from '~~/core/household/shelf/enough'
import { likest, substitute } from '~~/core/household/shelf/substitute'
import type { ShelfYarn } from '~~/core/household/shelf/yarn'
import { likelyClasses } from '~~/core/bag/yarn/likelyClasses'
import { formatGramsRange, formatRunning } from '~~/core/things/measure/amounts'
import { useUnits } from '~/composables/useUnits'
import { useSwatches } from '~/stores/swatches'
import { useTranslate } from '~/composables/useTranslate'

/** Another yarn of the shelf in the place of one of the bag's: what it does to size, weight and feel, what to swatch; and to take it. */
const props = defineProps<{ draft: Draft, yarn: string, now: ShelfYarn | undefined, shelf: readonly ShelfYarn[], hands: Skill }>()
const emit = defineEmits<{ take: [label: string, changes: readonly Change[]] }>()

const swatches = useSwatches()
onMounted(() => swatches.swatches.length === 0 && void swatches.load())
const told = useTranslate()

const others = computed(() =>
  likest((props.now ?? likelyClasses(props.draft)[0]).metresPer100g, props.shelf, props.now?.id))
const chosen = ref<string>()
const next = computed(() => others.value.find(({ id }) => id === chosen.value))
const found = computed(() => {
  if (!next.value) return undefined
  const own = swatches.swatches.find(({ unreadable, document: { shelf, gauge } }) =>
    !unreadable && shelf === next.value!.id && !gauge.assumed)
  return substitute({
    drafted: props.draft, yarn: props.yarn, now: props.now, hands: props.hands,
    ...(own ? { swatch: { gauge: own.document.gauge, name: own.document.name } } : {}),
  }, next.value)
})
const units = useUnits()
const range = ({ low, high }: Wants) => formatGramsRange(Math.floor(low), Math.ceil(high), units.value)
const cm = (value: number) => formatCm(value, props.draft.design.units)
const rows = computed(() => {
  if (!found.value) return []
  const { before, after } = found.value
  return [
    ['Lying flat', `${cm(before.wideCm)} by ${cm(before.tallCm)}`, `${cm(after.wideCm)} by ${cm(after.tallCm)}`],
    ['Stitches', before.stitches.toLocaleString('en'), after.stitches.toLocaleString('en')],
    ['Takes', range(before.wants), range(after.wants)],
  ]
})
const lasts = computed(() => {
  if (!found.value) return ''
  const percent = Math.min(99, Math.max(1, Math.round(100 * found.value.lasts)))
  return `What lies there of it lasts: ${percent} %.`
})
</script>

<template>
  <div class="other">
    <PickField
      v-model="chosen"
      label="From the shelf, the likest first"
      :items="others.map(({ id, name, metresPer100g }) => ({ value: id, title: `${name}, ${formatRunning(metresPer100g, units)}` }))"
    />
    <template v-if="found">
      <table>
        <thead>
          <tr>
            <td />
            <th scope="col">
              now
            </th>
            <th scope="col">
              then
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="[what, now_, then] in rows"
            :key="what"
          >
            <th scope="row">
              {{ what }}
            </th>
            <td>{{ now_ }}</td>
            <td>{{ then }}</td>
          </tr>
        </tbody>
      </table>
      <p
        v-for="line in [...found.says, lasts]"
        :key="line"
      >
        {{ told(line) }}
      </p>
      <p><strong>To swatch first</strong></p>
      <ul>
        <li
          v-for="line in found.swatch"
          :key="line"
        >
          {{ told(line) }}
        </li>
      </ul>
      <v-btn
        size="small"
        variant="tonal"
        color="primary"
        @click="emit('take', found.label, found.changes)"
      >
        Draft it in {{ found.yarn.name }}
      </v-btn>
    </template>
  </div>
</template>

<style scoped>
.other { display: flex; flex-direction: column; gap: 0.4rem; padding-bottom: 0.5rem; }
p { margin: 0.2rem 0; }
ul { margin: 0 0 0.4rem; padding-left: 1.1rem; }
table { border-collapse: collapse; width: 100%; margin: 0.3rem 0; }
th { text-align: left; font-weight: 500; padding: 0.15rem 0.5rem 0.15rem 0; }
thead th, td { text-align: right; }
td { font-family: var(--figures); padding: 0.15rem 0 0.15rem 0.5rem; }
.v-btn { height: auto; min-height: 2rem; white-space: normal; text-align: left; max-width: 100%; }
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Draft } from '~~/core/bag/draft/draft'
import type { Skill } from '~~/core/making/log/skill'
import { formatGrams, formatGramsRange, formatMetres } from '~~/core/things/measure/amounts'
import type { Change } from '~~/core/parts/part/finding'
import { oddsWords, SURE_ENOUGH } from '~~/core/household/shelf/enough'
import { lastsWords, needOfShelf } from '~~/core/household/shelf/yarnNeed'
import type { ShelfYarn } from '~~/core/household/shelf/yarn'
import { yarnNeeds, yarnShares } from '~~/core/bag/yarn/yarn'
import { useTranslate } from '~/composables/useTranslate'
import { useYarns } from '~/stores/yarns'

/** Need of a bag for one of its yarns: in all, part by part, in grams and balls with their odds, and whether the shelf has enough. */
const props = defineProps<{ draft: Draft, id: string, onShelf?: ShelfYarn | undefined, hands: Skill }>()
const emit = defineEmits<{ take: [label: string, changes: readonly Change[]] }>()

const shelf = useYarns()
const say = useTranslate()
const units = computed(() => props.draft.design.units)
/** Another yarn is worked out once somebody asks. */
const asked = ref(false)
const others = computed(() => shelf.yarns.some(({ unreadable, document: { id } }) => !unreadable && id !== props.onShelf?.id))
const need = computed(() => yarnNeeds(props.draft).find(({ yarn }) => yarn.id === props.id))
const told = computed(() => need.value && props.onShelf ? needOfShelf(need.value, props.onShelf, props.hands) : undefined)
const grams = (metres: number) => told.value ? formatGrams(metres * told.value.eats.gramsPerMetre, units.value) : ''
const SORTS = { rounds: '', pieces: ', worked apart', cords: ', cords', ends: ' to weave in' } as const
const shares = computed(() => yarnShares(props.draft).filter(({ yarn }) => yarn === props.id)
  .map(({ name, of, metres }) => ({ name: `${name}${SORTS[of]}`, metres: formatMetres(metres, units.value), grams: grams(metres) })))
const short = computed(() => told.value !== undefined && told.value.haveGrams > 0 && told.value.lasts < SURE_ENOUGH)

const BY = {
  craft: 'by the craft\'s factors, good to a third', unravelled: 'by your unravelled row', swatch: 'by your weighed swatch',
  log: 'by your bags',
} as const
const takes = computed(() => {
  const metres = `Takes about ${formatMetres(Math.ceil(need.value!.metres), units.value)}`
  if (!told.value) return `${metres}. Point it to a yarn of the shelf for grams, balls and odds.`
  const { wants: { low, high }, eats: { from } } = told.value
  return `${metres}, ${formatGramsRange(Math.floor(low), Math.ceil(high), units.value)} (${BY[from]}). ${enough.value}.`
})
const enough = computed(() => {
  if (!told.value) return ''
  const { enough: sure, fewer } = told.value.balls
  return [oddsWords(sure), ...(fewer ? [oddsWords(fewer)] : [])].join('; ')
})
</script>

<template>
  <div
    v-if="need"
    class="needed"
  >
    <p>
      {{ takes }} <strong v-if="told">{{ say(lastsWords(told)) }}</strong>
    </p>
    <LazyShortYarn
      v-if="short && told"
      :draft="draft"
      :yarn="id"
      :have-grams="told.haveGrams"
      :eats="told.eats"
      @take="fix => emit('take', fix.label, fix.changes)"
    />
    <LazyUseUp
      v-if="told && told.haveGrams > 0"
      :draft="draft"
      :yarn="id"
      :have-grams="told.haveGrams"
      :eats="told.eats"
      @take="(label, changes) => emit('take', label, changes)"
    />
    <LazyBallsInOrder
      v-if="told && onShelf"
      :draft="draft"
      :yarn="id"
      :balls="onShelf.balls"
      :eats="told.eats"
    />
    <details
      v-if="others"
      @toggle="asked = true"
    >
      <summary>Another yarn instead</summary>
      <LazyOtherYarn
        v-if="asked"
        :draft="draft"
        :yarn="id"
        :now="onShelf"
        :shelf="shelf.yarns.filter(({ unreadable }) => !unreadable).map(({ document }) => document)"
        :hands="hands"
        @take="(label, changes) => emit('take', label, changes)"
      />
    </details>
    <details>
      <summary>Part by part</summary>
      <table>
        <tbody>
          <tr
            v-for="share in shares"
            :key="share.name"
          >
            <th scope="row">
              {{ share.name }}
            </th>
            <td>{{ share.metres }}</td>
            <td v-if="share.grams">
              {{ share.grams }}
            </td>
          </tr>
        </tbody>
      </table>
    </details>
  </div>
</template>

<style scoped>
.needed { font-size: 0.86rem; line-height: 1.4; }
p { margin: 0; }
summary { cursor: pointer; min-height: 1.6rem; }
table { border-collapse: collapse; width: 100%; }
th { text-align: left; font-weight: 400; padding: 0.1rem 0.6rem 0.1rem 0; }
td { text-align: right; font-family: var(--figures); white-space: nowrap; padding: 0.1rem 0 0.1rem 0.6rem; }
</style>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answersTo, type PlacedField, said, withinOf } from '~~/core/parts/field/placedField'
import { asksFigure, figureAnswered } from '~~/core/parts/field/figureAnswer'
import { textAnswered } from '~~/core/parts/field/textAnswer'
import { formatCm } from '~~/core/things/measure/format'
import type { Asking } from '~/composables/useAnswers'
import { useTranslate } from '~/composables/useTranslate'

/** One question, as its sort is asked, and what it asks further as it is answered now. */
const props = defineProps<{ put: PlacedField, asking: Asking }>()

const field = computed(() => props.put.field)
const told = useTranslate()
const label = computed(() => told(said(field.value.label, props.asking.spec, props.asking.now)))
const why = computed(() => field.value.why && told(field.value.why))
const answers = computed(() => answersTo(props.put, props.asking.spec, props.asking.now))
const within = computed(() => withinOf(props.put))
function write(text: string): void {
  const changes = textAnswered(props.put, text)
  if (changes) props.asking.answer(label.value, changes, group.value)
}

/** Sorts of input that browsers have for days and hours. */
const DATED = { text: 'text', notes: 'text', day: 'date', time: 'time' } as const

const figured = computed(() => props.put.value as number | undefined)
const group = computed(() => props.put.path.join('.'))

function choose(at: number): void {
  const { name, changes } = answers.value[at]!
  props.asking.answer(`${label.value}: ${name}`, changes)
}

/** Why what was typed was not taken, though it is a number within its bounds. */
const refused = ref<string>()
watch(figured, () => (refused.value = undefined))

function type(value: number | undefined): void {
  refused.value = props.asking.answer(label.value, figureAnswered(props.put, value, props.asking.spec), group.value)
}
</script>

<template>
  <ChoiceField
    v-if="answers.length > 0"
    :label="label"
    :why="why"
    :card="field.card"
    :value="answers.findIndex(({ chosen }) => chosen)"
    :choices="answers.map((answer, at) => ({ ...answer, value: at }))"
    @change="choose"
  />
  <YarnChoice
    v-else-if="field.is === 'yarn'"
    :yarns="asking.yarns"
    :value="put.value as string"
    @change="asking.answer(label, [{ path: put.path, value: $event }])"
  />
  <LazyBandStack
    v-else-if="field.is === 'kinds' && field.list"
    :label="label"
    :field="field"
    :path="put.path"
    :asking="asking"
  />
  <LazyListField
    v-else-if="field.is === 'list'"
    :label="label"
    :field="field"
    :path="put.path"
    :asking="asking"
  />
  <v-textarea
    v-else-if="field.is === 'text' && field.as === 'notes'"
    :label="label"
    :model-value="(put.value as string | undefined) ?? ''"
    :maxlength="field.most"
    rows="2"
    auto-grow
    @update:model-value="write"
  />
  <v-text-field
    v-else-if="field.is === 'text'"
    :label="label"
    :type="DATED[field.as ?? 'text']"
    :model-value="(put.value as string | undefined) ?? ''"
    :maxlength="field.most"
    @update:model-value="write"
  />
  <template v-if="asksFigure(put)">
    <div v-if="field.is === 'length'">
      <LengthField
        :label="label"
        :cm="figured"
        :units="asking.units"
        :bounds="field.bounds"
        :usually="field.usually"
        :why="why"
        :card="field.card"
        :may-be-empty="field.optional"
        :refused="refused"
        @change="type"
        @clear="type(undefined)"
      />
      <div
        v-if="field.picks"
        class="usual"
      >
        <span>Usual:</span>
        <v-btn
          v-for="pick in field.picks"
          :key="pick.name"
          size="small"
          :variant="Math.abs(pick.cm - (figured ?? -1)) < 0.05 ? 'tonal' : 'outlined'"
          @click="type(pick.cm)"
        >
          {{ pick.name }} {{ formatCm(pick.cm, asking.units) }}
        </v-btn>
      </div>
    </div>
    <SumField
      v-else-if="field.is === 'count' && field.sum"
      :label="label"
      :hundredths="figured"
      :currency="asking.currency"
      :may-be-empty="field.optional"
      @change="type"
    />
    <CountField
      v-else-if="field.is === 'count' || field.is === 'figure'"
      :label="label"
      :value="figured"
      :bounds="field.bounds"
      :usually="field.usually"
      :why="why"
      :card="field.card"
      :suffix="field.is === 'figure' ? field.unit : field.suffix"
      :units="asking.units"
      :parts="field.is === 'figure'"
      :may-be-empty="field.optional"
      :refused="refused"
      @change="type"
      @clear="type(undefined)"
    />
  </template>
  <AskedFields
    v-if="within"
    :fields="within.fields"
    :asking="asking"
    :at="within.at"
    :skip="within.skip"
  />
</template>

<style scoped>
.usual { margin-top: 0.45rem; display: flex; flex-wrap: wrap; gap: 0.4rem; align-items: center; }
.usual { font-size: 0.86rem; color: var(--soft-ink); }
</style>

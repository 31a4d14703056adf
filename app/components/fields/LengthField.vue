<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { CardId } from '~~/core/things/entry/cards'
import type { Bounds } from '~~/core/parts/field/field'
import { fieldFigure, formatCm, type Units } from '~~/core/things/measure/format'
import { parseLengthCm } from '~~/core/things/measure/parse'

/** A length typed in the maker's units, or left out if it may be. Only one within bounds leaves the field; else it is told beside it. */
const props = defineProps<{
  label: string
  cm: number | undefined
  units: Units
  bounds: Bounds
  usually?: Bounds | undefined
  why?: string | undefined
  card?: CardId | undefined
  mayBeEmpty?: boolean | undefined
  refused?: string | undefined
}>()
const emit = defineEmits<{ change: [cm: number], clear: [] }>()

const shown = () => (props.cm === undefined ? '' : fieldFigure(props.cm, props.units))
const text = ref(shown())
const focused = ref(false)
const trouble = ref('')
const usual = computed(() => {
  const { least, most } = props.usually ?? props.bounds
  return `${props.usually ? 'Usually' : 'From'} ${formatCm(least, props.units)} to ${formatCm(most, props.units)}`
})
const unit = computed(() => props.units === 'in' ? 'in' : 'cm')

function show(): void {
  text.value = shown()
  trouble.value = ''
}

watch(() => [props.cm, props.units] as const, ([cm, units], [, oldUnits]) => {
  const typed = parseLengthCm(text.value, units)
  if (!focused.value || oldUnits !== units || typed === undefined || cm === undefined || Math.abs(typed - cm) > 1e-6) show()
})

function take(typed: string): void {
  text.value = typed
  if (props.mayBeEmpty && typed.trim() === '') {
    trouble.value = ''
    if (props.cm !== undefined) emit('clear')
    return
  }
  const cm = parseLengthCm(typed, props.units)
  const { least, most } = props.bounds
  if (cm === undefined) {
    trouble.value = props.units === 'in' ? 'Type a length, such as 4 3/4' : 'Type a length, such as 12.5'
    return
  }
  if (cm < least - 1e-9 || cm > most + 1e-9) {
    trouble.value = `From ${formatCm(least, props.units)} to ${formatCm(most, props.units)}`
    return
  }
  trouble.value = ''
  if (props.cm === undefined || Math.abs(cm - props.cm) > 1e-6) emit('change', Math.round(cm * 1000) / 1000)
}

function leave(): void {
  focused.value = false
  if (!trouble.value && !props.refused) show()
}
</script>

<template>
  <FigureField
    :label="label"
    :text="text"
    :worded="units === 'in'"
    :suffix="unit"
    :usual="usual"
    :why="why"
    :card="card"
    :trouble="trouble || (refused ?? '')"
    @focus="focused = true"
    @blur="leave"
    @type="take"
  />
</template>

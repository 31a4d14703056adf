<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { CardId } from '~~/core/things/entry/cards'
import type { Bounds } from '~~/core/parts/field/field'
import { askedIn } from '~~/core/things/measure/amounts'
import type { Units } from '~~/core/things/measure/format'
import { parseFigure } from '~~/core/things/stitch/parseFigure'

/**
 * A number typed, whole unless `parts` are allowed, and left out if it may be empty; up and down keys count. Only a sound one leaves the
 * field.
 */
const props = defineProps<{
  label: string
  value: number | undefined
  bounds: Bounds
  suffix?: string | undefined
  /** The unit for a message, where the field has no room for one. */
  counts?: string | undefined
  /** The maker's units: with inches go ounces, pounds and yards, whatever is kept. */
  units?: Units | undefined
  usually?: Bounds | undefined
  why?: string | undefined
  card?: CardId | undefined
  parts?: boolean
  mayBeEmpty?: boolean | undefined
  refused?: string | undefined
}>()
const emit = defineEmits<{ change: [value: number], clear: [] }>()

const on = computed(() => askedIn(props.suffix, props.units ?? 'cm'))
const hundredths = (value: number) => Math.round(100 * value) / 100
const asIs = computed(() => on.value.each === 1)
const shown = (value: number | undefined) =>
  value === undefined ? '' : String(asIs.value ? value : hundredths(value / on.value.each))
function read(typed: string): number | undefined {
  const value = parseFigure(typed, on.value.unit)
  return value === undefined || asIs.value ? value : Math.round(1000 * value * on.value.each) / 1000
}
const here = ({ least, most }: Bounds): Bounds =>
  asIs.value ? { least, most } : { least: hundredths(least / on.value.each), most: hundredths(most / on.value.each) }
const text = ref(shown(props.value))
const trouble = ref('')

watch(
  () => [props.value, on.value.unit] as const,
  ([value]) => {
    if (read(text.value) !== value) {
      text.value = shown(value)
      trouble.value = ''
    }
  },
)

function take(typed: string): void {
  text.value = typed
  if (props.mayBeEmpty && typed.trim() === '') {
    trouble.value = ''
    if (props.value !== undefined) emit('clear')
    return
  }
  const value = read(typed)
  const { least, most } = props.bounds
  const sound = value !== undefined && value >= least && value <= most && (props.parts || Number.isInteger(value))
  const told = here(props.bounds)
  const unit = props.counts ?? on.value.unit
  const number = props.parts ? 'number' : 'whole number'
  trouble.value = sound ? '' : `Type a ${number} from ${told.least} to ${told.most}${unit ? ` ${unit}` : ''}`
  if (sound && value !== props.value) emit('change', value)
}

const usual = computed(() => {
  const { least, most } = here(props.usually ?? props.bounds)
  return `${props.usually ? 'Usually' : 'From'} ${least} to ${most}`
})

function count(by: number): void {
  const { least, most } = props.bounds
  take(shown(Math.min(most, Math.max(least, (props.value ?? least) + by * on.value.each))))
}
</script>

<template>
  <FigureField
    :label="label"
    :text="text"
    :worded="suffix === 'mm'"
    :suffix="on.unit"
    :usual="usual"
    :why="why"
    :card="card"
    :trouble="trouble || (refused ?? '')"
    @keydown.up.prevent="count(1)"
    @keydown.down.prevent="count(-1)"
    @type="take"
  />
</template>

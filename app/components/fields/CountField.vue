<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { CardId } from '~~/core/entry/cards'
import type { Bounds } from '~~/core/field/field'
import { parseFigure } from '~~/core/stitch/parseFigure'

/**
 * A number typed, whole unless `parts` are allowed, and left out if it may be empty; up and down keys count. Only a sound one leaves the
 * field.
 */
const props = defineProps<{
  label: string
  value: number | undefined
  bounds: Bounds
  suffix?: string | undefined
  usually?: Bounds | undefined
  why?: string | undefined
  card?: CardId | undefined
  parts?: boolean
  mayBeEmpty?: boolean | undefined
  refused?: string | undefined
}>()
const emit = defineEmits<{ change: [value: number], clear: [] }>()

const shown = (value: number | undefined) => (value === undefined ? '' : String(value))
const text = ref(shown(props.value))
const trouble = ref('')

watch(
  () => props.value,
  (value) => {
    if (parseFigure(text.value, props.suffix) !== value) {
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
  const value = parseFigure(typed, props.suffix)
  const { least, most } = props.bounds
  const sound = value !== undefined && value >= least && value <= most && (props.parts || Number.isInteger(value))
  trouble.value = sound ? '' : `A ${props.parts ? 'number' : 'whole number'} from ${least} to ${most}`
  if (sound && value !== props.value) emit('change', value)
}

const usual = computed(() => {
  const { least, most } = props.usually ?? props.bounds
  return `${props.usually ? 'Usually' : 'From'} ${least} to ${most}`
})

function count(by: number): void {
  take(String(Math.min(props.bounds.most, Math.max(props.bounds.least, (props.value ?? props.bounds.least) + by))))
}
</script>

<template>
  <FigureField
    :label="label"
    :text="text"
    :worded="suffix === 'mm'"
    :suffix="suffix"
    :usual="usual"
    :why="why"
    :card="card"
    :trouble="trouble || (refused ?? '')"
    @keydown.up.prevent="count(1)"
    @keydown.down.prevent="count(-1)"
    @type="take"
  />
</template>

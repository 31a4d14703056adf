<script setup lang="ts">
import { ref, watch } from 'vue'
import { hundredthsIn, sum } from '~~/core/household/shelf/money'

/** A sum of money, kept in whole hundredths; only a sound one leaves the field, and nothing where it may be left out. */
const props = defineProps<{
  label: string
  hundredths: number | undefined
  currency?: string | undefined
  mayBeEmpty?: boolean | undefined
}>()
const emit = defineEmits<{ change: [hundredths: number | undefined] }>()

const shown = (value: number | undefined) => (value === undefined ? '' : sum(value).replaceAll(',', ''))
const text = ref(shown(props.hundredths))
const trouble = ref('')
watch(() => props.hundredths, (value) => {
  if (hundredthsIn(text.value) !== value) text.value = shown(value)
})

function take(typed: string): void {
  text.value = typed
  const empty = typed.trim() === ''
  const value = hundredthsIn(typed)
  trouble.value = value === undefined && !(empty && props.mayBeEmpty) ? 'Type a sum such as 4.50' : ''
  if (trouble.value === '' && value !== props.hundredths) emit('change', value)
}
</script>

<template>
  <FigureField
    :label="label"
    :text="text"
    :suffix="currency"
    :trouble="trouble"
    @type="take"
  />
</template>

<script setup lang="ts">
import { onBeforeUnmount, ref, useId, watch } from 'vue'
import { useLabelRoom } from '~/composables/useLabelRoom'
import type { CardId } from '~~/core/things/entry/cards'
import { useToldToForm } from '~/composables/useFormTrouble'

/**
 * A field for a figure: tabular digits, the unit behind it, what is usual while it has the focus. What is wrong with it is told below when
 * the typing rests or the field is left, not at every key.
 */
const props = defineProps<{
  label: string
  text: string
  suffix?: string | undefined
  trouble: string
  usual?: string | undefined
  why?: string | undefined
  card?: CardId | undefined
  /** Makers type more than figures here: fractions, the names of hooks. */
  worded?: boolean
}>()
const emit = defineEmits<{ type: [text: string], focus: [], blur: [] }>()
const id = useId()
const place = ref<HTMLElement>()
const isAbove = useLabelRoom(place, () => props.label)

const REST_MS = 900
/** Longer than a press of a button takes. */
const PRESS_MS = 400
const told = ref(props.trouble)
const focused = ref(false)
let resting: ReturnType<typeof setTimeout>
watch(() => [props.trouble, props.text], ([trouble]) => {
  clearTimeout(resting)
  if (!trouble || !focused.value || told.value) told.value = trouble!
  else resting = setTimeout(() => (told.value = props.trouble), REST_MS)
})
onBeforeUnmount(() => clearTimeout(resting))
useToldToForm(() => props.trouble, () => (told.value = props.trouble))

function enter(): void {
  focused.value = true
  emit('focus')
}

function leave({ relatedTarget }: FocusEvent): void {
  focused.value = false
  clearTimeout(resting)
  emit('blur')
  // A button that is being pressed must not move away from under the pointer: its click would be lost.
  if (relatedTarget instanceof HTMLButtonElement) resting = setTimeout(() => (told.value = props.trouble), PRESS_MS)
  else told.value = props.trouble
}
</script>

<template>
  <div
    ref="place"
    class="asked"
  >
    <label
      v-if="isAbove"
      :for="id"
      class="above"
    >{{ label }}</label>
    <v-text-field
      :id="id"
      :label="isAbove ? undefined : label"
      :model-value="text"
      :suffix="suffix"
      :error-messages="told"
      :aria-invalid="told ? 'true' : undefined"
      :inputmode="worded ? 'text' : 'decimal'"
      autocomplete="off"
      class="figure-field"
      @focus="enter"
      @blur="leave"
      @update:model-value="emit('type', $event)"
    />
    <span
      v-if="focused && usual && !told"
      class="usual"
    >{{ usual }}</span>
    <WhyMark
      v-if="why"
      :word="label"
      :why="why"
      :card="card"
    />
  </div>
</template>

<style scoped>
/* Wide enough for what is typed wherever it stands, a row of fields or a narrow column. */
.asked {
  display: grid; grid-template-columns: minmax(0, 1fr); align-content: start; align-items: start; align-self: start;
  flex: 1 1 auto; min-width: min(7rem, 100%); position: relative;
}
.above { grid-column: 1 / -1; font-size: 0.75rem; line-height: 1rem; color: var(--soft-ink); padding: 0 0.3rem 0.15rem; }
.asked:has(> .why) { grid-template-columns: minmax(0, 1fr) auto; gap: 0 0.4rem; }
.asked > :deep(.why) { display: contents; }
.asked > :deep(.why button) { margin-top: 0.5rem; }
.asked > :deep(.why .told), .asked > :deep(.why .drawn) { grid-column: 1 / -1; }
.usual {
  position: absolute; z-index: 3; left: 0.6rem; top: calc(100% - 0.35rem); padding: 0.05rem 0.5rem; border-radius: 3px;
  background: var(--ink); color: var(--paper); font-size: 0.8rem; white-space: nowrap; pointer-events: none;
}
.figure-field :deep(input) { font-family: var(--figures); }
</style>

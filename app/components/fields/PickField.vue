<script setup lang="ts" generic="V extends string | number">
import { mdiMenuDown } from '@mdi/js'
import { computed, nextTick, useId } from 'vue'

/** One of a list, by the device's own, which every hand and voice knows; what stands at nothing does something with what is picked. */
interface Item { readonly value: V, readonly title: string }

const props = defineProps<{ label: string, modelValue?: V | null | undefined, items: readonly Item[] }>()
const emit = defineEmits<{ 'update:modelValue': [V] }>()
const id = useId()
const at = computed(() => props.items.findIndex(({ value }) => value === props.modelValue))

function pick(event: Event): void {
  const list = event.target as HTMLSelectElement
  emit('update:modelValue', props.items[list.selectedIndex - (at.value < 0 ? 1 : 0)]!.value)
  // Whoever listens decides what it stands at.
  void nextTick(() => (list.selectedIndex = at.value < 0 ? 0 : at.value))
}
</script>

<template>
  <div class="pick-field">
    <label :for="id">{{ label }}</label>
    <slot />
    <select
      :id="id"
      @change="pick"
    >
      <option
        v-if="at < 0"
        disabled
        selected
      >
        …
      </option>
      <option
        v-for="({ value, title }, i) in items"
        :key="value"
        :selected="i === at"
      >
        {{ title }}
      </option>
    </select>
    <v-icon
      :icon="mdiMenuDown"
      class="more"
      aria-hidden="true"
    />
    <fieldset aria-hidden="true">
      <legend>{{ label }}</legend>
    </fieldset>
  </div>
</template>

<style scoped>
.pick-field { position: relative; display: flex; align-items: center; min-width: 0; min-height: 2.5rem; }
label {
  position: absolute; top: -0.5rem; left: 0.8rem; max-width: calc(100% - 1.6rem); overflow: hidden; text-overflow: ellipsis;
  white-space: nowrap; font-size: 0.75rem; line-height: 1rem; color: var(--soft-ink); pointer-events: none;
}
select {
  appearance: none; flex: 1; align-self: stretch; min-width: 0; padding: 0.3rem 2.2rem 0.3rem 1rem; border: 0; border-radius: 4px;
  outline: 0; background: none; color: inherit; font: inherit; text-overflow: ellipsis; cursor: pointer;
}
.more { position: absolute; right: 0.5rem; color: var(--soft-ink); pointer-events: none; }
select option { background: var(--sheet); color: var(--ink); }
/* The outline parts for the name, as it does around a field that is typed in. */
fieldset {
  position: absolute; inset: -0.5rem 0 0; margin: 0; padding: 0 0.5rem; border: 1px solid var(--strong-line); border-radius: 4px;
  pointer-events: none; min-width: 0;
}
legend { max-width: 100%; padding: 0 0.3rem; height: 1rem; font-size: 0.75rem; white-space: nowrap; visibility: hidden; overflow: hidden; }
.pick-field:hover fieldset { border-color: var(--ink); }
select:focus-visible ~ fieldset, select:focus ~ fieldset { border: 2px solid var(--accent); }
select:focus ~ fieldset { padding: 0 calc(0.5rem - 1px); }
@media (pointer: coarse) { .pick-field { min-height: 2.75rem; } }
</style>

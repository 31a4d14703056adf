<script setup lang="ts">
import { ref } from 'vue'
import { formatGrams } from '~~/core/things/measure/amounts'
import { parseNumber } from '~~/core/things/measure/parse'
import { useScales } from '~/composables/useScales'
import { useUnits } from '~/composables/useUnits'

/** The kitchen scales, where nobody types a weight: what they show, and to take it once it has settled. */
defineProps<{ label: string }>()
const emit = defineEmits<{ take: [grams: number] }>()
const { name, reading, watchThem, leave, put, tare } = useScales()
const units = useUnits()
const open = ref(false)
const load = ref('')

function look(): void {
  open.value = true
  watchThem()
}
function place(typed: string): void {
  load.value = typed
  const grams = parseNumber(typed.replace(/\s*g$/i, ''))
  if (grams !== undefined && grams >= 0 && grams <= 100_000) put(grams)
}
function take(): void {
  emit('take', reading.value.grams)
  open.value = false
  leave()
}
function close(): void {
  open.value = false
  leave()
}
</script>

<template>
  <TouchButton
    v-if="!open"
    @click="look"
  >
    {{ label }}
  </TouchButton>
  <fieldset v-else>
    <legend>{{ name }}</legend>
    <output
      class="figures shown"
      :class="{ settled: reading.settled }"
    >{{ formatGrams(reading.grams, units) }}</output>
    <span class="soft">{{ reading.settled ? 'settled' : 'settling' }}</span>
    <label>
      No scales are joined on: say what would lie there
      <input
        :value="load"
        inputmode="decimal"
        autocomplete="off"
        aria-label="What lies on the stand-in, in grams"
        @input="place(($event.target as HTMLInputElement).value)"
      > g
    </label>
    <div class="doing">
      <TouchButton
        :disabled="!reading.settled || reading.grams < 0"
        @click="take"
      >
        Take {{ formatGrams(reading.grams, units) }}
      </TouchButton>
      <TouchButton
        title="What lies on them counts as nothing from now on: a bowl, a tray"
        @click="tare"
      >
        Zero
      </TouchButton>
      <TouchButton
        @click="close"
      >
        Close
      </TouchButton>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 1px solid var(--line); border-radius: 6px; padding: 0.4rem 0.8rem 0.8rem; margin: 0;
  display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 0.9rem;
}
legend { padding: 0 0.3rem; font-size: 0.84rem; }
.shown { font-size: 1.7rem; min-width: 6rem; color: var(--soft-ink); }
.settled { color: var(--ink); font-weight: 640; }
label { flex: 1 0 100%; font-size: 0.88rem; }
input {
  width: 5rem; height: 2.2rem; padding: 0 0.5rem; font: inherit; color: inherit; background: var(--paper);
  border: 1px solid var(--strong-line); border-radius: 4px;
}
.doing { display: flex; flex-wrap: wrap; gap: 0.4rem; }
</style>

<script setup lang="ts">
import { mdiUndoVariant } from '@mdi/js'
import type { BeatSize, SizeChoice } from '~~/core/readers/beats/size'
import { useHookSettings } from '~/stores/hookSettings'

/** Buttons under the thumb: one back, how much a tap does, done. */
defineProps<{
  going: boolean
  stands: boolean
  finished: boolean
  canGoBack: boolean
  own: BeatSize
  /** The deed that undo takes back: in a word for the button, and in full for screen readers. */
  undoes: { readonly word: string, readonly full: string } | undefined
}>()
const emit = defineEmits<{ on: [], back: [], finish: [] }>()
const hookSettings = useHookSettings()

const SIZES: readonly { readonly value: SizeChoice, readonly name: string, readonly long: string }[] = [
  { value: 'own', name: 'Own', long: 'As each round wants it' }, { value: 'stitch', name: 'Stitch', long: 'Stitch by stitch' },
  { value: 'group', name: 'Group', long: 'Group by group' }, { value: 'round', name: 'Round', long: 'Whole rounds' },
]
</script>

<template>
  <footer :class="`thumb-${hookSettings.thumb}`">
    <button
      type="button"
      class="back"
      :disabled="!canGoBack"
      :aria-label="undoes ? `Undo ${undoes.full}` : 'Undo'"
      :title="undoes ? `Undo ${undoes.full}` : undefined"
      @click="emit('back')"
    >
      <svg
        viewBox="0 0 24 24"
        aria-hidden="true"
      ><path :d="mdiUndoVariant" /></svg>
      <span
        v-if="undoes"
        aria-hidden="true"
      >{{ undoes.word }}</span>
    </button>
    <fieldset class="sizes">
      <legend class="only-heard">
        One tap does
      </legend>
      <label
        v-for="size in SIZES"
        :key="size.value"
        :class="{ chosen: hookSettings.size === size.value, own: hookSettings.size === 'own' && own === size.value }"
      >
        <input
          type="radio"
          name="size"
          :value="size.value"
          :checked="hookSettings.size === size.value"
          :aria-label="size.long"
          @change="hookSettings.size = size.value"
        >{{ size.name }}
      </label>
    </fieldset>
    <button
      v-if="going"
      type="button"
      class="done"
      :disabled="stands"
      @click="emit('on')"
    >
      Done
    </button>
    <button
      v-else
      type="button"
      class="done"
      :disabled="finished"
      @click="emit('finish')"
    >
      {{ finished ? 'Finished' : 'Finish' }}
    </button>
  </footer>
</template>

<style scoped>
footer { display: grid; grid-template-columns: auto minmax(0, 1fr) minmax(0, 1.1fr); gap: 0.5rem; align-items: stretch; }
footer.thumb-left { direction: rtl; }
footer.thumb-left > * { direction: ltr; }
footer button { min-height: min(4rem, 15vh); border-radius: 0.9rem; cursor: pointer; }
.back { width: min(4rem, 17vw); border: 2px solid var(--strong-line); background: none; color: inherit; }
.back span { display: block; font-size: min(0.78rem, 3.1vw); line-height: 1.1; color: var(--soft-ink); }
.back:disabled { opacity: 0.4; }
.done { border: 0; background: var(--accent); color: rgb(var(--v-theme-on-primary)); font: 680 min(1.5rem, 6.4vw) var(--v-font-heading); }
.done:disabled { opacity: 0.5; }
.sizes { border: 0; margin: 0; padding: 0; min-width: 0; display: grid; grid-template-columns: 1fr 1fr; gap: 2px; }
.sizes label {
  position: relative; display: grid; place-items: center; border: 1px solid var(--line); border-radius: 0.4rem;
  font-size: min(0.85rem, 3.3vw); line-height: 1.1; color: var(--soft-ink); cursor: pointer; overflow: hidden;
}
.sizes .chosen {
  border-color: var(--accent); background: var(--wash); color: var(--ink); font-weight: 650; box-shadow: inset 0 -3px 0 var(--accent);
}
.sizes .own { color: var(--ink); border-style: dashed; border-color: var(--strong-line); }
.sizes input { position: absolute; inset: 0; opacity: 0; margin: 0; cursor: pointer; }
.sizes label:has(:focus-visible) { outline: 2px solid var(--accent); }
.back svg { width: 26px; height: 26px; fill: currentColor; }
@media (--beside) { .sizes label { font-size: 1rem; } }
</style>

<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue'
import { lyingWords } from '~~/core/readers/words/floorWords'
import { countByWeight, countedWords } from '~~/core/parts/part/worst'
import { useTranslate } from '~/composables/useTranslate'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** Result of a redraft, told once to who does not see it; and what was undone or done again, shown for a moment. */
const bag = useDocument()
const view = useView()
const told = useTranslate()
const heard = ref('')
const shown = ref('')
/** A change rests this long before it is told; what was undone is shown this long. */
const REST_MS = 900
const SHOWN_MS = 4_000
let resting: ReturnType<typeof setTimeout>
let showing: ReturnType<typeof setTimeout>

function tellDraft(): void {
  const { design: { units }, sizes, findings } = view.still
  const watching = countedWords(countByWeight(findings))
  heard.value = `${sizes.stitches.toLocaleString('en')} stitches in ${sizes.rounds} rounds, `
    + `${lyingWords(sizes, units)}${watching ? `; ${watching}` : ''}.`
}

watch(() => view.still, () => {
  clearTimeout(resting)
  resting = setTimeout(tellDraft, REST_MS)
})
watch(() => bag.stepped, (step) => {
  if (!step) return
  clearTimeout(showing)
  shown.value = `${step.did === 'undo' ? 'Undone' : 'Done again'}: ${told(step.label)}`
  showing = setTimeout(() => (shown.value = ''), SHOWN_MS)
})
onBeforeUnmount(() => {
  clearTimeout(resting)
  clearTimeout(showing)
})
</script>

<template>
  <p
    class="only-heard"
    role="status"
  >
    {{ heard }}
  </p>
  <p
    class="undone"
    role="status"
  >
    {{ shown }}
  </p>
</template>

<style scoped>
.undone {
  position: fixed; left: 50%; bottom: 5.4rem; z-index: 20; transform: translateX(-50%); margin: 0; padding: 0.45rem 1rem;
  border-radius: 4px; background: var(--ink); color: var(--paper); max-width: 90vw;
}
.undone:empty { display: none; }
</style>

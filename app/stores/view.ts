import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { HandlesAs } from '~~/core/readers/chart/handles'
import type { Design } from '~~/core/bag/design/design'
import { applyFix as fixed } from '~~/core/bag/design/edit'
import { type Draft, draft as drafted } from '~~/core/bag/draft/draft'
import { looksSame } from '~~/core/bag/draft/withoutDrafting'
import type { Fix } from '~~/core/parts/part/finding'
import { fetchKinds } from '~/kinds/fetchKinds'
import { useDocument } from './document'

/** Typing rests after so long without a key. */
const REST_MS = 90

/** How the bag in hand is looked at; nothing of it is saved. */
export const useView = defineStore('view', () => {
  const bag = useDocument()
  /** The part in hand, by its id; `bag` is the whole. */
  const selected = ref('bag')
  /** A design that is only looked at: drawn in the place of the bag's own until it is let go. */
  const looked = shallowRef<Design>()
  let asked: Design | undefined
  /** The bag's draft, the same as before while only words about it change: what is drawn and counted from it stays. */
  const still = computed<Draft>(before => (before && looksSame(before, bag.draft) ? before : bag.draft))
  /**
   * The bag's draft once the typing rests: what is read, not looked at (words, schools, sizes nearby), is worked out from it, so that a key
   * is on the page before.
   */
  const settled = shallowRef<Draft>(still.value)
  let resting: ReturnType<typeof setTimeout> | undefined
  watch(still, (now) => {
    clearTimeout(resting)
    resting = setTimeout(() => (settled.value = now), REST_MS)
  }, { flush: 'sync' })
  const shown = computed(() => looked.value ? drafted(looked.value, { before: bag.draft }) : still.value)
  /** How far the cords of a casing are pulled in the drawing, 0 open to 1 tight; and how far they are threaded, 1 all the way. */
  const pulled = ref(0)
  const threaded = ref(1)
  const handlesAs = ref<HandlesAs>('held')

  /** Shows what the bag would be with a fix, without changing it; nothing to show the bag itself again. */
  function look(fix?: Fix): void {
    if (fix) lookAt(fixed(bag.design, fix).design)
    else looked.value = asked = undefined
  }

  /** Shows another state of the bag in its place. */
  function lookAt(design: Design): void {
    asked = design
    const coming = fetchKinds(design)
    if (coming) coming.then(() => asked === design && (looked.value = design), () => {})
    else looked.value = design
  }

  watch(() => bag.design, () => look(), { flush: 'sync' })
  watch(() => bag.isOpen, () => {
    clearTimeout(resting)
    settled.value = still.value
    selected.value = 'bag'
    pulled.value = 0
    threaded.value = 1
    look()
  }, { flush: 'sync' })

  return { selected, still, settled, shown, pulled, threaded, handlesAs, look, lookAt }
})

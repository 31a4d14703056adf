<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { type SearchHit, searchHits } from '~~/core/readers/words/search'
import { useReturnFocus } from '~/composables/useReturnFocus'
import { ask } from '~/stores/records'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'
import { useView } from '~/stores/view'
import { useSettings } from '~/stores/settings'
import { SCREENS } from './screens'

/** To any bag, part, round, screen or term, by a few letters of it. */
const open = defineModel<boolean>({ required: true })
useReturnFocus(open)
const bag = useDocument()
const saving = useSaving()
const view = useView()
const settings = useSettings()
const router = useRouter()

const props = defineProps<{ early: () => string }>()
const search = ref('')
const field = ref<HTMLInputElement>()
watch(field, (place) => {
  if (!place) return
  place.focus()
  search.value += props.early()
}, { flush: 'post' })
const at = ref(0)
const bags = shallowRef<readonly { id: string, name: string }[]>([])
let asked = 0
watch(search, async (find) => {
  at.value = 0
  const now = ++asked
  if (!find.trim()) return (bags.value = [])
  const page = await ask<{ bags: { id: string, name: string }[] }>('/api/designs', { query: { find, from: 0 } }).catch(() => undefined)
  if (page && now === asked) bags.value = page.bags.slice(0, 6)
})

const found = computed(() => {
  const here = searchHits(search.value, { draft: bag.isOpen ? bag.draft : undefined, screens: SCREENS, vocabulary: settings.terms })
  const others = bags.value.map(({ id, name }) => ({ sort: 'bag' as const, name, facts: '', to: id }))
  const first = here.filter(({ sort }) => sort === 'round' || sort === 'part')
  return [...first, ...others, ...here.filter(one => !first.includes(one))]
})

function go({ sort, to }: SearchHit | { sort: 'bag', to: string }): void {
  open.value = false
  if (sort === 'bag') void router.push(`/bags/${to}`)
  else if (sort === 'screen') void router.push(to)
  else if (sort === 'term') void router.push('/hook')
  else if (sort === 'round') void router.push({ path: `/bags/${saving.id}/pattern`, hash: `#round-${to}` })
  else {
    view.selected = to
    void router.push({ path: `/bags/${saving.id}`, query: { part: to } })
  }
}

function onKey(event: KeyboardEvent): void {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (by !== undefined) {
    event.preventDefault()
    at.value = (at.value + by + found.value.length) % Math.max(1, found.value.length)
  }
  else if (event.key === 'Enter' && found.value[at.value]) {
    event.preventDefault()
    go(found.value[at.value]!)
  }
}
</script>

<template>
  <v-dialog
    v-model="open"
    max-width="560"
    aria-label="Go to"
  >
    <section class="jump">
      <input
        ref="field"
        v-model="search"
        type="text"
        role="combobox"
        aria-label="Go to a bag, part, round, screen or term"
        aria-expanded="true"
        aria-controls="jump-found"
        :aria-activedescendant="found[at] ? `jump-${at}` : undefined"
        placeholder="A bag, a part, round 34, yarn, hdc …"
        autocomplete="off"
        @keydown="onKey"
      >
      <ul
        id="jump-found"
        role="listbox"
        aria-label="Found"
      >
        <li
          v-for="(one, i) in found"
          :id="`jump-${i}`"
          :key="`${one.sort}-${one.to}`"
          role="option"
          :aria-selected="i === at"
          @click="go(one)"
          @pointermove="at = i"
        >
          <span class="sort">{{ one.sort }}</span><strong>{{ one.name }}</strong><span class="soft">{{ one.facts }}</span>
        </li>
      </ul>
      <p
        v-if="found.length === 0"
        class="soft none"
        role="status"
      >
        Nothing is called so.
      </p>
    </section>
  </v-dialog>
</template>

<style scoped>
.jump { background: var(--sheet); color: var(--ink); border: 1px solid var(--strong-line); border-radius: 0.6rem; overflow: hidden; }
input {
  width: 100%; padding: 0.9rem 1.1rem; border: 0; border-bottom: 1px solid var(--line); background: none; color: inherit;
  font: 500 1.1rem var(--v-font-body);
}
input:focus-visible { outline: 2px solid var(--accent); outline-offset: -2px; }
ul { list-style: none; margin: 0; padding: 0.3rem 0; max-height: 55dvh; overflow-y: auto; }
li { display: flex; align-items: baseline; gap: 0.7rem; padding: 0.45rem 1.1rem; cursor: pointer; }
li[aria-selected='true'] { background: var(--wash); box-shadow: inset 3px 0 0 var(--accent); }
.sort { flex: none; width: 3.6rem; font-size: 0.82rem; color: var(--soft-ink); }
li .soft { font-size: 0.86rem; }
.none { margin: 0; padding: 0.7rem 1.1rem; }
</style>

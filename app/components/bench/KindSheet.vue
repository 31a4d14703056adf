<script setup lang="ts">
import { mdiClose, mdiMagnify } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { knowEveryKind } from '~~/core/bag/design/everyKind'
import { KIND_GROUPS } from '~~/core/parts/kind/kind'
import { wallKinds } from '~~/core/parts/wall/wall'
import { useTranslate } from '~/composables/useTranslate'
import { layersOf } from '~/looks/tileLayers'
import { tileOf } from '~/looks/tiles'

/** The kinds of part that a wall can have, drawn in the part's own yarn, in groups; searched by what they are called and what they do. */
const props = defineProps<{ value: string, colour: string }>()
const emit = defineEmits<{ pick: [kind: string] }>()
const open = defineModel<boolean>({ required: true })
const told = useTranslate()
const find = ref('')
const field = ref<{ readonly $el: HTMLElement }>()
/** The sheet is laid out after the dialog is. */
watch(field, place => place?.$el.querySelector('input')?.focus(), { flush: 'post' })

knowEveryKind()
const KINDS = wallKinds()
const groups = computed(() => {
  const words = find.value.toLowerCase().split(/\s+/).filter(Boolean)
  const fits = (text: string) => words.every(word => text.toLowerCase().includes(word))
  return KIND_GROUPS.map(group => ({
    group,
    kinds: KINDS.filter(kind => kind.group === group && fits(`${kind.name} ${kind.group} ${told(kind.does)}`))
      .map(kind => ({ ...kind, tile: tileOf(kind.kind) })),
  })).filter(({ kinds }) => kinds.length > 0)
})

/** The one that Enter takes: what is called so before what only speaks of it. */
const first = computed(() => {
  const kinds = groups.value.flatMap(({ kinds: own }) => own)
  return find.value && (kinds.find(({ name }) => name.includes(find.value.toLowerCase())) ?? kinds[0])?.kind
})

function pick(kind: string): void {
  if (kind !== props.value) emit('pick', kind)
  open.value = false
}
</script>

<template>
  <v-dialog
    v-model="open"
    max-width="780"
    scrollable
    aria-labelledby="kinds-title"
  >
    <section class="sheet">
      <header>
        <h2 id="kinds-title">
          What is this part?
        </h2>
        <IconButton
          :icon="mdiClose"
          name="Close"
          @click="open = false"
        />
        <v-text-field
          ref="field"
          v-model="find"
          class="seek"
          label="Find a kind"
          :prepend-inner-icon="mdiMagnify"
          hide-details
          clearable
          @keydown.enter.prevent="first && pick(first)"
        />
      </header>
      <div class="kinds">
        <p
          v-if="groups.length === 0"
          class="soft"
        >
          No kind is called so. Try “mesh”, “handle” or “edge”.
        </p>
        <section
          v-for="{ group, kinds } in groups"
          :key="group"
          :aria-label="group"
        >
          <h3>{{ group }}</h3>
          <ul>
            <li
              v-for="kind in kinds"
              :key="kind.kind"
            >
              <button
                type="button"
                :aria-pressed="kind.kind === value"
                @click="pick(kind.kind)"
              >
                <svg
                  :viewBox="`${kind.tile.left} ${kind.tile.top} ${kind.tile.width} ${kind.tile.height}`"
                  preserveAspectRatio="xMidYMid slice"
                  aria-hidden="true"
                >
                  <path
                    v-for="(layer, i) in layersOf(kind.tile, colour, kind.sample.bare)"
                    :key="i"
                    v-bind="layer"
                  />
                </svg>
                <strong>{{ kind.name }}</strong>
                <span>{{ told(kind.does) }}</span>
              </button>
            </li>
          </ul>
        </section>
      </div>
    </section>
  </v-dialog>
</template>

<style scoped>
.sheet {
  display: flex; flex-direction: column; max-height: min(46rem, 90dvh); background: var(--sheet); color: var(--ink);
  border: 1px solid var(--strong-line); border-radius: 0.6rem;
}
header {
  display: grid; grid-template-columns: 1fr auto; gap: 0.6rem; align-items: center; padding: 1rem 1.2rem 0.8rem;
  border-bottom: 1px solid var(--line);
}
.seek { grid-column: 1 / -1; }
.kinds { overflow-y: auto; padding: 0.8rem 1.2rem 1.2rem; }
.kinds section + section { margin-top: 1.1rem; }
ul {
  list-style: none; margin: 0.4rem 0 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(10.2rem, 1fr));
  gap: 0.6rem;
}
button {
  display: grid; grid-template-columns: 1fr; align-content: start; width: 100%; height: 100%; padding: 0; border: 1px solid var(--line);
  border-radius: 4px; overflow: hidden; background: var(--paper); color: inherit; font: inherit; text-align: left; cursor: pointer;
}
button:hover { border-color: var(--strong-line); }
button[aria-pressed='true'] { border-color: var(--accent); box-shadow: inset 0 -3px 0 var(--accent); }
svg { width: 100%; height: 3.4rem; display: block; background: var(--sheet); }
strong { padding: 0.35rem 0.55rem 0; font-weight: 640; }
button span { padding: 0.1rem 0.55rem 0.5rem; font-size: 0.82rem; line-height: 1.3; color: var(--soft-ink); }
@media (--phone) { ul { grid-template-columns: 1fr 1fr; } button span { display: none; } strong { padding-bottom: 0.45rem; } }
</style>

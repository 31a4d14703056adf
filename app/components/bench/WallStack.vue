<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiContentDuplicate, mdiDeleteOutline, mdiDragVertical, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { isStopped } from '~~/core/draft/part'
import { useStack } from '~/composables/useStack'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** The wall's parts from the mouth down, to be picked, dragged, doubled and thrown out; by keyboard with Alt and the arrows. */
const bag = useDocument()
const view = useView()
const { full, addAbove, addHandles, duplicate, remove, move } = useStack()

const rows = computed(() =>
  bag.design.wall
    .map((spec, index) => {
      const part = bag.draft.parts.find(({ id }) => id === spec.id)
      const colours = [...new Set('stripes' in spec && spec.stripes ? spec.stripes.map(({ colour }) => colour) : [spec.colour])]
      return {
        id: spec.id, colours: colours.map(id => bag.design.yarns.find(yarn => yarn.id === id)?.colour ?? '#ccc'),
        name: part?.name ?? `Wall ${index + 1}`,
        facts: !part ? 'not reached' : part.rounds.length > 0 ? `${part.rounds.length} × ${part.edge.count} sts` : 'no round',
        stopped: !part || isStopped(part), lowest: index === 0, highest: index === bag.design.wall.length - 1,
      }
    })
    .reverse(),
)

/** The part in hand, if it is one of the wall's: a new band goes above it. */
const inHand = computed(() => rows.value.find(({ id }) => id === view.selected)?.id)

/** What carries the bag is there, or stands there and only does not fit yet. */
const handled = computed(() =>
  bag.draft.parts.some(({ handles, findings }) => handles.length > 0 || findings.some(({ code }) => code === 'slot-runs')),
)

/** The list runs from the top down, the wall from the floor up. */
function dropped({ oldIndex, newIndex }: { oldIndex?: number | undefined, newIndex?: number | undefined }): void {
  if (oldIndex !== undefined && newIndex !== undefined) move(rows.value[oldIndex]!.id, oldIndex - newIndex)
}

function onKey(event: KeyboardEvent, id: string): void {
  if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return
  event.preventDefault()
  move(id, event.key === 'ArrowUp' ? 1 : -1)
}
</script>

<template>
  <fieldset class="stack">
    <legend>The wall, from the mouth down</legend>
    <VueDraggable
      :model-value="rows"
      handle=".handle"
      :animation="120"
      tag="ol"
      @end="dropped"
    >
      <li
        v-for="row in rows"
        :key="row.id"
        :class="{ chosen: view.selected === row.id }"
      >
        <v-icon
          :icon="mdiDragVertical"
          class="handle"
          size="20"
          aria-hidden="true"
        />
        <button
          type="button"
          class="pick"
          :aria-pressed="view.selected === row.id"
          :aria-label="`${row.name}: ${row.facts}. Alt and up or down arrow moves it`"
          @click="view.selected = row.id"
          @keydown="onKey($event, row.id)"
        >
          <span class="dots"><span
            v-for="colour in row.colours"
            :key="colour"
            :style="{ background: colour }"
          /></span>
          <span class="name">{{ row.name }}</span>
          <span
            class="facts"
            :class="{ stopped: row.stopped }"
          >{{ row.facts }}</span>
        </button>
        <span
          v-if="view.selected === row.id"
          class="verbs"
        >
          <v-btn
            :icon="mdiArrowUp"
            size="x-small"
            :disabled="row.highest"
            :aria-label="`Move ${row.name} up`"
            @click="move(row.id, 1)"
          />
          <v-btn
            :icon="mdiArrowDown"
            size="x-small"
            :disabled="row.lowest"
            :aria-label="`Move ${row.name} down`"
            @click="move(row.id, -1)"
          />
          <v-btn
            :icon="mdiContentDuplicate"
            size="x-small"
            :disabled="full"
            :aria-label="`Double ${row.name}`"
            @click="duplicate(row.id)"
          />
          <v-btn
            :icon="mdiDeleteOutline"
            size="x-small"
            :aria-label="`Remove ${row.name}`"
            @click="remove(row.id)"
          />
        </span>
      </li>
    </VueDraggable>
    <v-btn
      :prepend-icon="mdiPlus"
      size="small"
      variant="outlined"
      :disabled="full"
      @click="addAbove(inHand)"
    >
      {{ rows.length === 0 ? 'Add a wall' : inHand === undefined ? 'Band on top' : 'Band above' }}
    </v-btn>
    <v-btn
      v-if="rows.length > 0 && !handled"
      :prepend-icon="mdiPlus"
      size="small"
      variant="outlined"
      class="ml-2"
      :disabled="full"
      @click="addHandles"
    >
      Handles on top
    </v-btn>
  </fieldset>
</template>

<style scoped>
.stack { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.25rem; }
ol { list-style: none; margin: 0 0 0.5rem; padding: 0; border-bottom: 1px solid var(--line); }
ol:empty { display: none; }
li { display: flex; flex-wrap: wrap; align-items: center; border-top: 1px solid var(--line); background: var(--sheet); }
.chosen { background: var(--wash); box-shadow: inset 3px 0 0 var(--accent); }
.handle { cursor: grab; color: var(--soft-ink); margin: 0 0.1rem 0 0.25rem; touch-action: none; }
.pick { flex: 1; min-width: 0; display: flex; align-items: center; gap: 0.5rem; min-height: 2.3rem; padding: 0.2rem 0.5rem 0.2rem 0.2rem; border: 0; background: none; color: inherit; font: inherit; text-align: left; cursor: pointer; }
.dots { display: inline-flex; flex: none; }
.dots span { width: 0.85rem; height: 0.85rem; border-radius: 50%; border: 1px solid var(--strong-line); margin-left: -0.25rem; }
.dots span:first-child { margin-left: 0; }
.name { flex: 1; min-width: 0; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; font-weight: 560; }
.facts { font-size: 0.85rem; color: var(--soft-ink); font-variant-numeric: tabular-nums; white-space: nowrap; }
.stopped { color: rgb(var(--v-theme-error)); }
.verbs { flex: 1 0 100%; display: flex; justify-content: flex-end; padding: 0 0.3rem 0.25rem; }
</style>

<script setup lang="ts">
import { wallPartOf } from '~~/core/bag/draft/fold/draftPart'
import { mdiPlus } from '@mdi/js'
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import { partNames } from '~~/core/bag/design/partNames'
import type { DraftPart } from '~~/core/bag/draft/draft'
import { useStack } from '~/composables/useStack'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'
import type { ListedPart } from './PartRow.vue'

/** The bag's parts from the mouth down to the floor: a menu, in which those of the wall are dragged or moved. */
const bag = useDocument()
const view = useView()
const { full, addAbove, addHandles, move } = useStack()
const list = ref<HTMLElement>()

const colourOf = (id: string) => bag.design.yarns.find(yarn => yarn.id === id)?.colour ?? '#cccccc'
const drafted = (id: string) => view.still.parts.find(part => part.id === id)
const findingsOf = (id: string) => view.still.findings.filter(({ part }) => part === id)

function factsOf(part: DraftPart | undefined): string {
  if (!part) return 'not reached'
  return part.rounds.length > 0 ? `${part.rounds.length} × ${part.edge.count} sts` : 'no round'
}

const walls = computed(() => {
  const names = partNames(bag.design)
  return bag.design.wall.map((spec, index): ListedPart => {
    const colours = 'stripes' in spec && spec.stripes ? spec.stripes.map(({ colour }) => colour) : [spec.colour]
    return {
      id: spec.id, colours: [...new Set(colours)].map(colourOf), name: names[index]!, facts: factsOf(drafted(spec.id)),
      findings: findingsOf(spec.id), moves: true,
    }
  }).reverse()
})

/** The foot of the wall: the turn-up and the base. */
const below = computed(() =>
  view.still.parts.filter(part => !wallPartOf(part)).reverse().map((part): ListedPart => ({
    id: part.id, name: part.name, facts: factsOf(part), findings: findingsOf(part.id), moves: false,
    colours: [...new Set(part.rounds.map(({ round }) => round.colour))].map(colourOf),
  })))

/** Of a part of the wall in hand the heading says what can be done. */
const inHand = computed(() => walls.value.some(({ id }) => id === view.selected))

/** Carries: whether something that carries the bag is there, or stands there and only does not fit yet. */
const handled = computed(() =>
  view.still.parts.some(({ handles, findings }) => handles.length > 0 || findings.some(({ code }) => code === 'slot-runs')),
)

/** A row that was moved keeps the focus. */
async function moveOn(id: string, by: number): Promise<void> {
  move(id, by)
  await nextTick()
  list.value?.querySelector<HTMLElement>(`[data-part="${CSS.escape(id)}"]`)?.focus()
}

const wall = ref<HTMLElement>()
const drags = ref(false)
let letGo: (() => void) | undefined

/**
 * Code for dragging is fetched when the pointer comes near; where one points with a finger, at once. If it does not come, the parts are
 * moved by their buttons, and it is asked for again the next time.
 */
async function drag(): Promise<void> {
  if (letGo) return
  const fetched = await import('vue-draggable-plus').catch(() => undefined)
  if (!fetched || !wall.value || letGo) return
  const { useDraggable } = fetched
  // What is dropped is moved in the document, and the list follows that.
  const rows = computed({ get: () => [...walls.value], set: () => undefined })
  const dragging = useDraggable(wall.value, rows, { immediate: false, handle: '.handle', animation: 120, onEnd: dropped })
  dragging.start()
  letGo = () => dragging.destroy()
  drags.value = true
}
onMounted(() => matchMedia('(pointer: coarse)').matches && void drag())
onBeforeUnmount(() => letGo?.())

/** The list runs from the top down, the wall from the floor up. */
function dropped({ oldIndex, newIndex }: { oldIndex?: number | undefined, newIndex?: number | undefined }): void {
  if (oldIndex !== undefined && newIndex !== undefined) move(walls.value[oldIndex]!.id, oldIndex - newIndex)
}
</script>

<template>
  <div
    ref="list"
    class="stack"
  >
    <ol
      ref="wall"
      :class="{ drags }"
      aria-label="The wall, from the mouth down"
      @pointerenter="drag"
    >
      <PartRow
        v-for="row in walls"
        :key="row.id"
        :row="row"
        :chosen="view.selected === row.id"
        @pick="view.selected = row.id"
        @move="by => moveOn(row.id, by)"
      />
    </ol>
    <ol aria-label="What it stands on">
      <PartRow
        v-for="row in below"
        :key="row.id"
        :row="row"
        :chosen="view.selected === row.id"
        @pick="view.selected = row.id"
      />
    </ol>
    <div class="adding">
      <v-btn
        v-if="!inHand"
        :prepend-icon="mdiPlus"
        size="small"
        variant="outlined"
        :disabled="full"
        @click="addAbove()"
      >
        {{ walls.length === 0 ? 'Add a wall' : 'Band on top' }}
      </v-btn>
      <v-btn
        v-if="walls.length > 0 && !handled"
        :prepend-icon="mdiPlus"
        size="small"
        variant="outlined"
        :disabled="full"
        @click="addHandles"
      >
        Handles on top
      </v-btn>
    </div>
  </div>
</template>

<style scoped>
ol { list-style: none; margin: 0; padding: 0; }
ol:last-of-type { margin-bottom: 0.5rem; border-bottom: 1px solid var(--line); }
ol:empty { display: none; }
ol.drags :deep(.handle) { cursor: grab; }
.adding { display: flex; flex-wrap: wrap; gap: 0.5rem; }
</style>

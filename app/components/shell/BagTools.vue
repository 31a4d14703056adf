<script setup lang="ts">
import { mdiHistory, mdiRedo, mdiUndo } from '@mdi/js'
import { ref } from 'vue'
import { useShortcuts } from '~/composables/useShortcuts'
import { useTakeUp } from '~/composables/useTakeUp'
import { useTranslate } from '~/composables/useTranslate'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'
import { useView } from '~/stores/view'

/** Buttons for the bag in hand on any of its screens: whether it is saved, undo, redo, earlier states. */
const bag = useDocument()
const saving = useSaving()
const view = useView()
const told = useTranslate()
const takeUp = useTakeUp()
const router = useRouter()
const remembering = ref(false)

function along(by: number): void {
  const parts = ['bag', ...bag.draft.parts.map(({ id }) => id)]
  view.selected = parts[(parts.indexOf(view.selected) + by + parts.length) % parts.length]!
}

const SHORTCUTS = [
  { key: 'd', does: 'Draft the bag, on the bench', run: () => void router.push(`/bags/${saving.id}`) },
  { key: 'w', does: 'The written pattern', run: () => void router.push(`/bags/${saving.id}/pattern`) },
  { key: 'h', does: 'Take it up: follow it at the hook', run: () => void takeUp() },
  { key: 'u', does: 'Undo', run: bag.undo }, { key: 'Ctrl+Z', does: 'Undo, while you type too', run: bag.undo },
  { key: 'Ctrl+Shift+Z', does: 'Redo, while you type too', run: bag.redo },
  { key: 'r', does: 'Redo', run: bag.redo },
  { key: 'e', does: 'Earlier states of the bag', run: () => (remembering.value = !remembering.value) },
  { key: ']', does: 'Select the next part up', run: () => along(1) },
  { key: '[', does: 'Select the part below', run: () => along(-1) },
]
useShortcuts(() => (bag.isOpen ? SHORTCUTS : []))
</script>

<template>
  <template v-if="bag.isOpen">
    <SavedMark />
    <IconButton
      :icon="mdiUndo"
      :disabled="!bag.undoLabel"
      :name="bag.undoLabel ? `Undo: ${told(bag.undoLabel)}` : 'Nothing to undo'"
      :hint="bag.undoLabel ? `Undo: ${told(bag.undoLabel)} (u)` : 'Nothing to undo'"
      @click="bag.undo"
    />
    <IconButton
      :icon="mdiRedo"
      class="roomy"
      :disabled="!bag.redoLabel"
      :name="bag.redoLabel ? `Redo: ${told(bag.redoLabel)}` : 'Nothing to redo'"
      :hint="bag.redoLabel ? `Redo: ${told(bag.redoLabel)} (r)` : 'Nothing to redo'"
      @click="bag.redo"
    />
    <IconButton
      :icon="mdiHistory"
      class="wide-only"
      name="Earlier states of the bag"
      hint="Earlier states (e)"
      @click="remembering = !remembering"
    />
    <LazyBagVersions
      v-if="remembering"
      v-model="remembering"
    />
  </template>
</template>

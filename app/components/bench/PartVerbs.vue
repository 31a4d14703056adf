<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiContentDuplicate, mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed, nextTick } from 'vue'
import type { WallPart } from '~~/core/bag/design/design'
import { useStack } from '~/composables/useStack'
import { useDocument } from '~/stores/document'

/** Buttons for the part in hand as one of the wall's. */
const props = defineProps<{ band: WallPart, name: string }>()
const emit = defineEmits<{ leave: [] }>()
const bag = useDocument()
const { full, addAbove, duplicate, remove, move } = useStack()
const at = computed(() => bag.design.wall.findIndex(({ id }) => id === props.band.id))

/** A verb that takes its own button away leaves the focus on the heading. */
async function stay(verb: () => void): Promise<void> {
  verb()
  await nextTick()
  if (!document.activeElement || document.activeElement === document.body) emit('leave')
}
</script>

<template>
  <div
    class="verbs"
    role="group"
    :aria-label="`What to do with ${name}`"
  >
    <v-btn
      :prepend-icon="mdiPlus"
      size="small"
      variant="outlined"
      :disabled="full"
      @click="addAbove(band.id)"
    >
      Band above
    </v-btn>
    <span class="spring" />
    <IconButton
      :icon="mdiArrowUp"
      size="x-small"
      :disabled="at === bag.design.wall.length - 1"
      :name="`Move ${name} up`"
      hint="Move up"
      @click="stay(() => move(band.id, 1))"
    />
    <IconButton
      :icon="mdiArrowDown"
      size="x-small"
      :disabled="at === 0"
      :name="`Move ${name} down`"
      hint="Move down"
      @click="stay(() => move(band.id, -1))"
    />
    <IconButton
      :icon="mdiContentDuplicate"
      size="x-small"
      :disabled="full"
      :name="`Double ${name}`"
      hint="Double"
      @click="stay(() => duplicate(band.id))"
    />
    <IconButton
      :icon="mdiDeleteOutline"
      size="x-small"
      :name="`Remove ${name}`"
      hint="Remove"
      @click="stay(() => remove(band.id))"
    />
  </div>
</template>

<style scoped>
.verbs { display: flex; align-items: center; gap: 0.15rem; }
.spring { flex: 1; }
</style>

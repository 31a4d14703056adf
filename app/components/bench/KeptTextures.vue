<script setup lang="ts">
import { mdiTrayArrowDown } from '@mdi/js'
import { computed, onMounted, ref } from 'vue'
import type { WallPart } from '~~/core/bag/design/design'
import { SWATCH_VERSION } from '~~/core/bag/design/versions'
import { ASSUMED_GAUGE } from '~~/core/bag/design/starter'
import { isInTexture, keptTexture } from '~~/core/bag/design/textureSwatch'
import { kindOf } from '~~/core/parts/wall/wall'
import { hookLabel } from '~~/core/things/stitch/hooks'
import type { Asking } from '~/composables/useAnswers'
import { useDocument } from '~/stores/document'
import { useSwatches } from '~/stores/swatches'

/** Swatches of a part's texture that are kept: one to take, and this part's own to keep. */
const props = defineProps<{ spec: WallPart, asking: Asking }>()
const bag = useDocument()
const shelf = useSwatches()
onMounted(() => void shelf.load())

const own = computed(() => keptTexture(props.spec, bag.design.repeats))
const fitting = computed(() => shelf.swatches.filter(({ unreadable, document: { texture } }) =>
  !unreadable && texture && isInTexture(props.spec, texture, bag.design.repeats)))

function take(id: string | null): void {
  const kept = fitting.value.find(one => one.id === id)?.document
  if (kept) props.asking.answer(`Swatch: ${kept.name}`, [{ path: ['swatch'], value: kept.texture!.counted }])
}

const done = ref('')
async function keep(): Promise<void> {
  const { design } = bag
  const title = kindOf(props.spec).name
  const yarn = design.yarns.find(({ id }) => id === props.spec.colour)?.name ?? ''
  // On a hook of its own the plain stitches of the bag's swatch are nobody's count.
  const gauge = props.spec.hook ? { ...ASSUMED_GAUGE, ...props.spec.hook } : design.gauge
  const name = `${design.name}: ${title}`.slice(0, 80)
  const added = await shelf.add({
    fairHollow: 'swatch', version: SWATCH_VERSION, name, note: '', yarn, gauge, texture: own.value,
  })
  done.value = added ? `Kept as “${name}”, for further bags.` : shelf.trouble.join(' ')
}
</script>

<template>
  <div
    v-if="own || fitting.length > 0"
    class="kept"
  >
    <PickField
      v-if="fitting.length > 0"
      label="Take a kept swatch of it"
      :model-value="null"
      :items="fitting.map(({ id, document }) => ({ value: id, title: `${document.name}, ${hookLabel(document.gauge.hookMm)}` }))"
      @update:model-value="take"
    />
    <v-btn
      v-if="own"
      size="small"
      variant="outlined"
      :prepend-icon="mdiTrayArrowDown"
      @click="keep"
    >
      Keep this swatch for further bags
    </v-btn>
    <p
      role="status"
      class="soft"
    >
      {{ done }}
    </p>
  </div>
</template>

<style scoped>
.kept { display: flex; flex-direction: column; gap: 0.5rem; align-items: flex-start; }
.kept > :first-child { align-self: stretch; }
.kept .v-btn { align-self: flex-start; }
p { margin: 0; font-size: 0.86rem; }
p:empty { display: none; }
</style>

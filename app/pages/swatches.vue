<script setup lang="ts">
import { useTrashNote } from '~/composables/useTrashNote'
import { useEntering } from '~/composables/useEntering'
import { SWATCH_VERSION } from '~~/core/bag/design/versions'
import { swatchUpToDate } from '~~/core/bag/design/migrate'
import { ASSUMED_GAUGE } from '~~/core/bag/design/starter'
import { useSwatches } from '~/stores/swatches'

useHead({ title: 'Swatches · Fair Hollow' })
const shelf = useSwatches()
const { gone, throwAway, takeBack } = useTrashNote(shelf)
const { entering, enter, leave, keep, write } = useEntering('swatch', shelf, () => shelf.swatches, swatchUpToDate)

function start(): void {
  enter({ fairHollow: 'swatch', version: SWATCH_VERSION, name: 'New swatch', note: '', yarn: '', gauge: ASSUMED_GAUGE })
}
</script>

<template>
  <div class="swatches">
    <ShelfHeader
      title="Swatches"
      about="Count a square you worked: a bag drafted from your own gauge comes out the size you asked for."
      start="Enter a swatch"
      file-label="A swatch's file"
      @start="start"
      @file="shelf.bringIn"
    />
    <TroubleNote
      :lines="shelf.trouble"
      title="That did not work"
    />
    <LazySwatchForm
      v-if="entering"
      :key="entering.kept?.id ?? 'new'"
      :document="entering.document"
      @enter="write"
      @keep="keep"
      @leave="leave"
    />
    <ul>
      <RecordItem
        v-for="kept in shelf.swatches"
        :key="kept.id"
        :record="kept"
        what="swatch"
        path="swatches"
        @change="enter(kept.document, kept)"
        @remove="throwAway(kept.id)"
      >
        <template
          v-if="!kept.unreadable"
          #picture
        >
          <SwatchSquare
            :gauge="kept.document.gauge"
            :texture="kept.document.texture"
          />
        </template>
        <p>{{ kept.document.yarn }}</p>
        <SwatchFacts
          :gauge="kept.document.gauge"
          :texture="kept.document.texture"
        />
      </RecordItem>
    </ul>
    <TrashNote
      :name="gone?.document.name"
      @back="takeBack"
      @close="gone = undefined"
    />
  </div>
</template>

<style scoped>
.swatches { max-width: 60rem; margin: 0 auto; padding: 1.8rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.4rem; }
ul { margin: 0; padding: 0; }
</style>

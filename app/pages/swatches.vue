<script setup lang="ts">
import { useTrashNote } from '~/composables/useTrashNote'
import { onMounted, shallowRef } from 'vue'
import { SWATCH_VERSION, type SwatchDocument } from '~~/core/bag/design/design'
import { swatchUpToDate } from '~~/core/bag/design/migrate'
import { ASSUMED_GAUGE } from '~~/core/bag/design/starter'
import { unfinishedFormOf } from '~/keeping/unfinishedForms'
import type { KeptRecord } from '~/stores/records'
import { useSwatches } from '~/stores/swatches'

useHead({ title: 'Swatches · Fair Hollow' })
const shelf = useSwatches()
const written = unfinishedFormOf<SwatchDocument>('swatch')
const { gone, throwAway, takeBack } = useTrashNote(shelf)
onMounted(async () => {
  await shelf.load()
  const left = written.left()
  const kept = left?.id === undefined ? undefined : shelf.swatches.find(({ id }) => id === left.id)
  if (left && (left.id === undefined || kept)) enter(swatchUpToDate(left.document), kept)
})

/** The swatch being entered; `kept` when it is an old one. */
const entering = shallowRef<{ document: SwatchDocument, kept?: KeptRecord<SwatchDocument> }>()

function enter(document: SwatchDocument, kept?: KeptRecord<SwatchDocument>): void {
  entering.value = { document, ...(kept ? { kept } : {}) }
}

function leave(): void {
  written.end()
  entering.value = undefined
}

function start(): void {
  enter({ fairHollow: 'swatch', version: SWATCH_VERSION, name: 'New swatch', note: '', yarn: '', gauge: ASSUMED_GAUGE })
}

async function keep(document: SwatchDocument): Promise<void> {
  const kept = entering.value?.kept
  const done = kept ? await shelf.save(kept, document) : await shelf.add(document)
  if (done) leave()
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
      @enter="document => written.keep(document, entering?.kept?.id)"
      @keep="keep"
      @leave="leave"
    />
    <ul>
      <li
        v-for="kept in shelf.swatches"
        :key="kept.id"
      >
        <SwatchSquare
          v-if="!kept.unreadable"
          :gauge="kept.document.gauge"
          :texture="kept.document.texture"
        />
        <div class="about">
          <h2>{{ kept.document.name }}</h2>
          <p
            v-if="kept.unreadable"
            role="alert"
          >
            This swatch cannot be read; save it to a file as it is, or delete it. {{ kept.unreadable.join('; ') }}
          </p>
          <p>{{ kept.document.yarn }}</p>
          <SwatchFacts
            v-if="!kept.unreadable"
            :gauge="kept.document.gauge"
            :texture="kept.document.texture"
          />
          <p
            v-if="kept.document.note"
            class="soft"
          >
            {{ kept.document.note }}
          </p>
        </div>
        <ListVerbs
          :name="kept.document.name"
          :file="`/api/swatches/${kept.id}/export`"
          :readable="!kept.unreadable"
          @change="enter(kept.document, kept)"
          @remove="throwAway(kept.id)"
        />
      </li>
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
ul { list-style: none; margin: 0; padding: 0; }
li { display: flex; gap: 1.2rem; padding: 1.1rem 0; border-top: 1px solid var(--line); }
.about { flex: 1; min-width: 0; }
.about p { margin: 0.15rem 0; }
</style>

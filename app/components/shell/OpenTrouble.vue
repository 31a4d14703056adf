<script setup lang="ts">
import { saveToFile } from '~/keeping/saveToFile'
import { useBags } from '~/stores/bags'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'

/** Trouble between this page and the records: a bag that is not there or cannot be read, a save that did not go through. */
const bag = useDocument()
const saving = useSaving()
const bags = useBags()
const router = useRouter()

async function keepCopy(): Promise<void> {
  const kept = await bags.add({ ...bag.design, name: `${bag.design.name}, my copy`.slice(0, 80) })
  if (!kept) return
  await saving.giveUp()
  await router.push(`/bags/${kept.id}`)
}

async function throwAway(): Promise<void> {
  await bags.remove(saving.id!)
  await saving.giveUp()
  await router.push('/')
}
</script>

<template>
  <TroubleNote
    :lines="saving.trouble"
    :title="bag.isOpen ? 'Not saved yet' : 'This bag cannot be opened'"
    class="trouble not-on-paper"
  >
    <div class="row">
      <template v-if="saving.state === 'overtaken' && bag.isOpen">
        <v-btn
          variant="tonal"
          color="primary"
          @click="keepCopy"
        >
          Keep mine as a copy
        </v-btn>
        <v-btn
          variant="outlined"
          @click="saving.openAnew"
        >
          Open it anew
        </v-btn>
      </template>
      <template v-if="saving.unreadable">
        <v-btn
          variant="tonal"
          color="primary"
          :href="`/api/designs/${saving.id}/export?as=design`"
        >
          Save it to a file
        </v-btn>
        <v-btn
          variant="outlined"
          @click="throwAway"
        >
          Delete this bag
        </v-btn>
      </template>
      <v-btn
        v-if="!bag.isOpen"
        variant="tonal"
        color="primary"
        to="/"
      >
        All bags
      </v-btn>
    </div>
  </TroubleNote>
  <TroubleNote
    v-if="bag.refused"
    :lines="[bag.refused]"
    title="That was not taken"
    class="trouble not-on-paper"
  />
  <TroubleNote
    v-if="bag.mistaken"
    :lines="['It is drawn as it was before your last change. Undo that, or save the bag to a file as it is.']"
    title="The program made a mistake with this bag"
    class="trouble not-on-paper"
  >
    <div class="row">
      <v-btn
        variant="tonal"
        color="primary"
        @click="bag.undo"
      >
        Undo
      </v-btn>
      <v-btn
        variant="outlined"
        @click="saveToFile(bag.design.name, 'design.json', JSON.stringify(bag.design, null, 2))"
      >
        Save it to a file
      </v-btn>
    </div>
  </TroubleNote>
</template>

<style scoped>
.trouble { margin: 0.8rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.5rem; margin-top: 0.5rem; }
.row:empty { display: none; }
</style>

<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed, onMounted } from 'vue'
import { MOST_YARNS } from '~~/core/bag/design/documentFields'
import { furtherYarn, yarnsInUse } from '~~/core/bag/design/yarns'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'
import { useLogbook } from '~/stores/logbook'
import { useYarns } from '~/stores/yarns'

/** The yarns of the bag: their names, their colours, which of the shelf they are, and how much of each it takes. */
const bag = useDocument()
const view = useView()
const shelf = useYarns()
const book = useLogbook()
onMounted(() => {
  void shelf.load()
  void book.loadTaught()
})
const hands = computed(() => book.hands)

/** A yarn of the shelf brings its name and its colour along. */
function point(id: string, to: string): void {
  const found = shelf.byId(to)
  const at = (field: string, value: string | undefined) => ({ path: ['yarns', id, field], value })
  const said = found ? [at('name', found.name), at('colour', found.colour)] : []
  bag.change(found ? `Yarn: ${found.name}` : 'A yarn that stands alone', [at('shelf', found?.id), ...said])
}
const inUse = computed(() => yarnsInUse(bag.design))

function set(label: string, id: string, field: 'name' | 'colour', value: string): void {
  bag.change(label, [{ path: ['yarns', id, field], value }], `yarns.${id}.${field}`)
}
</script>

<template>
  <fieldset class="yarns">
    <legend>Yarns</legend>
    <div
      v-for="(yarn, i) in bag.design.yarns"
      :key="yarn.id"
      class="one"
    >
      <div class="yarn">
        <input
          type="color"
          :value="yarn.colour"
          :aria-label="`Colour of ${yarn.name}`"
          @input="set('Colour of a yarn', yarn.id, 'colour', ($event.target as HTMLInputElement).value)"
        >
        <v-text-field
          :model-value="yarn.name"
          :aria-label="`Name of yarn ${i + 1}`"
          maxlength="80"
          @update:model-value="(name: string) => name.trim() && set('Name of a yarn', yarn.id, 'name', name.slice(0, 80))"
        />
        <IconButton
          v-if="bag.design.yarns.length > 1"
          :icon="mdiDeleteOutline"
          :disabled="inUse.has(yarn.id)"
          :name="inUse.has(yarn.id) ? `${yarn.name} is in use` : `Remove ${yarn.name}`"
          :hint="inUse.has(yarn.id) ? 'In use: give its parts another yarn first' : 'Remove'"
          @click="bag.change('Remove a yarn', [{ path: ['yarns'], value: bag.design.yarns.filter(({ id }) => id !== yarn.id) }])"
        />
      </div>
      <ShelfYarnChoice
        :id="yarn.shelf"
        none="a yarn that stands alone"
        @point="point(yarn.id, $event)"
      />
      <YarnNeeded
        :id="yarn.id"
        :draft="view.still"
        :on-shelf="shelf.byId(yarn.shelf)"
        :hands="hands"
        @take="(label, changes) => bag.change(label, changes)"
      />
    </div>
    <v-btn
      :prepend-icon="mdiPlus"
      size="small"
      variant="outlined"
      :disabled="bag.design.yarns.length >= MOST_YARNS"
      @click="bag.change('Add a yarn', [{ path: ['yarns'], value: [...bag.design.yarns, furtherYarn(bag.design.yarns)] }])"
    >
      Another yarn
    </v-btn>
  </fieldset>
</template>

<style scoped>
.yarns { border: 0; padding: 0; margin: 0; display: flex; flex-direction: column; gap: 0.45rem; align-items: flex-start; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.25rem; }
.one { display: flex; flex-direction: column; gap: 0.5rem; width: 100%; padding-bottom: 0.6rem; border-bottom: 1px solid var(--line); }
.yarn { display: flex; align-items: center; gap: 0.5rem; width: 100%; }
input[type='color'] {
  flex: none; width: 2.5rem; height: 2.5rem; padding: 0; border: 1px solid var(--strong-line); border-radius: 50%; background: none;
  cursor: pointer; overflow: hidden;
}
input[type='color']::-webkit-color-swatch-wrapper { padding: 0; }
input[type='color']::-webkit-color-swatch { border: 0; }
</style>

<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { MOST_YARNS } from '~~/core/design/bounds'
import { useBench } from '~/stores/bench'

const bench = useBench()
const COLOURS = ['#71834f', '#a4503c', '#3f5b73', '#d9b65a', '#6a4a63', '#e8dcc2', '#8a6f4d', '#4b4742']

function add(): void {
  bench.edit('Add a yarn', (design) => {
    let number = design.yarns.length + 1
    while (design.yarns.some(({ id }) => id === `yarn-${number}`)) number++
    design.yarns.push({ id: `yarn-${number}`, name: `yarn ${number}`, colour: COLOURS[(number - 2) % COLOURS.length]! })
  })
}

function inUse(id: string): boolean {
  const { base, wall } = bench.design!
  return base.colour === id || wall.some(part => part.colour === id || ('stripes' in part && part.stripes?.some(stripe => stripe.colour === id)))
}

function rename(index: number, name: string): void {
  if (name.trim()) bench.edit('Name of a yarn', d => void (d.yarns[index]!.name = name.slice(0, 80)), `yarns.${index}.name`)
}
</script>

<template>
  <fieldset class="yarns">
    <legend>Yarns</legend>
    <div
      v-for="(yarn, i) in bench.design!.yarns"
      :key="yarn.id"
      class="yarn"
    >
      <input
        type="color"
        :value="yarn.colour"
        :aria-label="`Colour of ${yarn.name}`"
        @input="bench.edit('Colour of a yarn', (d) => { d.yarns[i]!.colour = ($event.target as HTMLInputElement).value }, `yarns.${i}.colour`)"
      >
      <v-text-field
        :model-value="yarn.name"
        :aria-label="`Name of yarn ${i + 1}`"
        maxlength="80"
        @update:model-value="rename(i, $event)"
      />
      <v-btn
        v-if="bench.design!.yarns.length > 1"
        :icon="mdiDeleteOutline"
        size="small"
        :disabled="inUse(yarn.id)"
        :aria-label="inUse(yarn.id) ? `${yarn.name} is in use` : `Remove ${yarn.name}`"
        :title="inUse(yarn.id) ? 'In use: give its parts another yarn first' : 'Remove'"
        @click="bench.edit('Remove a yarn', (d) => { d.yarns.splice(i, 1) })"
      />
    </div>
    <v-btn
      :prepend-icon="mdiPlus"
      size="small"
      variant="outlined"
      :disabled="bench.design!.yarns.length >= MOST_YARNS"
      @click="add"
    >
      Another yarn
    </v-btn>
  </fieldset>
</template>

<style scoped>
.yarns { border: 0; padding: 0; margin: 0; display: flex; flex-direction: column; gap: 0.45rem; align-items: flex-start; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.25rem; }
.yarn { display: flex; align-items: center; gap: 0.5rem; width: 100%; }
input[type='color'] { flex: none; width: 2.5rem; height: 2.5rem; padding: 0; border: 1px solid var(--strong-line); border-radius: 50%; background: none; cursor: pointer; overflow: hidden; }
input[type='color']::-webkit-color-swatch-wrapper { padding: 0; }
input[type='color']::-webkit-color-swatch { border: 0; }
</style>

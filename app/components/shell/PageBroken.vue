<script setup lang="ts">
import { onMounted } from 'vue'
import type { StoredBag } from '~/keeping/bagStorage'
import { saveToFile } from '~/keeping/saveToFile'
import { useLocalBags } from '~/stores/localBags'

/** Shown instead of a screen that broke: what is here can be saved to a file, whatever else does not work. */
const emit = defineEmits<{ again: [] }>()
const desk = useLocalBags()
onMounted(() => void desk.look())

function save({ design }: Pick<StoredBag, 'design'>): void {
  saveToFile(design.name, 'design.json', JSON.stringify(design, null, 2))
}
</script>

<template>
  <div
    class="broken"
    role="alert"
  >
    <h1>This screen broke</h1>
    <p>
      The program made a mistake here. Nothing that was saved is lost, and what was not lies on this device.
    </p>
    <div class="row">
      <v-btn
        variant="flat"
        color="primary"
        @click="emit('again')"
      >
        Try it again
      </v-btn>
      <WaysOut />
    </div>
    <template v-if="desk.here.length > 0">
      <h2>On this device</h2>
      <ul>
        <li
          v-for="bag in desk.here"
          :key="bag.id"
        >
          {{ bag.design.name }}
          <v-btn
            size="small"
            @click="save(bag)"
          >
            Save to a file
          </v-btn>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.broken { max-width: 46rem; margin: 0 auto; padding: 3rem 1.4rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.6rem; margin: 1rem 0 2rem; }
ul { list-style: none; margin: 0.5rem 0; padding: 0; }
</style>

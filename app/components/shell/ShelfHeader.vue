<script setup lang="ts">
import { mdiPlus, mdiTrayArrowDown } from '@mdi/js'
import { ref } from 'vue'

/** The head of a shelf of things kept: what it is, a file to bring in, a new one to start. */
defineProps<{ title: string, about: string, start?: string, fileLabel: string, accept?: string }>()
const emit = defineEmits<{ start: [], file: [file: File] }>()
const picker = ref<HTMLInputElement>()

function take(event: Event): void {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  // The same file may be chosen again after it was mended.
  input.value = ''
  if (file) emit('file', file)
}
</script>

<template>
  <header>
    <div>
      <h1>{{ title }}</h1>
      <p class="soft">
        {{ about }}
      </p>
    </div>
    <div class="doing">
      <v-btn
        variant="outlined"
        :prepend-icon="mdiTrayArrowDown"
        @click="picker?.click()"
      >
        Bring in a file
      </v-btn>
      <slot />
      <v-btn
        v-if="start"
        variant="flat"
        color="primary"
        :prepend-icon="mdiPlus"
        @click="emit('start')"
      >
        {{ start }}
      </v-btn>
    </div>
    <input
      ref="picker"
      type="file"
      :accept="accept ?? '.json,application/json'"
      class="only-heard"
      tabindex="-1"
      :aria-label="fileLabel"
      @change="take"
    >
  </header>
</template>

<style scoped>
header { display: flex; flex-wrap: wrap; gap: 1rem; align-items: flex-end; justify-content: space-between; }
header p { margin: 0.3rem 0 0; }
.doing { display: flex; flex-wrap: wrap; gap: 0.6rem; }
</style>

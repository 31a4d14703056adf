<script setup lang="ts">
import { mdiTrayArrowDown, mdiTrayArrowUp } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { useMadeFile } from '~/composables/useMadeFile'
import { type ParcelFile, useLibrary } from '~/stores/library'

/** Everything in one file, to carry elsewhere; and such a file read back, all of it or what is chosen. */
const library = useLibrary()
const { making, said, save } = useMadeFile()
const picker = ref<HTMLInputElement>()
const chosen = ref<number[]>([])
const files = computed(() => library.parcel?.files ?? [])
watch(files, list => (chosen.value = list.flatMap(({ why, there }, i) => (why || there ? [] : [i]))))

const SORT = { design: 'bag', swatch: 'swatch', yarn: 'yarn', order: 'order', make: 'on the hook' } as const

function saidOf({ sort, there, why }: ParcelFile): string {
  if (why) return `cannot be read: ${why.join('; ')}`
  return `${SORT[sort!]}${there ? ', the very same is here' : ''}`
}

function pick(event: Event): void {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) void library.lookInto(file)
}
</script>

<template>
  <section aria-labelledby="parcel">
    <h2
      id="parcel"
      class="ruled"
    >
      To carry elsewhere
    </h2>
    <p class="soft">
      One file with every bag, swatch, yarn and bag on the hook, each in the open form: for another machine, or a drawer.
    </p>
    <div class="row">
      <v-btn
        variant="tonal"
        color="primary"
        :prepend-icon="mdiTrayArrowUp"
        :loading="making"
        @click="save('everything', '/api/library/parcel')"
      >
        Save everything to a file
      </v-btn>
      <v-btn
        variant="outlined"
        :prepend-icon="mdiTrayArrowDown"
        :disabled="library.busy"
        @click="picker?.click()"
      >
        Read such a file
      </v-btn>
    </div>
    <p
      class="soft"
      role="status"
    >
      {{ said }}
    </p>
    <input
      ref="picker"
      type="file"
      accept=".zip,application/zip"
      class="only-heard"
      tabindex="-1"
      aria-label="A file with everything"
      @change="pick"
    >
    <template v-if="library.parcel">
      <h3>In {{ library.parcel.file.name }}</h3>
      <ul>
        <li
          v-for="(file, i) in files"
          :key="file.file"
        >
          <v-checkbox
            v-model="chosen"
            :value="i"
            :disabled="Boolean(file.why)"
            hide-details
            density="compact"
          >
            <template #label>
              <span><strong>{{ file.name }}</strong> <span class="soft">{{ saidOf(file) }}</span></span>
            </template>
          </v-checkbox>
        </li>
      </ul>
      <div class="row">
        <v-btn
          variant="flat"
          color="primary"
          :disabled="library.busy || chosen.length === 0"
          @click="library.bringIn(chosen)"
        >
          Bring in {{ chosen.length }}
        </v-btn>
        <v-btn
          variant="outlined"
          @click="library.parcel = undefined"
        >
          Cancel
        </v-btn>
      </div>
    </template>
  </section>
</template>

<style scoped>
p { margin: 0 0 0.8rem; }
[role=status] { margin: 0.6rem 0 0; }
h3 { margin-top: 1.2rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.6rem; }
ul { list-style: none; margin: 0.4rem 0 0.8rem; padding: 0; max-height: 24rem; overflow-y: auto; }
li { border-top: 1px solid var(--line); }
</style>

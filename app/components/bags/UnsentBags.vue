<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { onMounted } from 'vue'
import type { StoredBag } from '~/keeping/bagStorage'
import { useBags } from '~/stores/bags'
import { useLocalBags } from '~/stores/localBags'

/** Work that lies on this device and that the program does not have: why, and what can be done. */
const desk = useLocalBags()
const shelf = useBags()
const emit = defineEmits<{ sent: [] }>()
const { format } = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })

function whyOf({ why, words }: StoredBag): string {
  if (why === 'overtaken') return 'It was changed elsewhere too, in the same places.'
  if (why === 'gone') return 'The bag was deleted elsewhere.'
  if (why === 'refused') return `It was not taken: ${words?.join('; ') ?? 'something in it must change.'}`
  return 'The program did not answer; it is sent as soon as it does.'
}

async function send(): Promise<void> {
  const before = desk.left.length
  await desk.send()
  if (before > 0) emit('sent')
}

async function keepCopy(bag: StoredBag): Promise<void> {
  if (!(await shelf.add(desk.asCopy(bag)))) return
  await desk.drop(bag.id)
  emit('sent')
}

onMounted(send)
useIntervalFn(() => desk.left.some(({ why }) => !why) && void send(), desk.retryMs)
useEventListener('online', send)
</script>

<template>
  <section
    v-if="desk.left.length > 0"
    aria-label="Only on this device"
    class="left"
  >
    <h2 class="ruled">
      Only on this device
    </h2>
    <ul>
      <li
        v-for="bag in desk.left"
        :key="bag.id"
      >
        <div>
          <strong>{{ bag.design.name }}</strong>
          <span class="soft">, changed {{ format(bag.at) }}</span>
          <p>{{ whyOf(bag) }}</p>
        </div>
        <div class="doing">
          <v-btn
            variant="outlined"
            :to="`/bags/${bag.id}`"
          >
            Open
          </v-btn>
          <v-btn
            v-if="bag.why"
            variant="tonal"
            color="primary"
            @click="keepCopy(bag)"
          >
            Keep as a copy
          </v-btn>
          <v-btn
            v-if="bag.why"
            @click="desk.drop(bag.id)"
          >
            Drop it
          </v-btn>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul { list-style: none; margin: 0; padding: 0; }
li {
  display: flex; flex-wrap: wrap; gap: 0.6rem; justify-content: space-between; align-items: center; padding: 0.6rem 0.9rem;
  border: 1px solid var(--line); border-left: 5px solid rgb(var(--v-theme-error)); border-radius: 4px; background: var(--sheet);
  margin-bottom: 0.5rem;
}
p { margin: 0.1rem 0 0; }
.doing { display: flex; flex-wrap: wrap; gap: 0.4rem; }
</style>

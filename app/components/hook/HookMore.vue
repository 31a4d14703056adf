<script setup lang="ts">
import { ref } from 'vue'
import type { Design } from '~~/core/design/design'
import { newPlan } from '~~/core/make/newPlan'
import { useHook } from '~/composables/useHook'
import { type Kept, refusalLines } from '~/stores/records'

/** Everything that is not done every minute. */
const emit = defineEmits<{ open: [sheet: 'count' | 'rip' | 'tape' | 'note' | 'ways' | 'looks'], close: [] }>()
const { make } = useHook()
const said = ref('')

/** What was changed on the bench since is taken over, if what is worked stays as it is. */
async function takeOverPlan(): Promise<void> {
  const { bag } = make.state!
  try {
    const { document } = await $fetch<Kept<Design>>(`/api/designs/${bag}`)
    const can = newPlan(make.hand!, document)
    if (!can.can) {
      said.value = `Not taken over: round ${can.round} is worked already and reads otherwise on the bench. Change only what lies above it.`
      return
    }
    make.replan(document, 'changed on the bench')
    said.value = `Taken over: the bag has ${can.rounds} rounds now.`
  }
  catch (error) {
    said.value = refusalLines(error)[0] ?? 'That did not work.'
  }
}

function pause(): void {
  make.pause()
  emit('close')
}
</script>

<template>
  <ul>
    <li>
      <button
        type="button"
        class="row"
        @click="emit('open', 'looks')"
      >
        Is it meant to look like this?
      </button>
    </li>
    <li>
      <button
        type="button"
        class="row"
        @click="emit('open', 'count')"
      >
        I have counted
      </button>
    </li>
    <li>
      <button
        type="button"
        class="row"
        @click="emit('open', 'rip')"
      >
        I have to rip back
      </button>
    </li>
    <li>
      <button
        type="button"
        class="row"
        @click="emit('open', 'tape')"
      >
        Tape and scales
      </button>
    </li>
    <li>
      <button
        type="button"
        class="row"
        @click="emit('open', 'note')"
      >
        A note or a marker
      </button>
    </li>
    <li v-if="make.state?.bag">
      <button
        type="button"
        class="row"
        @click="takeOverPlan"
      >
        Take over what I changed on the bench
      </button>
    </li>
    <li>
      <button
        type="button"
        class="row"
        @click="emit('open', 'ways')"
      >
        How I am followed: voice, tone, thumb, light
      </button>
    </li>
    <li>
      <button
        type="button"
        class="row"
        @click="pause"
      >
        Put it down for now
      </button>
    </li>
    <li>
      <a
        class="row"
        :href="`/api/makes/${make.id}/export`"
      >Download the log (.make.json)</a>
    </li>
  </ul>
  <p role="status">
    {{ said }}
  </p>
</template>

<style scoped>
ul { list-style: none; margin: 0; padding: 0; }
li { border-top: 1px solid var(--line); }
.row { display: flex; align-items: center; width: 100%; min-height: 3.1rem; border: 0; padding: 0 0.2rem; background: none; color: inherit; font: 560 1.08rem var(--v-font-body); text-align: left; text-decoration: none; cursor: pointer; }
.row:hover { color: var(--accent); }
</style>

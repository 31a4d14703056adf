<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import { eveningsFor, timeLeft, timeWords } from '~~/core/making/log/time'
import { newPlan } from '~~/core/making/make/newPlan'
import { useHook } from '~/composables/useHook'
import { saveToFile } from '~/keeping/saveToFile'
import { useLogbook } from '~/stores/logbook'
import { type KeptRecord, refusalLines } from '~/stores/records'

/** Everything that is not done every minute. */
const emit = defineEmits<{ open: [sheet: 'count' | 'rip' | 'tape' | 'note' | 'ways' | 'looks'], close: [] }>()
const { make } = useHook()
const said = ref('')
const book = useLogbook()
onMounted(() => void book.loadTaught())
const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })
/** How long what is left takes, and until when at the evenings that there usually are. */
const left = computed(() => {
  if (!make.hand?.at.leg) return ''
  const hands = book.hands
  const time = timeLeft(make.hand, hands)
  const evenings = eveningsFor(time, hands)
  const many = evenings.from === evenings.to ? `${evenings.to}` : `${evenings.from} to ${evenings.to}`
  const day = evenings.days === 0 ? 'this evening' : DAY.format(Date.now() + evenings.days * 86_400_000)
  const own = `by your own pace, ${time.bags} ${time.bags === 1 ? 'bag' : 'bags'}`
  const from = time.bags === 0 ? 'by the craft\'s usual pace, a rule of thumb' : own
  return `Left: ${timeWords(time)} (${from}). At your usual sittings ${many} of them: ${day}.`
})

/** Changes on the bench since are taken over, if the worked rounds stay as they are. */
async function takeOverPlan(): Promise<void> {
  const { bag } = make.state!
  try {
    const { document } = await $fetch<KeptRecord<Design>>(`/api/designs/${bag}`)
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

/** The log as this device has it: no network is needed. */
function download(): void {
  saveToFile(make.hand!.plan.name, 'make.json', JSON.stringify(make.document(), null, 2) + '\n')
}

function pause(): void {
  make.pause()
  emit('close')
}

const DOINGS = [
  { sheet: 'looks', name: 'Is it meant to look like this?' }, { sheet: 'count', name: 'I have counted' },
  { sheet: 'rip', name: 'I have to rip back' }, { sheet: 'tape', name: 'Tape and scales' }, { sheet: 'note', name: 'A note or a marker' },
  { sheet: 'ways', name: 'How I am followed: voice, tone, thumb, light' },
] as const
</script>

<template>
  <p
    v-if="left"
    class="left"
  >
    {{ left }} Rest your hands between.
  </p>
  <ul>
    <li
      v-for="doing in DOINGS"
      :key="doing.sheet"
    >
      <TouchButton
        variant="row"
        @click="emit('open', doing.sheet)"
      >
        {{ doing.name }}
      </TouchButton>
    </li>
    <li v-if="make.state?.bag">
      <TouchButton
        variant="row"
        @click="takeOverPlan"
      >
        Take over what I changed on the bench
      </TouchButton>
    </li>
    <li>
      <TouchButton
        variant="row"
        @click="pause"
      >
        Put it down for now
      </TouchButton>
    </li>
    <li>
      <TouchButton
        variant="row"
        :to="`/logbook/${make.id}`"
      >
        Its page in the logbook
      </TouchButton>
    </li>
    <li>
      <TouchButton
        variant="row"
        @click="download"
      >
        Download the log (.make.json)
      </TouchButton>
    </li>
  </ul>
  <p role="status">
    {{ said }}
  </p>
</template>

<style scoped>
ul { list-style: none; margin: 0; padding: 0; }
li { border-top: 1px solid var(--line); }
</style>

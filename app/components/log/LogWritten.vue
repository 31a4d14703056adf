<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import type { LogbookDeed } from '~~/core/making/make/event'
import { parseNumber } from '~~/core/things/measure/parse'
import type { BagFacts } from '~~/core/making/log/bagFacts'
import { useLogbook } from '~/stores/logbook'

/** The maker's words about a bag: for whom, the hook and yarn it was really made with, notes. Written down as one more event of it. */
const props = defineProps<{ id: string, facts: BagFacts }>()
const book = useLogbook()
const said = ref('')
const wrong = ref('')
const text = reactive({ forWhom: '', yarnUsed: '', notes: '', hook: '' })
watch(() => props.facts, ({ forWhom, yarnUsed, notes, hookMm }) => {
  Object.assign(text, { forWhom, yarnUsed, notes, hook: String(hookMm) })
}, { immediate: true })

/** Fields that differ from those in the book. */
function changed(): Omit<LogbookDeed, 'do'> | undefined {
  const hookMm = parseNumber(text.hook.replace(/\s*mm$/i, ''))
  if (hookMm === undefined || hookMm < 0.5 || hookMm > 40) {
    wrong.value = 'Type the hook in millimetres, from 0.5 to 40, such as 4.5.'
    return undefined
  }
  const { facts } = props
  return {
    ...(text.forWhom === facts.forWhom ? {} : { forWhom: text.forWhom.slice(0, 120) }),
    ...(text.yarnUsed === facts.yarnUsed ? {} : { yarnUsed: text.yarnUsed.slice(0, 200) }),
    ...(text.notes === facts.notes ? {} : { notes: text.notes.slice(0, 4000) }), ...(hookMm === facts.hookMm ? {} : { hookMm }),
  }
}

async function write(): Promise<void> {
  wrong.value = said.value = ''
  const wrote = changed()
  if (!wrote || Object.keys(wrote).length === 0) return
  const { useMake } = await import('~/stores/make')
  const make = useMake()
  await make.open(props.id)
  if (!make.hand) {
    wrong.value = 'This bag is not known here, or the program does not answer: nothing was written.'
    return
  }
  make.tell({ do: 'wrote', ...wrote })
  await make.sent()
  make.close()
  await book.open(props.id)
  said.value = 'Written in the book.'
}
</script>

<template>
  <form @submit.prevent="write">
    <h2 class="ruled">
      In your words
    </h2>
    <div class="fields">
      <v-text-field
        v-model="text.forWhom"
        label="For whom"
        maxlength="120"
      />
      <v-text-field
        v-model="text.hook"
        label="Hook it was made with, mm"
        inputmode="decimal"
        :error-messages="wrong"
      />
      <v-text-field
        v-model="text.yarnUsed"
        label="Yarn it was made of"
        :placeholder="facts.kept ? '' : facts.yarns.map(({ name }) => name).join(', ')"
        persistent-placeholder
        maxlength="200"
      />
      <v-textarea
        v-model="text.notes"
        class="notes"
        label="Notes for the next one"
        rows="2"
        auto-grow
        maxlength="4000"
      />
    </div>
    <p>
      <v-btn
        type="submit"
        variant="tonal"
        color="primary"
        size="small"
      >
        Write it in
      </v-btn>
      <span role="status"> {{ said }}</span>
    </p>
  </form>
</template>

<style scoped>
.fields { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 16rem), 1fr)); gap: 0.6rem 1rem; }
.notes { grid-column: 1 / -1; }
p { margin: 0.7rem 0 0; }
</style>

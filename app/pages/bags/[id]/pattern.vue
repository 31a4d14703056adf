<script setup lang="ts">
import { mdiContentCopy, mdiPrinterOutline, mdiTrayArrowUp } from '@mdi/js'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { EXPORT_KINDS } from '~~/core/readers/export/kinds'
import { gramsTaught } from '~~/core/making/log/skill'
import { asText } from '~~/core/readers/words/asText'
import { patternOf } from '~~/core/readers/words/pattern'
import { useBagPage } from '~/composables/useBagPage'
import { useMadeFile } from '~/composables/useMadeFile'
import { useLogbook } from '~/stores/logbook'
import { useSaving } from '~/stores/saving'
import { useSettings } from '~/stores/settings'

const bag = useBagPage()
const saving = useSaving()
const settings = useSettings()
const route = useRoute()
const lit = ref<number>()
const file = useMadeFile()

const book = useLogbook()
onMounted(() => void book.loadTaught())
const pattern = computed(() => patternOf(bag.draft, settings.terms, settings.repeats, gramsTaught(book.hands)))

const FILES = [
  { as: 'pdf&paper=a4', name: 'Pattern on paper, A4', hint: '.pdf' },
  { as: 'pdf&paper=letter', name: 'Pattern on paper, Letter', hint: '.pdf' },
  { as: 'pdf&paper=a4&large=yes', name: 'Pattern in large print, A4', hint: '.pdf' },
  { as: 'pdf&paper=letter&large=yes', name: 'Pattern in large print, Letter', hint: '.pdf' },
  ...EXPORT_KINDS.map(({ as, name, extension }) => ({ as, name, hint: `.${extension}` })),
  { as: 'design', name: 'The bag itself, to bring in again', hint: '.design.json' },
  { as: 'zip', name: 'Everything in one parcel', hint: '.zip' },
]

async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(asText(pattern.value))
    file.said.value = 'Copied'
  }
  catch {
    file.said.value = 'This browser does not let pages copy; take the text file instead'
  }
}

async function download(as: string, name: string): Promise<void> {
  await saving.flush()
  await file.save(name, `/api/designs/${saving.id}/export?as=${as}&terms=${settings.terms}&repeats=${settings.repeats}`)
}

/** An address with a round in it leads to its line. */
watch(() => [bag.isOpen, route.hash] as const, async ([open, hash]) => {
  const [, round] = /^#round-(\d+)$/.exec(hash) ?? []
  if (!open || round === undefined) return
  await nextTick()
  const line = [...document.querySelectorAll<HTMLElement>('[data-from]')]
    .find(({ dataset }) => Number(dataset.from) <= Number(round) && Number(round) <= Number(dataset.to))
  line?.scrollIntoView({ block: 'center' })
  line?.focus({ preventScroll: true })
}, { immediate: true, flush: 'post' })

function print(): void {
  window.print()
}
</script>

<template>
  <div class="sheet">
    <OpenTrouble />
    <template v-if="bag.isOpen">
      <div class="tools not-on-paper">
        <ChoiceField
          class="terms"
          label="Terms"
          :value="settings.terms"
          :choices="[{ value: 'us', name: 'US' }, { value: 'uk', name: 'UK' }]"
          @change="settings.terms = $event as 'us' | 'uk'"
        />
        <ChoiceField
          class="terms"
          label="Repeats"
          :value="settings.repeats"
          :choices="[{ value: 'brackets', name: '[ ] 8 times' }, { value: 'asterisk', name: '* rep from *' }]"
          @change="settings.repeats = $event as 'brackets' | 'asterisk'"
        />
        <span class="spring" />
        <span
          role="status"
          class="soft"
        >{{ file.said.value }}</span>
        <v-btn
          variant="outlined"
          :prepend-icon="mdiContentCopy"
          @click="copy"
        >
          Copy
        </v-btn>
        <v-menu>
          <template #activator="{ props: activator }">
            <v-btn
              v-bind="activator"
              variant="outlined"
              :loading="file.making.value"
              :prepend-icon="mdiTrayArrowUp"
            >
              Download
            </v-btn>
          </template>
          <v-list density="compact">
            <v-list-item
              v-for="one in FILES"
              :key="one.as"
              :title="one.name"
              :subtitle="one.hint"
              @click="download(one.as, one.name)"
            />
          </v-list>
        </v-menu>
        <v-btn
          variant="flat"
          color="primary"
          :prepend-icon="mdiPrinterOutline"
          @click="print"
        >
          Print
        </v-btn>
      </div>
      <div class="both">
        <PatternWords
          :pattern="pattern"
          :left-handed="bag.design.hands === 'left'"
          :lit="lit"
          @light="lit = $event"
        />
        <PatternChart
          :draft="bag.draft"
          :lit="lit"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.sheet { max-width: 80rem; margin: 0 auto; padding: 1.2rem 1.4rem 4rem; }
.tools { display: flex; flex-wrap: wrap; align-items: flex-end; gap: 0.6rem; padding-bottom: 1rem; }
.spring { flex: 1; }
.both { display: grid; grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr); gap: 2.4rem; align-items: start; }
@media (--phone) { .spring { flex: 1 1 100%; } }
@media (--stacked) { .both { grid-template-columns: minmax(0, 1fr); } .sheet { padding: 0.9rem 0.9rem 3rem; } }
@media print { .both { display: block; } .sheet { padding: 0; max-width: none; } }
</style>

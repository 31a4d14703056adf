<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { lineFigures } from '~~/core/making/log/bagFacts'
import { minutesWords } from '~~/core/making/log/time'
import { useLogbook } from '~/stores/logbook'
import { smallPhoto } from '~/reading/smallPhoto'

/** A bag's page of the logbook: planned against made, and the next one from this one. */
const route = useRoute()
const book = useLogbook()
const id = computed(() => route.params.id as string)
const picker = ref<HTMLInputElement>()
const trouble = ref('')
watch(id, now => void book.open(now), { immediate: true })
onMounted(() => void book.loadTaught())
useHead({ title: () => `${book.page?.name ?? 'A bag'} · Logbook · Fair Hollow` })

const page = computed(() => (book.page?.id === id.value ? book.page : undefined))
const facts = computed(() => page.value?.facts ?? undefined)
const figures = computed(() => facts.value && lineFigures(facts.value))
/** Another photo has the same address: told apart, so that the browser shows the one that is there. */
const shown = ref(0)
watch(page, () => shown.value++)
const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'long', year: 'numeric' })

async function photograph(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  trouble.value = ''
  try {
    await book.setPhoto(id.value, await smallPhoto(file))
  }
  catch {
    trouble.value = 'This is no picture that the browser can read. Choose a JPEG or PNG.'
  }
}
</script>

<template>
  <div class="page">
    <LogBack />
    <TroubleNote
      :lines="trouble ? [trouble, ...book.trouble] : book.trouble"
      title="That did not work"
    />
    <template v-if="page">
      <header>
        <div class="photo">
          <img
            v-if="page.photo"
            :src="`/api/makes/${id}/photo?shown=${shown}`"
            :alt="`${page.name}, as it came out`"
          >
          <TouchButton
            @click="picker?.click()"
          >
            {{ page.photo ? 'Another photo' : 'Add a photo' }}
          </TouchButton>
          <TouchButton
            v-if="page.photo"
            @click="book.setPhoto(id, undefined)"
          >
            Delete the photo
          </TouchButton>
          <TouchButton
            v-if="book.photoBefore?.id === id"
            @click="book.bringPhotoBack()"
          >
            {{ page.photo ? 'Restore the other photo' : 'Restore' }}
          </TouchButton>
          <input
            ref="picker"
            type="file"
            accept="image/*"
            class="only-heard"
            tabindex="-1"
            aria-label="A photo of the bag"
            @change="photograph"
          >
        </div>
        <div>
          <h1>{{ page.name }}</h1>
          <p
            v-if="facts"
            class="soft"
          >
            Begun {{ DAY.format(facts.begun) }}, {{ facts.finished ? `finished ${DAY.format(facts.finished)}` : `in hand: ${facts.words}` }}
          </p>
          <dl v-if="facts && figures">
            <div><dt>At the hook</dt><dd>{{ minutesWords(figures.minutes) }}</dd></div>
            <div v-if="figures.sittings > 0 || !facts.kept">
              <dt>Sittings</dt><dd>{{ figures.sittings }}</dd>
            </div>
            <div><dt>Rounds</dt><dd>{{ figures.rounds }}{{ facts.kept ? '' : ` of ${facts.rounds.planned}` }}</dd></div>
            <div><dt>Stitches</dt><dd>{{ figures.stitches.toLocaleString('en') }}</dd></div>
            <div><dt>Hook</dt><dd>{{ facts.hookMm }} mm</dd></div>
            <div><dt>Ripped back</dt><dd>{{ figures.ripped }} {{ figures.ripped === 1 ? 'round' : 'rounds' }}</dd></div>
          </dl>
          <p v-if="facts?.kept">
            This bag came in by a table. How it was worked is not in it: nothing is learnt from it, and it cannot be made again from here.
          </p>
          <LogNext
            v-else
            :id="id"
            :name="page.name"
            :finished="facts?.finished !== undefined"
          />
        </div>
      </header>
      <p
        v-if="!facts"
        role="status"
      >
        This bag tells nothing yet: what was taken up is not known.
      </p>
      <template v-else>
        <LogWritten
          :id="id"
          :facts="facts"
        />
        <template v-if="!facts.kept">
          <LazyLogCharts
            :facts="facts"
            :taught="book.taught"
          />
          <LogOnTheWay :facts="facts" />
        </template>
      </template>
    </template>
  </div>
</template>

<style scoped>
.page { max-width: 76rem; margin: 0 auto; padding: 1rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.2rem; }
.page > p { margin: 0; }
header { display: flex; flex-wrap: wrap; gap: 1rem 1.8rem; align-items: flex-start; }
header p { margin: 0.2rem 0 0.6rem; }
.photo { display: flex; flex-direction: column; gap: 0.4rem; width: 11rem; position: relative; }
.photo img { width: 100%; max-height: 14rem; object-fit: cover; border-radius: 6px; border: 1px solid var(--line); }
dl { display: flex; flex-wrap: wrap; gap: 0.3rem 1.6rem; margin: 0 0 0.8rem; }
dt { font-size: 0.8rem; color: var(--soft-ink); }
dd { margin: 0; font-family: var(--figures); font-weight: 560; letter-spacing: -0.035em; word-spacing: -0.28em; }
@media (--one-column) { .page { padding: 0.8rem 0.9rem 3rem; } .photo { width: 100%; } }
</style>

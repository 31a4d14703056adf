<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { differences } from '~~/core/making/log/differences'
import { translate } from '~~/core/things/stitch/translate'
import type { LogPage } from '~/stores/logbook'
import { ask, refusalLines } from '~/stores/records'
import { useSettings } from '~/stores/settings'

/** Two bags of the logbook side by side. */
const route = useRoute()
const settings = useSettings()
const pages = shallowRef<readonly LogPage[]>([])
const trouble = ref<string[]>([])
const only = ref(true)
useHead({ title: 'Side by side · Logbook · Fair Hollow' })

watch(() => [route.query.a, route.query.b], async (ids) => {
  try {
    pages.value = await Promise.all(ids.map(id => ask<LogPage>(`/api/logbook/${String(id)}`)))
  }
  catch (error) {
    trouble.value = refusalLines(error)
  }
}, { immediate: true })

const rows = computed(() => {
  const [a, b] = pages.value
  return a?.facts && b?.facts ? differences(a.facts, b.facts, a.facts.units) : []
})
const shown = computed(() => rows.value.filter(({ differs }) => differs || !only.value))
const told = (text: string) => translate(text, { terms: settings.terms, units: settings.units ?? 'cm' })
</script>

<template>
  <div class="page">
    <LogBack />
    <h1>Side by side</h1>
    <TroubleNote
      :lines="trouble"
      title="That did not work"
    />
    <template v-if="rows.length > 0">
      <label><input
        v-model="only"
        type="checkbox"
      > only what differs</label>
      <LogTable
        caption="Two bags side by side"
        wraps
        :heads="['', pages[0]!.name, pages[1]!.name]"
        :rows="shown.map(({ what, a, b }) => [told(what), a, b])"
      />
    </template>
  </div>
</template>

<style scoped>
.page { max-width: 60rem; margin: 0 auto; padding: 1rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 0.8rem; }
p { margin: 0; }
</style>

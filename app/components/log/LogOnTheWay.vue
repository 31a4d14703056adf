<script setup lang="ts">
import type { BagFacts } from '~~/core/making/log/bagFacts'

/** Counts, and changes on the way. */
defineProps<{ facts: BagFacts }>()
const WHEN = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const DONE = { 'as-planned': 'ripped or mended', 'live-with-it': 'lived with', 'next-round': 'put right in the next round' } as const
</script>

<template>
  <div class="two">
    <section aria-label="Counts">
      <h2 class="ruled">
        Counts
      </h2>
      <p>{{ facts.counted }} counted, {{ facts.off.length }} off.</p>
      <LogTable
        v-if="facts.off.length > 0"
        caption="Counts that were off"
        :heads="['Round', 'Planned', 'Found', 'What was done']"
        :rows="facts.off.map(({ round, planned, found, choice }) => [String(round), String(planned), String(found), DONE[choice]])"
      />
    </section>
    <section aria-label="Changed on the way">
      <h2 class="ruled">
        On the way
      </h2>
      <ul v-if="facts.changed.length > 0">
        <li
          v-for="change in facts.changed"
          :key="`${change.at} ${change.what}`"
        >
          <span class="figures">{{ WHEN.format(change.at) }}</span> {{ change.what }}
        </li>
      </ul>
      <p v-else>
        Nothing was changed.
      </p>
    </section>
  </div>
</template>

<style scoped>
.two { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 26rem), 1fr)); gap: 1rem 2.4rem; }
ul { list-style: none; margin: 0; padding: 0; }
li { padding: 0.3rem 0; border-top: 1px solid var(--line); }
li .figures { color: var(--soft-ink); margin-right: 0.8rem; }
p { margin: 0.3rem 0; }
</style>

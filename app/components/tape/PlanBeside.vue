<script setup lang="ts">
import type { Beside } from '~~/core/making/make/measuring'

/** The parts still to come, as they were planned and as they would be. */
defineProps<{ parts: readonly Beside[] }>()

function roundsWords(rounds: number): string {
  return `${rounds} ${rounds === 1 ? 'rnd' : 'rnds'}`
}
</script>

<template>
  <table>
    <caption class="only-heard">
      What is still to come, before and after
    </caption>
    <thead>
      <tr>
        <th scope="col">
          Still to come
        </th>
        <th scope="col">
          planned
        </th>
        <th scope="col">
          by this
        </th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="part in parts"
        :key="part.id"
        :class="{ differs: part.differs }"
      >
        <th scope="row">
          {{ part.name }}
        </th>
        <td>{{ roundsWords(part.before.rounds) }}<span v-if="part.before.height">{{ part.before.height }}</span></td>
        <td>{{ roundsWords(part.now.rounds) }}<span v-if="part.now.height">{{ part.now.height }}</span></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table { width: 100%; border-collapse: collapse; font-size: 0.95rem; }
th { text-align: left; font-weight: 500; padding: 0.25rem 0.6rem 0.25rem 0; }
thead th { color: var(--soft-ink); font-size: 0.85rem; }
td { padding: 0.25rem 0.6rem 0.25rem 0; font-family: var(--figures); letter-spacing: -0.035em; word-spacing: -0.28em; }
td span { display: block; color: var(--soft-ink); font-size: 0.85em; }
tbody tr { border-top: 1px solid var(--line); }
.differs th, .differs td:last-child { font-weight: 680; }
.differs td:last-child { box-shadow: inset 3px 0 0 var(--accent); padding-left: 0.5rem; }
</style>

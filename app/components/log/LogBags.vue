<script setup lang="ts">
import { minutesWords } from '~~/core/making/log/time'
import type { LogBag } from '~/stores/logbook'

/** Bags of the logbook, a line each, as in a written book. */
defineProps<{ title: string, bags: readonly LogBag[] }>()
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
const YEAR = new Intl.DateTimeFormat('en-GB', { year: 'numeric' })

function when({ listed }: LogBag): string {
  if (!listed) return ''
  const from = DAY.format(listed.begun)
  return `${from} – ${listed.finished === undefined ? 'now' : DAY.format(listed.finished)} ${YEAR.format(listed.lastAt)}`
}
function about({ listed }: LogBag): string {
  return listed?.forWhom ? `for ${listed.forWhom}` : (listed?.words ?? '')
}
function ripped(rounds: number): string {
  return rounds > 0 ? `${rounds} ripped back` : 'none ripped'
}
function count(number: number, one: string): string {
  return `${number} ${one}${number === 1 ? '' : 's'}`
}
</script>

<template>
  <section :aria-label="title">
    <h2 class="ruled">
      {{ title }}
    </h2>
    <ul>
      <li
        v-for="bag in bags"
        :key="bag.id"
      >
        <NuxtLink :to="`/logbook/${bag.id}`">
          <img
            v-if="bag.photo"
            :src="`/api/makes/${bag.id}/photo`"
            alt=""
            width="56"
            height="56"
            loading="lazy"
          >
          <span
            v-else
            class="skeins"
            aria-hidden="true"
          ><span
            v-for="yarn in (bag.listed?.yarns ?? []).slice(0, 4)"
            :key="yarn.name"
            :style="{ background: yarn.colour }"
          /></span>
          <span class="name"><strong>{{ bag.name }}</strong><span class="soft">{{ about(bag) }}</span></span>
          <span class="figures when">{{ when(bag) }}</span>
          <span
            v-if="bag.listed"
            class="figures"
          >{{ minutesWords(bag.listed.minutes) }}<span class="soft">in {{ count(bag.listed.sittings, 'sitting') }}</span></span>
          <span
            v-if="bag.listed"
            class="figures"
          >{{ count(bag.listed.rounds, 'round') }}<span class="soft">{{ ripped(bag.listed.ripped) }}</span></span>
          <span
            v-if="bag.listed"
            class="figures hook"
          >{{ bag.listed.hookMm }} mm</span>
          <span
            v-else
            class="soft"
          >being read …</span>
        </NuxtLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul { list-style: none; margin: 0; padding: 0; }
li { border-bottom: 1px solid var(--line); }
a {
  display: grid; grid-template-columns: 56px minmax(12rem, 1.6fr) minmax(9rem, 1fr) 8rem 8rem 4rem; gap: 0.2rem 1.2rem; align-items: center;
  padding: 0.5rem 0.2rem; color: inherit; text-decoration: none;
}
a:hover strong { color: var(--accent); text-decoration: underline; text-underline-offset: 3px; }
strong { font-family: var(--v-font-heading); font-size: 1.06rem; }
.name, .figures { display: flex; flex-direction: column; min-width: 0; }
.name .soft { overflow-wrap: anywhere; }
.figures .soft { font-size: 0.88em; }
img, .skeins { width: 56px; height: 40px; border-radius: 4px; object-fit: cover; border: 1px solid var(--line); }
.skeins { display: flex; overflow: hidden; }
.skeins span { flex: 1; }
@media (--stacked) {
  a { grid-template-columns: 44px minmax(0, 1fr) auto; }
  img, .skeins { width: 44px; }
  .when, .hook { display: none; }
  a > .figures:nth-of-type(3) { grid-column: 3; }
  a > .figures:nth-of-type(4) { display: none; }
}
</style>

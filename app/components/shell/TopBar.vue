<script setup lang="ts">
import { mdiHelp, mdiThemeLightDark } from '@mdi/js'
import { computed, ref } from 'vue'
import { shortcutsNow, useShortcuts } from '~/composables/useShortcuts'
import { type Light, useWays } from '~/stores/ways'

/** What stands above every screen. What only a bag in hand needs is loaded with its screens. */
const ways = useWays()
const route = useRoute()
const router = useRouter()
const helping = ref(false)

const onBag = computed(() => route.path.startsWith('/bags/'))
const LIGHTS: readonly Light[] = ['machine', 'light', 'dark']
const LIGHT_NAMES: Record<Light, string> = { machine: 'as this machine', light: 'by day', dark: 'by lamp' }

function nextLight(): void {
  ways.light = LIGHTS[(LIGHTS.indexOf(ways.light) + 1) % LIGHTS.length]!
}

useShortcuts(() => [
  { key: '?', does: 'Show these keys', run: () => (helping.value = true) },
  { key: 'a', does: 'All bags', run: () => void router.push('/') },
  { key: 'l', does: 'Logbook', run: () => void router.push('/logbook') },
  { key: 's', does: 'Swatches', run: () => void router.push('/swatches') },
  { key: 'y', does: 'Yarn', run: () => void router.push('/yarns') },
  { key: 'o', does: 'Orders', run: () => void router.push('/orders') },
  { key: 'k', does: 'Kept safe: copies, what was thrown away, your phone', run: () => void router.push('/safe') },
  { key: 't', does: 'Switch between US and UK terms', run: ways.otherTerms },
])
</script>

<template>
  <header class="bar">
    <NuxtLink
      to="/"
      class="home"
      aria-label="Fair Hollow, all bags"
    >
      <img
        src="/mark.svg"
        alt=""
        width="26"
        height="26"
      >
      <span>Fair Hollow</span>
    </NuxtLink>
    <nav
      class="ways"
      aria-label="Screens"
    >
      <LazyBagWays v-if="onBag" />
      <NuxtLink
        to="/"
        class="way"
        :class="{ 'wide-only': onBag }"
      >
        All bags
      </NuxtLink>
      <NuxtLink
        to="/logbook"
        class="way"
        :class="{ 'wide-only': onBag }"
      >
        Logbook
      </NuxtLink>
      <NuxtLink
        to="/swatches"
        class="way"
        :class="{ 'wide-only': onBag }"
      >
        Swatches
      </NuxtLink>
      <NuxtLink
        to="/yarns"
        class="way"
        :class="{ 'wide-only': onBag }"
      >
        Yarn
      </NuxtLink>
      <NuxtLink
        to="/orders"
        class="way"
        :class="{ 'wide-only': onBag }"
      >
        Orders
      </NuxtLink>
      <NuxtLink
        to="/safe"
        class="way wide-only"
        :class="{ 'widest-only': onBag }"
      >
        Kept safe
      </NuxtLink>
      <NuxtLink
        to="/hook"
        class="way wide-only"
      >
        Where the hook goes
      </NuxtLink>
    </nav>
    <span class="spring" />
    <LazyBagTools v-if="onBag" />
    <v-btn
      :icon="mdiThemeLightDark"
      size="small"
      class="wide-only"
      :aria-label="`Light: ${LIGHT_NAMES[ways.light]}`"
      :title="`Light: ${LIGHT_NAMES[ways.light]}`"
      @click="nextLight"
    />
    <v-btn
      :icon="mdiHelp"
      size="small"
      class="wide-only"
      aria-label="Keys"
      title="Keys (?)"
      @click="helping = true"
    />
    <LazyKeysDialog
      v-model="helping"
      :shortcuts="shortcutsNow"
    />
  </header>
</template>

<style scoped>
.bar {
  position: fixed; inset: 0 0 auto; z-index: 10; height: 3.25rem; display: flex; align-items: center; gap: 0.35rem;
  padding: 0 0.9rem; background: var(--sheet); border-bottom: 1px solid var(--line);
}
.home { display: flex; align-items: center; gap: 0.55rem; margin-right: 0.9rem; font-family: var(--v-font-heading); font-weight: 700; color: var(--ink); text-decoration: none; }
.home span { white-space: nowrap; }
.ways { display: flex; height: 100%; }
.bar :deep(.way) {
  display: flex; align-items: center; padding: 0 0.75rem; color: var(--soft-ink); text-decoration: none;
  border-bottom: 3px solid transparent; border-top: 3px solid transparent; white-space: nowrap;
}
.bar :deep(button.way) { background: none; border-left: 0; border-right: 0; font-family: inherit; cursor: pointer; }
.bar :deep(.way:hover) { color: var(--ink); }
.bar :deep(.way.router-link-exact-active) { color: var(--ink); font-weight: 620; border-bottom-color: var(--accent); }
.spring { flex: 1; }
@media (max-width: 1380px) { .bar :deep(.way) { padding: 0 0.56rem; } .bar .widest-only { display: none; } }
@media (max-width: 640px) {
  .home span, .bar :deep(.wide-only) { display: none; }
  .home { margin-right: 0.1rem; }
  .bar :deep(.way) { padding: 0 0.42rem; font-size: 0.92rem; }
  .bar { padding: 0 0.5rem; gap: 0; }
}
</style>

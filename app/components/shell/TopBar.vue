<script setup lang="ts">
import { mdiCogOutline, mdiHelp, mdiMagnify, mdiMenu } from '@mdi/js'
import { computed, ref } from 'vue'
import { useEarlyKeys } from '~/composables/useEarlyKeys'
import { shortcutsNow, useShortcuts } from '~/composables/useShortcuts'
import { useSettings } from '~/stores/settings'

/** The bar above every screen. What only a bag in hand needs is loaded with its screens. */
const settings = useSettings()
const route = useRoute()
const router = useRouter()
const helping = ref(false)
const setting = ref(false)
const jumping = ref(false)
const menu = ref(false)

const onBag = computed(() => route.path.startsWith('/bags/'))
const early = useEarlyKeys()
function jump(): void {
  early.begin()
  jumping.value = true
}

useShortcuts(() => [
  { key: '?', does: 'Show these keys', run: () => (helping.value = true) },
  { key: '/', does: 'Go to a bag, part, round, screen or term', run: jump },
  { key: 'Ctrl+K', does: 'The same, while you type too', run: jump },
  { key: 'a', does: 'All bags', run: () => void router.push('/') },
  { key: 'l', does: 'Logbook', run: () => void router.push('/logbook') },
  { key: 's', does: 'Swatches', run: () => void router.push('/swatches') },
  { key: 'y', does: 'Yarn', run: () => void router.push('/yarns') },
  { key: 'o', does: 'Orders', run: () => void router.push('/orders') },
  { key: 'k', does: 'Kept safe: copies, what was deleted, your phone', run: () => void router.push('/safe') },
  { key: 't', does: 'Switch between US and UK terms', run: settings.otherTerms },
])
</script>

<template>
  <header
    class="bar"
    :class="{ 'on-bag': onBag }"
  >
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
      <LazyBagScreens v-if="onBag" />
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
        class="way roomy"
        :class="{ 'wide-only': onBag }"
      >
        Yarn
      </NuxtLink>
      <NuxtLink
        to="/orders"
        class="way roomy"
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
    <IconButton
      :icon="mdiMagnify"
      class="wide-only"
      name="Go to"
      hint="Go to (/ or Ctrl+K)"
      @click="jump"
    />
    <IconButton
      :icon="mdiCogOutline"
      class="wide-only"
      name="Settings"
      @click="setting = true"
    />
    <IconButton
      :icon="mdiHelp"
      class="wide-only"
      name="Keys"
      hint="Keys (?)"
      @click="helping = true"
    />
    <IconButton
      :icon="mdiMenu"
      class="narrow-only"
      name="Menu"
      @click="menu = true"
    />
    <LazyMenuSheet
      v-if="menu"
      v-model="menu"
      @settings="setting = true"
      @keys="helping = true"
      @jump="jump"
    />
    <LazySettingsDialog
      v-if="setting"
      v-model="setting"
    />
    <LazySearchBox
      v-if="jumping"
      v-model="jumping"
      :early="early.end"
    />
    <LazyKeysDialog
      v-if="helping"
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
.home {
  display: flex; align-items: center; gap: 0.55rem; margin-right: 0.9rem; font-family: var(--v-font-heading); font-weight: 700;
  color: var(--ink); text-decoration: none;
}
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
@media (--under-wide) { .bar :deep(.way) { padding: 0 0.56rem; } .bar .widest-only { display: none; } }
.bar :deep(.narrow-only) { display: none; }
/* What has no room is in the menu. */
@media (--laptop) {
  .bar.on-bag :deep(.narrow-only) { display: inline-grid; }
  .bar.on-bag :deep(.wide-only) { display: none; }
}
@media (--narrow-screens) {
  .bar :deep(.narrow-only) { display: inline-grid; }
  .bar :deep(.wide-only) { display: none; }
}
@media (--one-column) {
  .home span { display: none; }
  .home { margin-right: 0.1rem; }
  .bar :deep(.way) { padding: 0 0.42rem; font-size: 0.92rem; }
  .bar { padding: 0 0.5rem; gap: 0; }
}
@media (--smallest) {
  .bar :deep(.roomy), .bar.on-bag .home { display: none; }
  .bar :deep(.way) { padding: 0 0.3rem; }
}
</style>

<script setup lang="ts">
import { mdiHelp, mdiHistory, mdiRedo, mdiUndo, mdiThemeLightDark } from '@mdi/js'
import { computed, ref } from 'vue'
import { useTell } from '~/composables/useTell'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'
import { useView } from '~/stores/view'
import { type Light, useWays } from '~/stores/ways'
import { type Shortcut, useShortcuts } from '~/composables/useShortcuts'

const bag = useDocument()
const told = useTell()
const saving = useSaving()
const view = useView()
const ways = useWays()
const route = useRoute()
const router = useRouter()
const helping = ref(false)
const remembering = ref(false)

const onBag = computed(() => route.path.startsWith('/bags/') && bag.isOpen)
const LIGHTS: readonly Light[] = ['machine', 'light', 'dark']
const LIGHT_NAMES: Record<Light, string> = { machine: 'as this machine', light: 'by day', dark: 'by lamp' }

function nextLight(): void {
  ways.light = LIGHTS[(LIGHTS.indexOf(ways.light) + 1) % LIGHTS.length]!
}

function along(by: number): void {
  const parts = ['bag', ...bag.draft.parts.map(({ id }) => id)]
  view.selected = parts[(parts.indexOf(view.selected) + by + parts.length) % parts.length]!
}

/** Begins the bag: its design as it stands is what is followed at the hook. */
async function takeUp(): Promise<void> {
  const { useMake } = await import('~/stores/make')
  await router.push(`/makes/${await useMake().takeUp(bag.design, saving.id)}`)
}

const shortcuts = computed<Shortcut[]>(() => [
  { key: '?', does: 'Show these keys', run: () => (helping.value = true) },
  { key: 'a', does: 'All bags', run: () => void router.push('/') },
  { key: 's', does: 'Swatches', run: () => void router.push('/swatches') },
  { key: 'k', does: 'Kept safe: copies, what was thrown away, your phone', run: () => void router.push('/safe') },
  { key: 't', does: 'Switch between US and UK terms', run: ways.otherTerms },
  ...(onBag.value
    ? [
        { key: 'd', does: 'Draft the bag, on the bench', run: () => void router.push(`/bags/${saving.id}`) },
        { key: 'w', does: 'The written pattern', run: () => void router.push(`/bags/${saving.id}/pattern`) },
        { key: 'h', does: 'Take it up: follow it at the hook', run: () => void takeUp() },
        { key: 'u', does: 'Undo', run: bag.undo },
        { key: 'r', does: 'Redo', run: bag.redo },
        { key: 'e', does: 'Earlier states of the bag', run: () => (remembering.value = !remembering.value) },
        { key: ']', does: 'Select the next part up', run: () => along(1) },
        { key: '[', does: 'Select the part below', run: () => along(-1) },
      ]
    : []),
])
useShortcuts(() => shortcuts.value)
</script>

<template>
  <header class="bar">
    <NuxtLink
      to="/"
      class="home"
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
      <template v-if="onBag">
        <NuxtLink
          :to="`/bags/${saving.id}`"
          class="way"
        >
          Bench
        </NuxtLink>
        <NuxtLink
          :to="`/bags/${saving.id}/pattern`"
          class="way"
        >
          Pattern
        </NuxtLink>
        <button
          type="button"
          class="way take"
          @click="takeUp"
        >
          Take it up
        </button>
      </template>
      <NuxtLink
        to="/"
        class="way"
        :class="{ 'wide-only': onBag }"
      >
        All bags
      </NuxtLink>
      <NuxtLink
        to="/swatches"
        class="way"
        :class="{ 'wide-only': onBag }"
      >
        Swatches
      </NuxtLink>
      <NuxtLink
        to="/safe"
        no-prefetch
        class="way wide-only"
      >
        Kept safe
      </NuxtLink>
      <NuxtLink
        to="/hook"
        no-prefetch
        class="way wide-only"
      >
        Where the hook goes
      </NuxtLink>
    </nav>
    <span class="spring" />
    <template v-if="onBag">
      <SavedMark />
      <v-btn
        :icon="mdiUndo"
        size="small"
        :disabled="!bag.undoLabel"
        :aria-label="bag.undoLabel ? `Undo: ${told(bag.undoLabel)}` : 'Nothing to undo'"
        :title="bag.undoLabel ? `Undo: ${told(bag.undoLabel)} (u)` : 'Nothing to undo'"
        @click="bag.undo"
      />
      <v-btn
        :icon="mdiRedo"
        size="small"
        :disabled="!bag.redoLabel"
        :aria-label="bag.redoLabel ? `Redo: ${told(bag.redoLabel)}` : 'Nothing to redo'"
        :title="bag.redoLabel ? `Redo: ${told(bag.redoLabel)} (r)` : 'Nothing to redo'"
        @click="bag.redo"
      />
      <v-btn
        :icon="mdiHistory"
        size="small"
        class="wide-only"
        aria-label="Earlier states of the bag"
        title="Earlier states (e)"
        @click="remembering = !remembering"
      />
      <LazyBagVersions
        v-if="remembering"
        v-model="remembering"
      />
    </template>
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
    <KeysDialog
      v-model="helping"
      :shortcuts="shortcuts"
    />
  </header>
</template>

<style scoped>
.bar {
  position: fixed; inset: 0 0 auto; z-index: 10; height: 3.25rem; display: flex; align-items: center; gap: 0.35rem;
  padding: 0 0.9rem; background: var(--sheet); border-bottom: 1px solid var(--line);
}
.home { display: flex; align-items: center; gap: 0.55rem; margin-right: 0.9rem; font-family: var(--v-font-heading); font-weight: 700; color: var(--ink); text-decoration: none; }
.ways { display: flex; height: 100%; }
.way { display: flex; align-items: center; padding: 0 0.75rem; color: var(--soft-ink); text-decoration: none; border-bottom: 3px solid transparent; border-top: 3px solid transparent; white-space: nowrap; }
button.way { background: none; border-left: 0; border-right: 0; font-family: inherit; cursor: pointer; }
.way:hover { color: var(--ink); }
.way.router-link-exact-active { color: var(--ink); font-weight: 620; border-bottom-color: var(--accent); }
.spring { flex: 1; }
@media (max-width: 640px) {
  .home span, .wide-only { display: none; }
  .home { margin-right: 0.1rem; }
  .way { padding: 0 0.42rem; font-size: 0.92rem; }
  .bar { padding: 0 0.5rem; gap: 0; }
}
</style>

<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import { ask, useTrying } from '~/stores/records'
import { useSaving } from '~/stores/saving'
import { useView } from '~/stores/view'

/** The bag at the end of earlier sittings: looked at on the bench, and gone back to. */
const open = defineModel<boolean>({ required: true })
const saving = useSaving()
const view = useView()
const { trouble, trying } = useTrying()

interface Version {
  readonly revision: number
  readonly savedAt: string
  readonly name: string
}

const versions = shallowRef<readonly Version[]>()
const looked = ref<number>()
const { format } = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' })

async function load(): Promise<void> {
  await saving.flush()
  versions.value = await trying(() => ask<Version[]>(`/api/designs/${saving.id}/versions`))
}
onMounted(load)
// What was looked at is over with the drawer, however that is closed.
onBeforeUnmount(() => view.look())

async function look({ revision }: Version): Promise<void> {
  const design = await trying(() => ask<Design>(`/api/designs/${saving.id}/versions/${revision}`))
  if (!design) return
  looked.value = revision
  view.lookAt(design)
}

async function goBack({ revision }: Version): Promise<void> {
  const done = await trying(() => ask(`/api/designs/${saving.id}/versions/${revision}`, { method: 'POST' }))
  if (!done) return
  await saving.look()
  open.value = false
}
</script>

<template>
  <v-navigation-drawer
    v-model="open"
    location="right"
    temporary
    width="408"
    :scrim="false"
  >
    <div class="versions">
      <h2>Earlier states</h2>
      <p class="soft">
        How the bag was whenever you got up from it. Look at one: it is drawn in the bag's place, and nothing changes until you
        go back to it.
      </p>
      <TroubleNote :lines="trouble" />
      <p v-if="versions?.length === 0">
        None yet: the first is kept when you come back to this bag after a while.
      </p>
      <ul>
        <li
          v-for="version in versions"
          :key="version.revision"
          :class="{ looked: looked === version.revision }"
        >
          <strong>{{ format(new Date(version.savedAt)) }}</strong>
          <span class="row">
            <v-btn
              size="small"
              variant="outlined"
              :aria-label="`Look at ${format(new Date(version.savedAt))}`"
              @click="look(version)"
            >Look</v-btn>
            <v-btn
              size="small"
              variant="tonal"
              color="primary"
              :aria-label="`Go back to ${format(new Date(version.savedAt))}`"
              @click="goBack(version)"
            >Go back to it</v-btn>
          </span>
        </li>
      </ul>
      <v-btn
        variant="outlined"
        @click="open = false"
      >
        Close
      </v-btn>
    </div>
  </v-navigation-drawer>
</template>

<style scoped>
.versions { padding: 1.2rem; }
ul { list-style: none; margin: 0 0 1rem; padding: 0; }
li { padding: 0.55rem 0.5rem; border-top: 1px solid var(--line); display: flex; flex-direction: column; gap: 0.4rem; }
.looked { background: var(--wash); border-left: 4px solid var(--accent); }
.row { display: flex; gap: 0.4rem; }
</style>

<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useSettings } from '~/stores/settings'

/** Five things to know of the bench, one after the other; to be left at any time, and then not offered again. */
const settings = useSettings()
const at = ref(-1)
const POINTS = [
  { what: '.canvas', says: 'The drawing is to scale and is the menu: press a part or its name for its questions. The wheel enlarges it.' },
  { what: '.panel', says: 'Here you say what you want. Everything else follows at once: type a size, and every round is counted anew.' },
  { what: '.tally', says: 'Along the foot stands what it comes to: what there is to watch, sizes, stitches, hours, yarn.' },
  { what: '.bar .ways', says: '“Pattern” writes it out round by round; “Take it up” follows you at the hook.' },
  { what: '.bar', says: 'Everything is saved as you go, every change can be undone (Ctrl+Z). Ctrl+K goes anywhere, ? lists the keys.' },
] as const
const point = computed(() => POINTS[at.value])

watch(point, async (now, before) => {
  if (before) document.querySelector(before.what)?.classList.remove('toured')
  await nextTick()
  if (now) document.querySelector(now.what)?.classList.add('toured')
})

function go(to: number): void {
  at.value = to
  if (to >= POINTS.length) leave()
}

function leave(): void {
  at.value = -1
  settings.toured = true
}
</script>

<template>
  <section
    v-if="!settings.toured"
    class="tour"
    aria-label="A short tour"
  >
    <p role="status">
      <template v-if="point">
        <strong>{{ at + 1 }} of {{ POINTS.length }}.</strong> {{ point.says }}
      </template>
      <template v-else>
        New at this bench? Five things to know.
      </template>
    </p>
    <div>
      <v-btn
        size="small"
        variant="tonal"
        color="primary"
        @click="go(at + 1)"
      >
        {{ at < 0 ? 'Show me' : at === POINTS.length - 1 ? 'Done' : 'Next' }}
      </v-btn>
      <v-btn
        v-if="at < POINTS.length - 1"
        size="small"
        @click="leave"
      >
        {{ at < 0 ? 'No, thank you' : 'Leave the tour' }}
      </v-btn>
    </div>
  </section>
</template>

<style scoped>
.tour {
  padding: 0.6rem 0.8rem; border: 1px solid var(--line); border-left: 4px solid var(--accent); border-radius: 4px;
  background: var(--paper);
}
p { margin: 0 0 0.4rem; font-size: 0.92rem; line-height: 1.4; }
</style>

<style>
.toured { outline: 3px solid var(--accent) !important; outline-offset: -3px; }
</style>

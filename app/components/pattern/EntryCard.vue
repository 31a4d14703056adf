<script setup lang="ts">
import type { Card } from '~~/core/things/entry/card'
import { useTranslate } from '~/composables/useTranslate'

/** A way that a stitch is entered or joined: its drawing, and two sentences. Left-handed makers see it mirrored. */
defineProps<{ card: Card, leftHanded?: boolean }>()
const told = useTranslate()
</script>

<template>
  <figure class="card">
    <svg
      :viewBox="`-4 -4 ${card.picture.width + 8} ${card.picture.height + 8}`"
      role="img"
      :aria-label="told(card.name)"
    >
      <g :transform="leftHanded ? `translate(${card.picture.width} 0) scale(-1 1)` : undefined">
        <g
          v-for="(thread, i) in card.picture.threads"
          :key="i"
          :class="['thread', { lit: thread.lit, behind: thread.behind }]"
        >
          <path
            :d="thread.path"
            class="edge"
          />
          <path :d="thread.path" />
        </g>
        <path
          v-for="(way, i) in card.picture.way"
          :key="`way-${i}`"
          :d="way.path"
          :class="['way', { behind: way.behind }]"
        />
        <path
          class="head"
          d="M3 0L-4 -3.6L-2.4 0L-4 3.6Z"
          :transform="`translate(${card.picture.head.x} ${card.picture.head.y}) rotate(${card.picture.head.degrees})`"
        />
      </g>
    </svg>
    <figcaption>
      <strong>{{ told(card.name) }}</strong>
      {{ told(card.says) }}
    </figcaption>
  </figure>
</template>

<style scoped>
.card { margin: 0; break-inside: avoid; }
svg { display: block; height: 8.5rem; max-width: 100%; margin-bottom: 0.4rem; }
.thread path { fill: none; stroke: var(--thread, #d9cbb0); stroke-width: 4.2; stroke-linecap: round; }
.thread path.edge { stroke: var(--ink); stroke-width: 5.6; }
.thread.behind { opacity: 0.42; }
.thread.lit path:not(.edge) { stroke: #f2b632; }
.thread.lit.behind { opacity: 0.85; }
.way { fill: none; stroke: var(--accent); stroke-width: 2.2; stroke-linecap: round; }
.way.behind { stroke-dasharray: 0.5 3.6; }
.head { fill: var(--accent); }
figcaption { font-size: 0.93rem; line-height: 1.4; }
figcaption strong { display: block; }
</style>

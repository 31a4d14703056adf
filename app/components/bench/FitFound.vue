<script setup lang="ts">
import type { FitResult, Fitting } from '~~/core/bag/fit/fit'
import { collisionWords, fittingWords, searchWords } from '~~/core/bag/fit/fitWords'
import type { Fix } from '~~/core/parts/part/finding'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** Result of the search for counts: the best ways, to be looked at and taken; or where none can be. */
defineProps<{ result: FitResult }>()
const bag = useDocument()
const view = useView()

function fixOf(fitting: Fitting): Fix {
  return {
    label: `Counts that divide: ${fitting.stitches} stitches`,
    changes: [
      { path: ['base'], value: fitting.base }, { path: ['wall'], value: fitting.wall }, { path: ['measuredBase'], value: undefined },
    ],
  }
}
</script>

<template>
  <p
    v-if="result.collision"
    class="collision"
  >
    {{ collisionWords(bag.design, result.collision) }}
  </p>
  <p
    v-else
    class="soft"
  >
    {{ searchWords(result) }}
  </p>
  <ol
    v-if="result.found.length > 0"
    aria-label="Counts that divide"
  >
    <li
      v-for="(fitting, i) in result.found"
      :key="i"
    >
      <button
        type="button"
        @click="bag.applyFix(fixOf(fitting))"
        @mouseenter="view.look(fixOf(fitting))"
        @mouseleave="view.look()"
        @focus="view.look(fixOf(fitting))"
        @blur="view.look()"
      >
        {{ fittingWords(fitting, bag.design) }}
      </button>
    </li>
  </ol>
</template>

<style scoped>
p { margin: 0 0 0.4rem; font-size: 0.88rem; line-height: 1.4; }
.collision { color: rgb(var(--v-theme-error)); font-weight: 560; }
ol { list-style: none; margin: 0; padding: 0; border-bottom: 1px solid var(--line); }
li { border-top: 1px solid var(--line); }
button {
  width: 100%; padding: 0.45rem 0.4rem; border: 0; background: none; color: inherit; font: inherit; font-size: 0.93rem; line-height: 1.35;
  text-align: left; cursor: pointer;
}
li:first-child button { font-weight: 640; }
li button:hover, li button:focus-visible { background: var(--wash); }
</style>

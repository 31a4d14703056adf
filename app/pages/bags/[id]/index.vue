<script setup lang="ts">
import { useBagPage } from '~/composables/useBagPage'

const bench = useBagPage()

/** What is dragged along the rim is one edit, however far. */
function nudge(part: string, to: number): void {
  bench.edit('Move the handles', design => void Object.assign(design.wall[Number(part.slice(5))]!, { nudge: to }), `${part}.nudge`)
}
</script>

<template>
  <div class="bench">
    <OpenTrouble />
    <template v-if="bench.draft">
      <h1 class="only-heard">
        {{ bench.design!.name }}, on the bench
      </h1>
      <BagDrawing
        class="stage"
        :draft="bench.shown!"
        :selected="bench.selected"
        :pulled="bench.pulled"
        :threaded="bench.threaded"
        :handles-as="bench.handlesAs"
        @nudge="nudge"
        @select="bench.selected = $event"
      />
      <LazyPartPanel class="side" />
      <BagTally
        class="foot"
        :draft="bench.shown!"
      />
    </template>
  </div>
</template>

<style scoped>
.bench { display: grid; grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) 25.5rem; height: calc(100dvh - 3.25rem); }
.bench > :deep(.trouble) { grid-column: 1 / -1; }
.stage { grid-row: 2; min-width: 0; }
.side { grid-row: 2; overflow-y: auto; background: var(--sheet); border-left: 1px solid var(--line); scrollbar-width: thin; }
.foot { grid-row: 3; grid-column: 1 / -1; }
@media (max-width: 860px) {
  .bench { display: flex; flex-direction: column; height: auto; }
  .stage { height: auto; }
  .side { border-left: 0; border-top: 1px solid var(--line); overflow: visible; }
  .foot { position: sticky; bottom: 0; z-index: 5; }
}
</style>

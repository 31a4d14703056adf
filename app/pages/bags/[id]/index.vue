<script setup lang="ts">
import { useBagPage } from '~/composables/useBagPage'
import { useView } from '~/stores/view'

const bag = useBagPage()
const view = useView()

/** What is dragged along the rim is one edit, however far. */
function nudge(part: string, to: number): void {
  bag.change('Move the handles', [{ path: ['wall', part, 'nudge'], value: to }], `${part}.nudge`)
}
</script>

<template>
  <div class="bench">
    <OpenTrouble />
    <template v-if="bag.isOpen">
      <h1 class="only-heard">
        {{ bag.design.name }}, on the bench
      </h1>
      <BagDrawing
        class="stage"
        :draft="view.shown"
        :selected="view.selected"
        :pulled="view.pulled"
        :threaded="view.threaded"
        :handles-as="view.handlesAs"
        @nudge="nudge"
        @select="view.selected = $event"
      />
      <LazyPartPanel class="side" />
      <BagTally
        class="foot"
        :draft="view.shown"
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

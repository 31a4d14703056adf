<script setup lang="ts">
import { nextTick, watch } from 'vue'
import { worstFirst } from '~~/core/parts/part/worst'
import { useAfterPaint } from '~/composables/useAfterPaint'
import { useBagPage } from '~/composables/useBagPage'
import { useFolds } from '~/stores/folds'
import { useView } from '~/stores/view'

const bag = useBagPage()
const view = useView()
const folds = useFolds()
const route = useRoute()
const router = useRouter()
const drawn = useAfterPaint(() => view.shown, () => bag.isOpen)

/** The part in hand is in the address: a link leads to it, and a reload comes back to it. */
watch(() => [bag.isOpen, route.query.part] as const, ([open, part]) => {
  if (open && typeof part === 'string' && bag.draft.parts.some(({ id }) => id === part)) view.selected = part
}, { immediate: true })
watch(() => view.selected, (part) => {
  if (bag.isOpen && route.query.part !== part) void router.replace({ query: part === 'bag' ? {} : { part } })
})

/** Brings what weighs most before the eyes: the part it is about, and what is said of it there. */
function watchWorst(): void {
  const [worst] = worstFirst(bag.draft.findings)
  view.selected = bag.draft.parts.find(({ id }) => id === worst?.part)?.id ?? 'bag'
  folds.set('watch', true)
  void nextTick(() => document.querySelector('.findings')?.scrollIntoView({ block: 'center' }))
}

/** A drag along the rim is one edit, however far. */
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
        :draft="drawn"
        :name="bag.design.name"
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
        @watch="watchWorst"
      />
      <BenchSaid />
    </template>
  </div>
</template>

<style scoped>
.bench { display: grid; grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) 25.5rem; height: calc(100dvh - 3.25rem); }
.bench > :deep(.trouble) { grid-column: 1 / -1; }
.stage { grid-row: 2; min-width: 0; }
.side { grid-row: 2; overflow-y: auto; background: var(--sheet); border-left: 1px solid var(--line); scrollbar-width: thin; }
.foot { grid-row: 3; grid-column: 1 / -1; }
@media (--stacked) {
  .bench { display: flex; flex-direction: column; height: auto; }
  .stage { position: sticky; top: 3.25rem; z-index: 4; height: 17rem; background: var(--paper); border-bottom: 1px solid var(--line); }
  .side { border-left: 0; border-top: 1px solid var(--line); overflow: visible; }
  .foot { position: sticky; bottom: 0; z-index: 5; }
}
@media (--stacked) and (--low) { .stage { position: static; } .foot { position: static; } }
</style>

<style>
@media (--stacked) and (--not-low) { html:has(.bench) { scroll-padding: 21rem 0 4.5rem; } }
</style>

<script setup lang="ts">
import { hasFloor } from '~~/core/parts/part/floor'
import { computed } from 'vue'
import { formOf } from '~~/core/parts/base/base'
import { neighbours } from '~~/core/parts/base/sizing'
import { formatCm } from '~~/core/things/measure/format'
import { baseSetting } from '~~/core/bag/design/partContexts'
import { floorShort } from '~~/core/readers/words/floorWords'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** The sizes that whole stitches and rounds allow, on either side of the one in hand: pick one and its counts are pinned. */
const bag = useDocument()
const view = useView()
const sizes = computed(() =>
  neighbours(view.settled.from.base, baseSetting(view.settled.from, view.settled.gauge)).map(({ spec, worked, here }) => {
    const { floor, circumference, height } = worked.size
    const { units } = bag.design
    const flat = `${formatCm(circumference.cm / 2, units)} wide`
    const size
      = hasFloor(floor)
        ? floorShort(floor, units)
        : formOf(bag.design.base).tall
          ? `${flat}, ${formatCm(height.cm, units)} tall`
          : flat
    return { spec, here, size, stitches: worked.edge.count }
  }),
)

function pick(index: number): void {
  const { spec } = sizes.value[index]!
  bag.change('Pick a size', [{ path: ['base'], value: spec }])
}
</script>

<template>
  <div
    v-if="sizes.length > 1"
    class="near"
    role="group"
    aria-label="Sizes that come out whole"
  >
    <span class="soft">Sizes that come out whole:</span>
    <button
      v-for="(one, i) in sizes"
      :key="i"
      type="button"
      :aria-pressed="one.here"
      :class="{ here: one.here }"
      @click="pick(i)"
    >
      {{ one.size }} <span class="soft">· {{ one.stitches }} sts</span>
    </button>
  </div>
</template>

<style scoped>
.near { display: flex; flex-wrap: wrap; gap: 0.3rem; font-size: 0.88rem; }
.near > span { width: 100%; font-size: 0.84rem; }
button {
  padding: 0.2rem 0.55rem; border: 1px dashed var(--strong-line); border-radius: 4px; cursor: pointer; background: none; color: inherit;
  font: inherit;
}
button:hover { border-style: solid; }
.here { border-style: solid; border-color: var(--accent); font-weight: 620; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { STRIP_CM, WEIGHT_KG } from '~~/core/design/bounds'
import type { StretchTest } from '~~/core/handle/drop'
import { useBench } from '~/stores/bench'

/** A strip of the maker's own, hung up with a weight on it: by it the drop of loaded handles is foretold. */
const bench = useBench()
const test = computed(() => bench.design!.stretch)
const units = computed(() => bench.design!.units)

function setTested(tested: boolean): void {
  bench.edit(tested ? 'A strip hung up' : 'No strip', (design) => {
    if (tested) design.stretch = { beforeCm: 20, afterCm: 22, kg: 1, widthCm: 2 }
    else delete design.stretch
  })
}

function put(change: Partial<StretchTest>, group: string): void {
  bench.edit('The strip', design => void Object.assign(design.stretch!, change), `stretch.${group}`)
}

/** Under a weight no strip gets shorter: one figure takes the other along. */
function putBefore(beforeCm: number): void {
  put({ beforeCm, afterCm: Math.max(beforeCm, test.value!.afterCm) }, 'before')
}

function putAfter(afterCm: number): void {
  put({ afterCm, beforeCm: Math.min(afterCm, test.value!.beforeCm) }, 'after')
}
</script>

<template>
  <ChoiceField
    label="How much straps lengthen"
    :value="test !== undefined"
    :choices="[
      { value: false, name: 'as cotton usually does', does: 'By 5 to 15 %: the middle of it is taken, from memory.' },
      { value: true, name: 'I hung a strip', does: 'Crochet a strip as your handles will be, measure it, hang a weight on it low over the floor, and measure again.' },
    ]"
    @change="setTested"
  />
  <div
    v-if="test"
    class="row"
  >
    <LengthField
      label="Strip before"
      :cm="test.beforeCm"
      :units="units"
      :bounds="STRIP_CM"
      @change="putBefore"
    />
    <LengthField
      label="With the weight"
      :cm="test.afterCm"
      :units="units"
      :bounds="STRIP_CM"
      @change="putAfter"
    />
    <LengthField
      label="Strip's width"
      :cm="test.widthCm"
      :units="units"
      :bounds="STRIP_CM"
      @change="put({ widthCm: $event }, 'width')"
    />
    <CountField
      label="Weight on it"
      suffix="kg"
      parts
      :value="test.kg"
      :bounds="WEIGHT_KG"
      @change="put({ kg: $event }, 'kg')"
    />
  </div>
</template>

<style scoped>
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; align-items: start; }
</style>

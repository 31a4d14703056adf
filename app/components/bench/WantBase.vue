<script setup lang="ts">
import { computed } from 'vue'
import type { BaseForm, BaseSpec } from '~~/core/base/base'
import { workBase } from '~~/core/base/base'
import { pinned, wanted } from '~~/core/base/sizing'
import { startBase } from '~~/core/base/starters'
import { FORMS, furtherFields, sizeFields, stitchField } from '~/composables/baseFields'
import { useBaseSetting } from '~/composables/useBaseSetting'
import { useBench } from '~/stores/bench'
import { useWays } from '~/stores/ways'

const bench = useBench()
const ways = useWays()
const base = computed(() => bench.design!.base)
const setting = useBaseSetting()

function put(label: string, spec: BaseSpec): void {
  bench.edit(label, (design) => {
    design.base = JSON.parse(JSON.stringify(spec)) as typeof design.base
    delete design.measuredBase
  })
}

function setForm(form: BaseForm): void {
  const { floor, height, mouth } = bench.draft!.sizes
  const lengthCm = floor.length.cm || mouth.cm / 2
  const { stitch, colour } = base.value
  put(`Base: ${FORMS.find(({ value }) => value === form)!.name}`, startBase(form, { stitch, colour, lengthCm, widthCm: floor.width.cm, heightCm: height.cm }))
}

function setMode(mode: string): void {
  const worked = workBase(base.value, setting.value)
  put(mode === 'want' ? 'Want a size' : 'Pin the counts', mode === 'want' ? wanted(base.value, worked) : pinned(base.value, setting.value, worked))
}
</script>

<template>
  <div class="fields">
    <ChoiceField
      label="Form"
      :value="base.form"
      :choices="FORMS"
      @change="setForm"
    />
    <ChoiceField
      v-if="'size' in base"
      label="Decide by"
      :value="'want' in base.size ? 'want' : 'pin'"
      :choices="[
        { value: 'want', name: 'a size', does: 'You say how large, the counts are found. A new gauge finds new counts.' },
        { value: 'pin', name: 'counts', does: 'You pin the counts, the size is told. A new gauge keeps the counts.' },
      ]"
      @change="setMode"
    />
    <BaseField
      v-for="field in sizeFields(base)"
      :key="`${base.form}-${field.path.join('.')}`"
      :field="field"
    />
    <NearbySizes />
    <BaseField :field="stitchField(ways.terms)" />
    <WantIncreases v-if="base.form === 'circle' || base.form === 'double-disc' || base.form === 'oval'" />
    <BaseField
      v-for="field in furtherFields(base)"
      :key="`${base.form}-${field.path.join('.')}`"
      :field="field"
    />
    <YarnChoice
      :yarns="bench.design!.yarns"
      :value="base.colour"
      @change="(colour) => bench.edit('Yarn of the base', (d) => { d.base.colour = colour })"
    />
    <WantMeasured v-if="base.form !== 'bought'" />
  </div>
</template>

<style scoped>
.fields { display: flex; flex-direction: column; gap: 0.95rem; }
</style>

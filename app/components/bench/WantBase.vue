<script setup lang="ts">
import { computed } from 'vue'
import type { BaseForm, BaseSpec } from '~~/core/base/base'
import { workBase } from '~~/core/base/base'
import { pinned, wanted } from '~~/core/base/sizing'
import { startBase } from '~~/core/base/starters'
import { DIAMETER_CM } from '~~/core/design/bounds'
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

const disc = computed(() => base.value.form === 'circle' || base.value.form === 'double-disc')
const mode = computed(() => {
  if (!('size' in base.value) || 'pin' in base.value.size) return 'pin'
  return disc.value && 'flatWidthCm' in base.value.size.want ? 'flat' : 'want'
})

function setMode(wish: string): void {
  const worked = workBase(base.value, setting.value)
  if (wish === 'pin') return put('Pin the counts', pinned(base.value, setting.value, worked))
  if (wish === 'want') return put('Want a size', wanted(base.value, worked))
  const flatWidthCm = Math.min(DIAMETER_CM.most, Math.max(DIAMETER_CM.least, Math.round(worked.size.circumference.cm * 5) / 10))
  put('Want a flat width', { ...base.value, size: { want: { flatWidthCm } } } as BaseSpec)
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
      :value="mode"
      :choices="[
        { value: 'want', name: disc ? 'a diameter' : 'a size', does: 'You say how large, the counts are found. A new gauge finds new counts.' },
        ...(disc ? [{ value: 'flat', name: 'the bag lying flat', does: 'You say how wide the bag lies, half its edge; the floor follows.' }] : []),
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

<script setup lang="ts">
import { hasFloor } from '~~/core/parts/part/floor'
import { computed, ref, watch } from 'vue'
import { formOf } from '~~/core/parts/base/base'
import { baseMeasured } from '~~/core/bag/draft/replan/measuredBase'
import { CONTENT_CM } from '~~/core/parts/field/bounds'
import { tenths } from '~~/core/parts/field/context'
import { useDocument } from '~/stores/document'

/** Measures of the finished base: pins its counts, and lets the gauge learn from it. */
const bag = useDocument()
const base = computed(() => bag.design.base)
const both = computed(() => formOf(base.value).measures === 'length-and-width')
const kept = computed(() => bag.design.measuredBase)
const floor = computed(() => bag.draft.sizes.floor)
const lengthCm = ref(0)
const widthCm = ref(0)
watch(() => [base.value.form, kept.value, floor.value.length.cm, floor.value.width.cm] as const, () => {
  lengthCm.value = kept.value?.lengthCm ?? tenths(floor.value.length.cm || bag.draft.parts[0]!.size.circumference.cm / 2, CONTENT_CM)
  widthCm.value = kept.value?.widthCm ?? tenths(floor.value.width.cm, CONTENT_CM)
}, { immediate: true })

function use(): void {
  bag.applyFix(baseMeasured(bag.design, { lengthCm: lengthCm.value, ...(both.value ? { widthCm: widthCm.value } : {}) }))
}
</script>

<template>
  <fieldset class="measured">
    <legend>Finished it? Lay the tape on</legend>
    <div class="row">
      <LengthField
        :label="both ? 'Length measured' : hasFloor(floor) ? 'Across, measured' : 'Width measured'"
        :cm="lengthCm"
        :units="bag.design.units"
        :bounds="CONTENT_CM"
        @change="lengthCm = $event"
      />
      <LengthField
        v-if="both"
        label="Width measured"
        :cm="widthCm"
        :units="bag.design.units"
        :bounds="CONTENT_CM"
        @change="widthCm = $event"
      />
    </div>
    <div class="row">
      <v-btn
        variant="tonal"
        color="primary"
        size="small"
        @click="use"
      >
        {{ kept ? 'Use this instead' : 'Draft the rest by it' }}
      </v-btn>
      <v-btn
        v-if="kept"
        variant="outlined"
        size="small"
        @click="bag.change('Forget the measured base', [{ path: ['measuredBase'], value: undefined }])"
      >
        Forget it
      </v-btn>
    </div>
  </fieldset>
</template>

<style scoped>
.measured {
  border: 1px solid var(--line); border-radius: 6px; padding: 0.5rem 0.8rem 0.8rem; margin: 0; display: flex; flex-direction: column;
  gap: 0.7rem; min-width: 0;
}
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0 0.3rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.5rem; align-items: flex-start; }
.row > :deep(.v-input) { flex: 1 1 8rem; }
</style>

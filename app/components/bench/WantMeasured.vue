<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { workBase } from '~~/core/base/base'
import { pinned } from '~~/core/base/sizing'
import { CONTENT_CM } from '~~/core/design/bounds'
import { gaugeOf } from '~~/core/gauge/gauge'
import { useBaseSetting } from '~/composables/useBaseSetting'
import { useBench } from '~/stores/bench'

/** What the finished base measured: pins its counts, and lets the gauge learn from it. */
const bench = useBench()
const setting = useBaseSetting()
const base = computed(() => bench.design!.base)
const both = computed(() => base.value.form === 'oval' || base.value.form === 'rectangle')
const kept = computed(() => bench.design!.measuredBase)
const floor = computed(() => bench.draft!.sizes.floor)
const roundTenth = (cm: number) => Math.max(CONTENT_CM.least, Math.min(CONTENT_CM.most, Math.round(cm * 10) / 10))
const lengthCm = ref(0)
const widthCm = ref(0)
watch(() => [base.value.form, kept.value, floor.value.length.cm, floor.value.width.cm] as const, () => {
  lengthCm.value = kept.value?.lengthCm ?? roundTenth(floor.value.length.cm || bench.draft!.parts[0]!.size.circumference.cm / 2)
  widthCm.value = kept.value?.widthCm ?? roundTenth(floor.value.width.cm)
}, { immediate: true })

function use(): void {
  // Counts are pinned as the swatch alone has them: that is what was worked.
  const bySwatch = { ...setting.value, gauge: gaugeOf(bench.design!.gauge) }
  const worked = workBase(base.value, bySwatch)
  const spec = pinned(base.value, bySwatch, worked)
  const counts = { rounds: worked.rounds.length, stitches: worked.edge.count }
  bench.edit('Measured base', (design) => {
    design.base = JSON.parse(JSON.stringify(spec)) as typeof design.base
    design.measuredBase = both.value ? { lengthCm: lengthCm.value, widthCm: widthCm.value, ...counts } : { lengthCm: lengthCm.value, ...counts }
  })
}
</script>

<template>
  <fieldset class="measured">
    <legend>Finished it? Lay the tape on</legend>
    <div class="row">
      <LengthField
        :label="both ? 'Length measured' : floor.shape === 'none' ? 'Width measured' : 'Across, measured'"
        :cm="lengthCm"
        :units="bench.design!.units"
        :bounds="CONTENT_CM"
        @change="lengthCm = $event"
      />
      <LengthField
        v-if="both"
        label="Width measured"
        :cm="widthCm"
        :units="bench.design!.units"
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
        @click="bench.edit('Forget the measured base', (d) => { delete d.measuredBase })"
      >
        Forget it
      </v-btn>
    </div>
  </fieldset>
</template>

<style scoped>
.measured { border: 1px solid var(--line); border-radius: 6px; padding: 0.5rem 0.8rem 0.8rem; margin: 0; display: flex; flex-direction: column; gap: 0.7rem; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0 0.3rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.5rem; align-items: flex-start; }
.row > :deep(.v-input) { flex: 1 1 8rem; }
</style>

<script setup lang="ts">
import { DROP_CM } from '~~/core/design/bounds'
import { HAND_DROP_CM, SHOULDER_DROP_CM } from '~~/core/draft/handleFindings'
import { formatCm } from '~~/core/measure/format'
import { useBench } from '~/stores/bench'

/** How far a handle drops, held up: typed by the maker's own measure, or one of the two usual ones. */
withDefaults(defineProps<{ cm: number, label?: string, usual?: boolean }>(), { label: 'Drop, rim to hand', usual: true })
const emit = defineEmits<{ change: [cm: number] }>()
const bench = useBench()
const USUAL = [{ name: 'in the hand', cm: HAND_DROP_CM }, { name: 'over the shoulder', cm: SHOULDER_DROP_CM }]
</script>

<template>
  <div>
    <LengthField
      :label="label"
      :cm="cm"
      :units="bench.design!.units"
      :bounds="DROP_CM"
      @change="emit('change', $event)"
    />
    <div
      v-if="usual"
      class="usual"
    >
      <span>Usual:</span>
      <v-btn
        v-for="one in USUAL"
        :key="one.name"
        size="small"
        :variant="Math.abs(one.cm - cm) < 0.05 ? 'tonal' : 'outlined'"
        @click="emit('change', one.cm)"
      >
        {{ one.name }} {{ formatCm(one.cm, bench.design!.units) }}
      </v-btn>
    </div>
  </div>
</template>

<style scoped>
.usual { margin-top: 0.45rem; display: flex; flex-wrap: wrap; gap: 0.4rem; align-items: center; font-size: 0.86rem; color: var(--soft-ink); }
</style>

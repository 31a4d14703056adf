<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { DesignGauge } from '~~/core/bag/design/design'
import { FIRM_SHARE, usualGauge, usualHookMm } from '~~/core/things/gauge/usual'
import { nearestHookMm } from '~~/core/household/shelf/substitute'
import { HOOK_SIZES, hookLabel } from '~~/core/things/stitch/hooks'
import { YARN_WEIGHTS, type YarnWeight } from '~~/core/things/stitch/yarnWeights'
import { useLastUsed } from '~/stores/lastUsed'

/** The gauge that a bag begins in: that of a swatch, of the last bag, or what is usual for a yarn and a hook. */
const emit = defineEmits<{ gauge: [gauge: DesignGauge, yarn: string | undefined] }>()
const last = useLastUsed()

const own = computed(() =>
  last.swatches.swatches.filter(({ unreadable, document }) => !unreadable && !document.gauge.assumed))
const ways = computed(() => [
  { value: 'last', title: 'As my last bag' },
  ...own.value.map(({ id, document: { name } }) => ({ value: id, title: `My swatch: ${name}` })),
  { value: 'usual', title: 'No swatch yet: by yarn and hook' },
])
const way = ref('last')
const weight = ref<YarnWeight['number']>(3)
const hookMm = ref(nearestHookMm(FIRM_SHARE * usualHookMm(YARN_WEIGHTS[3]!)))
const weights = YARN_WEIGHTS.map(({ number, name }) => ({ value: number, title: `${number} ${name.toLowerCase()}` }))
const hooks = HOOK_SIZES.map(({ mm }) => ({ value: mm, title: hookLabel(mm) }))

/** A class that is chosen brings a firm hook along. */
function choose(number: YarnWeight['number']): void {
  weight.value = number
  hookMm.value = nearestHookMm(FIRM_SHARE * usualHookMm(YARN_WEIGHTS.find(one => one.number === number)!))
}

watch([way, weight, hookMm, () => last.gauge], () => {
  const swatch = own.value.find(({ id }) => id === way.value)?.document
  if (swatch) emit('gauge', swatch.gauge, swatch.yarn || undefined)
  else if (way.value === 'usual') emit('gauge', usualGauge(weight.value, hookMm.value) as DesignGauge, undefined)
  else emit('gauge', last.gauge, undefined)
}, { immediate: true })
</script>

<template>
  <div class="gauge">
    <PickField
      v-model="way"
      label="Stitches as in"
      :items="ways"
    />
    <template v-if="way === 'usual'">
      <PickField
        label="Yarn, by the class on its band"
        :model-value="weight"
        :items="weights"
        @update:model-value="choose"
      />
      <PickField
        v-model="hookMm"
        label="Hook"
        :items="hooks"
      />
      <p class="soft">
        What is usual for it, on a firm hook as bags want. Sizes are good to a sixth until you count a swatch.
      </p>
    </template>
  </div>
</template>

<style scoped>
.gauge { display: flex; flex-direction: column; gap: 0.6rem; }
p { margin: 0; font-size: 0.88rem; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { DesignGauge } from '~~/core/bag/design/design'
import type { KeptTexture } from '~~/core/parts/texture/ownSize'
import { textureKinds } from '~~/core/bag/design/textureFields'
import { gaugeOf } from '~~/core/things/gauge/gauge'
import { FABRIC_KINDS, stitchName } from '~~/core/things/stitch/dictionary'
import { hookLabel } from '~~/core/things/stitch/hooks'
import { yarnWeightFor } from '~~/core/things/stitch/yarnWeights'
import { relativeUncertainty } from '~~/core/things/measure/length'
import { useSettings } from '~/stores/settings'

/** Counts on a swatch, and the size of a stitch by them. */
const props = defineProps<{ gauge: DesignGauge, texture?: KeptTexture | undefined }>()
const settings = useSettings()

/** The class of yarn, by the published standard, that usually comes to this gauge. */
const weight = computed(() => yarnWeightFor(1 / gaugeOf(props.gauge).sc.width.cm))

/** Counts of a texture. */
const ofTexture = computed(() => {
  if (!props.texture) return undefined
  const { of, counted: { across, countedIn, overCm, rounds, tallCm } } = props.texture
  return {
    name: textureKinds().find(({ kind }) => kind === of.kind)?.name ?? '',
    counted: `${across} ${countedIn} in ${overCm} cm × ${rounds} rounds in ${tallCm} cm`,
  }
})

const lines = computed(() => {
  // Where a texture alone was counted, the plain stitches are nobody's count.
  if (props.texture && props.gauge.assumed) return []
  const sizes = gaugeOf(props.gauge)
  return FABRIC_KINDS.filter(kind => props.gauge.measured[kind]).map((kind) => {
    const { stitches, rounds, overCm } = props.gauge.measured[kind]!
    const { width, height } = sizes[kind]
    return {
      kind, counted: `${stitches} ${stitchName(kind, settings.terms).abbreviation} × ${rounds} rounds in ${overCm} cm`,
      one: `one is ${(width.cm * 10).toFixed(1)} mm wide ± ${(relativeUncertainty(width) * 100).toFixed(1)} %, `
        + `${(height.cm * 10).toFixed(1)} mm tall`,
    }
  })
})
</script>

<template>
  <p v-if="ofTexture">
    <strong>{{ ofTexture.name }}</strong><br>
    <span class="figures">{{ ofTexture.counted }}</span>
  </p>
  <p
    v-for="line in lines"
    :key="line.kind"
  >
    <strong class="figures">{{ line.counted }}</strong><br>
    <span class="soft">{{ line.one }}</span>
  </p>
  <p class="soft">
    {{ hookLabel(gauge.hookMm) }}, {{ gauge.strands === 1 ? 'one strand' : `${gauge.strands} strands` }}{{
      lines.length > 0 ? `; worked like a ${weight.number} (${weight.name.toLowerCase()}) yarn` : '' }}
  </p>
</template>

<style scoped>
p { margin: 0.3rem 0; }
</style>

<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import type { DesignGauge } from '~~/core/bag/design/design'
import { withChanges } from '~~/core/bag/design/edit'
import { GAUGE_FIELDS, MEASURED_KINDS } from '~~/core/bag/design/gaugeFields'
import { gaugeProblems } from '~~/core/bag/design/consistency'
import type { Fields } from '~~/core/parts/field/field'
import { gaugeOf } from '~~/core/things/gauge/gauge'
import type { Units } from '~~/core/things/measure/format'
import type { Change } from '~~/core/parts/part/finding'
import { FABRIC_KINDS, type StitchKind, stitchName } from '~~/core/things/stitch/dictionary'
import type { Asking } from '~/composables/useAnswers'
import { useSettings } from '~/stores/settings'

/** Counts on a swatch: for each stitch measured, stitches and rounds over a width; the hook, the strands. */
const props = defineProps<{ gauge: DesignGauge, units: Units }>()
const emit = defineEmits<{ change: [gauge: DesignGauge, field: string] }>()
const settings = useSettings()

/** Whoever counts, has measured: what was assumed before no longer is. */
function answer(_: string, changes: readonly Change[], group = 'swatch'): string | undefined {
  const { assumed, ...gauge } = props.gauge
  const now = withChanges(gauge, changes)
  const [wrong] = gaugeProblems(now)
  if (!wrong) emit('change', now, assumed ? `first.${group}` : group)
  return wrong?.message
}
const asking = computed<Asking>(() => ({ spec: props.gauge, now: { gauge: gaugeOf(props.gauge) }, units: props.units, yarns: [], answer }))

/** Stitches that can be counted, each where it stands in the gauge, and what a maker begins with who counts it too. */
const counted = computed(() => {
  const like = Object.values(props.gauge.measured)[0]!
  const kinds = FABRIC_KINDS.map(kind => ({
    kind: kind as StitchKind, at: ['measured', kind], field: MEASURED_KINDS[kind]!, there: kind in props.gauge.measured,
    like: { ...like } as object,
  }))
  const chain = {
    kind: 'ch' as StitchKind, at: ['chain'], field: GAUGE_FIELDS.chain, there: props.gauge.chain !== undefined,
    like: { chains: like.stitches, overCm: like.overCm },
  }
  return [...kinds, chain].map(one => ({
    ...one, ...stitchName(one.kind, settings.terms), fields: (one.field as { readonly fields: Fields }).fields,
  }))
})
const there = computed(() => counted.value.filter(one => one.there))
const missing = computed(() => counted.value.filter(one => !one.there))
/** The last stitch cannot go: a gauge needs one. */
const canGo = (at: readonly string[]) => at.length === 1 || Object.keys(props.gauge.measured).length > 1
</script>

<template>
  <fieldset class="swatch">
    <legend>Swatch{{ gauge.assumed ? ': not yours yet, a usual one' : '' }}</legend>
    <div
      v-for="{ kind, name, at, fields } in there"
      :key="kind"
      class="kind"
    >
      <div class="kind-name">
        <span>{{ name }}</span>
        <IconButton
          v-if="canGo(at)"
          :icon="mdiClose"
          size="x-small"
          :name="`Leave out ${name}`"
          @click="answer('', [{ path: at, value: undefined }], `drop.${kind}`)"
        />
      </div>
      <AskedFields
        :fields="fields"
        :asking="asking"
        :at="at"
      />
    </div>
    <div
      v-if="missing.length > 0"
      class="more"
    >
      <span class="soft">Also measured:</span>
      <v-btn
        v-for="{ kind, name, abbreviation, at, like } in missing"
        :key="kind"
        size="small"
        variant="outlined"
        :aria-label="`Also measured ${name}`"
        @click="answer('', [{ path: at, value: like }], `add.${kind}`)"
      >
        {{ abbreviation }}
      </v-btn>
    </div>
    <AskedFields
      :fields="GAUGE_FIELDS"
      :asking="asking"
    />
  </fieldset>
</template>

<style scoped>
.swatch {
  border: 1px solid var(--line); border-radius: 6px; padding: 0.5rem 0.8rem 0.8rem; margin: 0; display: flex; flex-direction: column;
  gap: 0.7rem; min-width: 0;
}
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0 0.3rem; }
.kind-name {
  display: flex; align-items: center; justify-content: space-between; min-height: 1.8rem; margin-bottom: 0.2rem; font-weight: 600;
}
.more { display: flex; flex-wrap: wrap; gap: 0.4rem; align-items: center; font-size: 0.9rem; }
</style>

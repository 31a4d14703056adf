<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import { HOOK_MM, STRANDS, SWATCH_CM, SWATCH_COUNT } from '~~/core/design/bounds'
import type { DesignGauge } from '~~/core/design/design'
import type { Units } from '~~/core/measure/format'
import { FABRIC_KINDS, type FabricKind, stitchName } from '~~/core/stitch/dictionary'
import { hookLabel } from '~~/core/stitch/hooks'
import { useWays } from '~/stores/ways'

/** What was counted on a swatch: for each stitch measured, stitches and rounds over a width; the hook, the strands. */
const props = defineProps<{ gauge: DesignGauge, units: Units }>()
const emit = defineEmits<{ change: [gauge: DesignGauge, field: string] }>()
const ways = useWays()

const kinds = computed(() => FABRIC_KINDS.filter(kind => props.gauge.measured[kind]))
const missing = computed(() => FABRIC_KINDS.filter(kind => !props.gauge.measured[kind]))

/** Whoever counts, has measured: what was assumed before no longer is. */
function put(change: Partial<DesignGauge>, field: string): void {
  const { assumed, ...gauge } = props.gauge
  emit('change', { ...gauge, ...change }, assumed ? `first.${field}` : field)
}

function measure(kind: FabricKind, field: 'stitches' | 'rounds' | 'overCm', value: number): void {
  const { tallCm, ...old } = props.gauge.measured[kind]!
  const kept = tallCm !== undefined && field !== 'overCm' ? { tallCm } : {}
  put({ measured: { ...props.gauge.measured, [kind]: { ...old, ...kept, [field]: value } } }, `${kind}.${field}`)
}

function add(kind: FabricKind): void {
  const like = props.gauge.measured[kinds.value[0]!]!
  put({ measured: { ...props.gauge.measured, [kind]: { ...like } } }, `add.${kind}`)
}

function drop(kind: FabricKind): void {
  put({ measured: Object.fromEntries(Object.entries(props.gauge.measured).filter(([other]) => other !== kind)) }, `drop.${kind}`)
}

const hooks = computed(() => `Hook: ${hookLabel(props.gauge.hookMm)}`)
</script>

<template>
  <fieldset class="swatch">
    <legend>Swatch{{ gauge.assumed ? ': not yours yet, a usual one' : '' }}</legend>
    <div
      v-for="kind in kinds"
      :key="kind"
      class="kind"
    >
      <div class="kind-name">
        <span>{{ stitchName(kind, ways.terms).name }}</span>
        <v-btn
          v-if="kinds.length > 1"
          :icon="mdiClose"
          size="x-small"
          :aria-label="`Leave out ${stitchName(kind, ways.terms).name}`"
          @click="drop(kind)"
        />
      </div>
      <div class="three">
        <CountField
          label="Stitches"
          :value="gauge.measured[kind]!.stitches"
          :bounds="SWATCH_COUNT"
          parts
          @change="measure(kind, 'stitches', $event)"
        />
        <CountField
          label="Rounds"
          :value="gauge.measured[kind]!.rounds"
          :bounds="SWATCH_COUNT"
          parts
          @change="measure(kind, 'rounds', $event)"
        />
        <LengthField
          label="Over"
          :cm="gauge.measured[kind]!.overCm"
          :units="units"
          :bounds="SWATCH_CM"
          @change="measure(kind, 'overCm', $event)"
        />
      </div>
    </div>
    <div
      v-if="gauge.chain"
      class="kind"
    >
      <div class="kind-name">
        <span>chain</span>
        <v-btn
          :icon="mdiClose"
          size="x-small"
          aria-label="Leave out chain"
          @click="put({ chain: undefined }, 'drop.chain')"
        />
      </div>
      <div class="two">
        <CountField
          label="Chains"
          :value="gauge.chain.chains"
          :bounds="SWATCH_COUNT"
          parts
          @change="put({ chain: { ...gauge.chain, chains: $event } }, 'chain.chains')"
        />
        <LengthField
          label="Over a length of"
          :cm="gauge.chain.overCm"
          :units="units"
          :bounds="SWATCH_CM"
          @change="put({ chain: { ...gauge.chain, overCm: $event } }, 'chain.overCm')"
        />
      </div>
    </div>
    <div
      v-if="missing.length > 0 || !gauge.chain"
      class="more"
    >
      <span class="soft">Also measured:</span>
      <v-btn
        v-for="kind in missing"
        :key="kind"
        size="small"
        variant="outlined"
        :aria-label="`Also measured ${stitchName(kind, ways.terms).name}`"
        @click="add(kind)"
      >
        {{ stitchName(kind, ways.terms).abbreviation }}
      </v-btn>
      <v-btn
        v-if="!gauge.chain"
        size="small"
        variant="outlined"
        aria-label="Also measured chain"
        @click="put({ chain: { chains: gauge.measured[kinds[0]!]!.stitches, overCm: gauge.measured[kinds[0]!]!.overCm } }, 'add.chain')"
      >
        ch
      </v-btn>
    </div>
    <div class="two">
      <CountField
        label="Hook"
        :value="gauge.hookMm"
        :bounds="HOOK_MM"
        suffix="mm"
        parts
        :title="hooks"
        @change="put({ hookMm: $event }, 'hookMm')"
      />
      <CountField
        label="Strands"
        :value="gauge.strands"
        :bounds="STRANDS"
        @change="put({ strands: $event }, 'strands')"
      />
    </div>
    <ChoiceField
      label="The swatch was worked"
      :value="gauge.worked ?? 'unturned'"
      :choices="[{ value: 'unturned', name: 'same side facing' }, { value: 'turned', name: 'turned' }]"
      @change="put({ worked: $event as 'turned' | 'unturned' }, 'worked')"
    />
  </fieldset>
</template>

<style scoped>
.swatch { border: 1px solid var(--line); border-radius: 6px; padding: 0.5rem 0.8rem 0.8rem; margin: 0; display: flex; flex-direction: column; gap: 0.7rem; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0 0.3rem; }
.kind-name { display: flex; align-items: center; justify-content: space-between; min-height: 1.8rem; margin-bottom: 0.2rem; font-weight: 600; }
.three { display: grid; grid-template-columns: 1fr 1fr 1.15fr; gap: 0.5rem; align-items: start; }
.two { display: grid; grid-template-columns: 1fr 1fr; gap: 0.5rem; align-items: start; }
.more { display: flex; flex-wrap: wrap; gap: 0.4rem; align-items: center; font-size: 0.9rem; }
</style>

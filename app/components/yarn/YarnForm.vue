<script setup lang="ts">
import { computed, ref, shallowRef, useId, watch } from 'vue'
import { withChanges } from '~~/core/bag/design/edit'
import { ASSUMED_GAUGE } from '~~/core/bag/design/starter'
import type { Fields } from '~~/core/parts/field/field'
import { gaugeOf } from '~~/core/things/gauge/gauge'
import { metresOfClass } from '~~/core/household/shelf/starter'
import { SHELF_YARN_FIELDS, type ShelfYarn } from '~~/core/household/shelf/yarn'
import type { Asking } from '~/composables/useAnswers'
import { useFormTrouble } from '~/composables/useFormTrouble'
import { useSettings } from '~/stores/settings'

/** Entering a yarn: what its band says, what lies there, and what is known of how it is eaten. */
const props = defineProps<{ yarn: ShelfYarn }>()
const emit = defineEmits<{ enter: [yarn: ShelfYarn], keep: [yarn: ShelfYarn], leave: [] }>()

const settings = useSettings()
const yarn = shallowRef(props.yarn)
watch(yarn, now => emit('enter', now))
const asking = computed<Asking>(() => ({
  spec: yarn.value, now: { gauge: gaugeOf(ASSUMED_GAUGE) }, units: settings.units ?? 'cm', yarns: [],
  answer(_, changes) {
    const next = withChanges(yarn.value, changes)
    // A class that is chosen brings its usual length along, as long as nobody typed another.
    const usual = yarn.value.metresPer100g === metresOfClass(yarn.value.weightClass)
    yarn.value = usual && next.weightClass !== yarn.value.weightClass ? { ...next, metresPer100g: metresOfClass(next.weightClass) } : next
    return undefined
  },
}))

const pick = (...names: (keyof typeof SHELF_YARN_FIELDS)[]): Fields =>
  Object.fromEntries(names.map(name => [name, SHELF_YARN_FIELDS[name]])) as Fields
const BAND = pick('weightClass', 'ballGrams', 'metresPer100g')
const KNOWN = pick('unravelled', 'weighed')

const nameTrouble = computed(() => (yarn.value.name.trim() ? '' : 'Say what you call it, to find it again'))
const tried = ref(false)
/** As most bands say it: so many metres in a ball of so many grams. */
const metresAball = computed(() => Math.round((yarn.value.ballGrams * yarn.value.metresPer100g) / 10) / 10)
function setMetresAball(metres: number): void {
  set('metresPer100g', Math.round((1000 * metres * 100) / yarn.value.ballGrams) / 1000)
}
const colourId = useId()

function set<K extends keyof ShelfYarn>(field: K, value: ShelfYarn[K]): void {
  yarn.value = { ...yarn.value, [field]: value }
}

function setPrice(paid: number | undefined): void {
  const { ballPrice: _, ...rest } = yarn.value
  yarn.value = paid === undefined ? rest : { ...rest, ballPrice: paid }
}

function addBall(grams: number): void {
  set('balls', [...yarn.value.balls, { grams }])
}

const { sound } = useFormTrouble()
function keep(event: Event): void {
  tried.value = true
  if (sound(event.currentTarget) && !nameTrouble.value) emit('keep', { ...yarn.value, name: yarn.value.name.trim() })
}
</script>

<template>
  <form
    class="form"
    @submit.prevent="keep"
  >
    <div class="entry">
      <div class="named">
        <input
          :id="colourId"
          type="color"
          :value="yarn.colour"
          aria-label="Its colour"
          @input="set('colour', ($event.target as HTMLInputElement).value)"
        >
        <v-text-field
          label="Name, in plain words"
          :model-value="yarn.name"
          placeholder="undyed cotton, DK"
          maxlength="80"
          :error-messages="tried ? nameTrouble : ''"
          @update:model-value="(name: string) => set('name', name)"
        />
      </div>
      <AskedFields
        :fields="BAND"
        :asking="asking"
      />
      <CountField
        label="Length of a ball"
        :value="metresAball"
        :bounds="{ least: 1, most: 10_000 }"
        :usually="{ least: 40, most: 400 }"
        suffix="m"
        :units="settings.units ?? 'cm'"
        parts
        @change="setMetresAball"
      />
      <div class="row">
        <v-text-field
          label="Fibre"
          :model-value="yarn.fibre"
          maxlength="80"
          @update:model-value="(fibre: string) => set('fibre', fibre)"
        />
        <SumField
          label="Price of a ball"
          :hundredths="yarn.ballPrice"
          may-be-empty
          @change="setPrice"
        />
        <v-text-field
          label="Where it lies"
          :model-value="yarn.place"
          maxlength="120"
          @update:model-value="(place: string) => set('place', place)"
        />
      </div>
      <v-textarea
        label="Notes"
        :model-value="yarn.note"
        rows="2"
        auto-grow
        maxlength="4000"
        @update:model-value="(note: string) => set('note', note)"
      />
      <div class="row">
        <v-btn
          type="submit"
          variant="flat"
          color="primary"
        >
          Keep this yarn
        </v-btn>
        <v-btn
          variant="outlined"
          @click="emit('leave')"
        >
          Cancel
        </v-btn>
      </div>
    </div>
    <div class="entry">
      <AskedFields
        :fields="pick('balls')"
        :asking="asking"
      />
      <ScalesReading
        label="Weigh a ball"
        @take="addBall"
      />
      <AskedFields
        :fields="KNOWN"
        :asking="asking"
      />
      <div class="facts">
        <YarnFacts :yarn="yarn" />
      </div>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid; grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr); gap: 1.6rem; align-items: start;
  padding: 1.2rem; background: var(--sheet); border: 1px solid var(--line); border-radius: 6px;
}
.entry { display: flex; flex-direction: column; gap: 0.9rem; min-width: 0; }
.entry > p { margin: -0.5rem 0 0; font-size: 0.86rem; }
.facts { padding-top: 0.6rem; border-top: 1px solid var(--line); }
.named { display: grid; grid-template-columns: auto 1fr; gap: 0.6rem; align-items: start; }
.row { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.row > :deep(.v-input), .row > :deep(.asked) { flex: 1 1 9rem; }
input[type='color'] {
  width: 2.5rem; height: 2.5rem; padding: 0; cursor: pointer; overflow: hidden;
  border: 1px solid var(--strong-line); border-radius: 50%; background: none;
}
input[type='color']::-webkit-color-swatch-wrapper { padding: 0; }
input[type='color']::-webkit-color-swatch { border: 0; }
@media (max-width: 700px) { .form { grid-template-columns: minmax(0, 1fr); } }
</style>

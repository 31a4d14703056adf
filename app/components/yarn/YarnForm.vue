<script setup lang="ts">
import { computed, ref, shallowRef, useId, watch } from 'vue'
import type { Fields } from '~~/core/parts/field/field'
import { metresOfClass } from '~~/core/household/shelf/starter'
import { SHELF_YARN_FIELDS, type ShelfYarn } from '~~/core/household/shelf/yarn'
import { useAskedOf } from '~/composables/useAskedOf'
import { useFormTrouble } from '~/composables/useFormTrouble'
import { useSettings } from '~/stores/settings'

/** Entering a yarn: what its band says, what lies there, and what is known of how it is eaten. */
const props = defineProps<{ yarn: ShelfYarn }>()
const emit = defineEmits<{ enter: [yarn: ShelfYarn], keep: [yarn: ShelfYarn], leave: [] }>()

const settings = useSettings()
const yarn = shallowRef(props.yarn)
watch(yarn, now => emit('enter', now))
const asking = useAskedOf(() => yarn.value, (next) => {
  // A class that is chosen brings its usual length along, as long as nobody typed another.
  const usual = yarn.value.metresPer100g === metresOfClass(yarn.value.weightClass)
  yarn.value = usual && next.weightClass !== yarn.value.weightClass ? { ...next, metresPer100g: metresOfClass(next.weightClass) } : next
})

const pick = (...names: (keyof typeof SHELF_YARN_FIELDS)[]): Fields =>
  Object.fromEntries(names.map(name => [name, SHELF_YARN_FIELDS[name]])) as Fields
const BAND = pick('weightClass', 'ballGrams', 'metresPer100g')
const WORDS = pick('fibre', 'ballPrice', 'place')
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
      <div class="words">
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
        <AskedFields
          :fields="WORDS"
          :asking="asking"
        />
      </div>
      <AskedFields
        :fields="pick('note')"
        :asking="asking"
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
      <div>
        <ScalesReading
          label="Weigh a ball"
          @take="addBall"
        />
      </div>
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
  --control-radius: 4px;
  padding: 1.2rem; background: var(--sheet); border: 1px solid var(--line); border-radius: 6px;
}
.entry { display: flex; flex-direction: column; gap: 0.9rem; min-width: 0; }
.entry > p { margin: -0.5rem 0 0; font-size: 0.86rem; }
.facts { padding-top: 0.6rem; border-top: 1px solid var(--line); }
.named { display: grid; grid-template-columns: auto 1fr; gap: 0.6rem; align-items: start; }
.row { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.words { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(9rem, 100%), 1fr)); gap: 0.5rem; align-items: end; }
input[type='color'] {
  width: 2.5rem; height: 2.5rem; padding: 0; cursor: pointer; overflow: hidden;
  border: 1px solid var(--strong-line); border-radius: 50%; background: none;
}
input[type='color']::-webkit-color-swatch-wrapper { padding: 0; }
input[type='color']::-webkit-color-swatch { border: 0; }
@media (--tablet) { .form { grid-template-columns: minmax(0, 1fr); } }
</style>

<script setup lang="ts">
import { useSettings } from '~/stores/settings'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { DesignGauge, SwatchDocument } from '~~/core/bag/design/design'
import { useFormTrouble } from '~/composables/useFormTrouble'
import { useYarns } from '~/stores/yarns'

/** Entering a swatch, with the square it makes beside it. */
const settings = useSettings()
const props = defineProps<{ document: SwatchDocument }>()
const emit = defineEmits<{ enter: [document: SwatchDocument], keep: [document: SwatchDocument], leave: [] }>()

const name = ref(props.document.name)
const yarn = ref(props.document.yarn)
const shelf = ref(props.document.shelf ?? '')
const note = ref(props.document.note)
const gauge = shallowRef<DesignGauge>(props.document.gauge)
const texture = shallowRef(props.document.texture)
watch([name, yarn, shelf, note, gauge, texture], () => emit('enter', entered()))

function entered(): SwatchDocument {
  const { texture: _, shelf: _shelf, ...document } = props.document
  const { assumed: _assumed, ...counted } = gauge.value
  const of = texture.value ? { texture: texture.value, gauge: gauge.value } : { gauge: counted }
  return { ...document, name: name.value, yarn: yarn.value, note: note.value, ...(shelf.value ? { shelf: shelf.value } : {}), ...of }
}

const shown = computed(() => entered().gauge)

/** The yarn of the shelf that it was made in: it brings its name along. */
const yarns = useYarns()
onMounted(() => void yarns.load())
function point(id: string): void {
  shelf.value = id
  yarn.value = yarns.byId(id)?.name ?? yarn.value
}

const nameTrouble = computed(() => name.value.trim() ? '' : 'Give it a name, to find it again')

const { sound } = useFormTrouble()
function keep(event: Event): void {
  if (!sound(event.currentTarget) || nameTrouble.value) return
  emit('keep', { ...entered(), name: name.value.trim(), yarn: yarn.value.trim(), note: note.value.trim() })
}
</script>

<template>
  <form
    class="form"
    @submit.prevent="keep"
  >
    <div class="entry">
      <v-text-field
        v-model="name"
        label="Name"
        maxlength="80"
        :error-messages="nameTrouble"
      />
      <v-text-field
        v-model="yarn"
        label="Yarn, in plain words"
        maxlength="120"
        placeholder="undyed cotton, DK"
      />
      <ShelfYarnChoice
        :id="shelf"
        none="none of the shelf"
        @point="point"
      />
      <TextureCounted
        :texture="texture"
        :gauge="gauge"
        :units="settings.units ?? 'cm'"
        @change="texture = $event"
      />
      <GaugeFields
        :gauge="gauge"
        :units="settings.units ?? 'cm'"
        @change="gauge = $event"
      />
      <v-textarea
        v-model="note"
        label="Notes"
        rows="2"
        auto-grow
        maxlength="4000"
      />
      <div class="row">
        <v-btn
          type="submit"
          variant="flat"
          color="primary"
        >
          Keep this swatch
        </v-btn>
        <v-btn
          variant="outlined"
          @click="emit('leave')"
        >
          Cancel
        </v-btn>
      </div>
    </div>
    <div class="seen">
      <SwatchSquare
        :gauge="shown"
        :texture="texture"
        large
      />
      <SwatchFacts
        :gauge="shown"
        :texture="texture"
      />
      <p class="soft">
        Wash and dry the square as you will the bag, lay it flat, and count in its middle, away from the edges. Half a
        stitch is the best anybody can count: the wider the square, the surer the sizes.
      </p>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid; grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr); gap: 1.6rem; padding: 1.2rem; background: var(--sheet);
  border: 1px solid var(--line); border-radius: 6px;
}
.entry { display: flex; flex-direction: column; gap: 0.9rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.seen p { line-height: 1.45; }
@media (--tablet) { .form { grid-template-columns: minmax(0, 1fr); } }
</style>

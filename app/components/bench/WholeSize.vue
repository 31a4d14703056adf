<script setup lang="ts">
import { hasFloor } from '~~/core/parts/part/floor'
import { computed, ref, watch } from 'vue'
import { asTall, asWide, canBeWide, giving, type SizingResult, type TallAs, tallCm } from '~~/core/bag/fit/wholeSize'
import { useTranslate } from '~/composables/useTranslate'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** How large the bag is in all: wide by its base, tall by the band that gives. What is typed makes it so, as near as whole rounds come. */
const bag = useDocument()
const view = useView()
const told = useTranslate()
const draft = computed(() => view.still)
const floored = computed(() => hasFloor(draft.value.sizes.floor))
const band = computed(() => giving(draft.value))
const why = ref<{ readonly field: string, readonly words: string }>()
watch(() => bag.design, () => (why.value = undefined))

const BOUNDS = { least: 2, most: 200 }
const tenth = (cm: number) => Math.round(cm * 10) / 10
const refusal = (field: string) => (why.value?.field === field ? told(why.value.words) : undefined)

function take(field: string, sized: SizingResult): void {
  if (!sized.can) why.value = { field, words: sized.why }
  else bag.change(sized.fix.label, sized.fix.changes, `whole.${field}`)
}
const tall = (as: TallAs, cm: number) => take(as, asTall(bag.design, cm, as))
</script>

<template>
  <div class="whole">
    <LengthField
      v-if="canBeWide(bag.design)"
      label="Wide, lying flat"
      :cm="tenth(draft.sizes.flatWidth.cm)"
      :units="bag.design.units"
      :bounds="BOUNDS"
      :refused="refusal('wide')"
      @change="cm => take('wide', asWide(bag.design, cm))"
    />
    <template v-if="band">
      <LengthField
        :label="floored ? 'Tall in all, lying flat' : 'Tall in all'"
        :cm="tenth(tallCm(draft, 'flat'))"
        :units="bag.design.units"
        :bounds="BOUNDS"
        :refused="refusal('flat')"
        @change="cm => tall('flat', cm)"
      />
      <LengthField
        v-if="floored"
        label="Tall in all, standing"
        :cm="tenth(tallCm(draft, 'standing'))"
        :units="bag.design.units"
        :bounds="BOUNDS"
        :refused="refusal('standing')"
        @change="cm => tall('standing', cm)"
      />
      <p class="soft">
        What you type makes it so, to the nearest round: “{{ band.name }}” gives.
      </p>
    </template>
  </div>
</template>

<style scoped>
.whole { display: grid; grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr)); gap: 0.6rem; align-items: start; }
p { grid-column: 1 / -1; margin: 0; font-size: 0.86rem; }
</style>

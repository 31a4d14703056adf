<script setup lang="ts">
import { computed, ref } from 'vue'
import { firstRepeat } from '~~/core/parts/band/own'
import { checkRepeat } from '~~/core/parts/band/checkRepeat'
import { SWATCH_OF_IT } from '~~/core/parts/band/textured'
import type { DesignGauge } from '~~/core/bag/design/design'
import { withChanges } from '~~/core/bag/design/edit'
import type { KeptTexture } from '~~/core/parts/texture/ownSize'
import { textureKinds, textureFields } from '~~/core/bag/design/textureFields'
import { textureOfKind } from '~~/core/bag/design/textureSwatch'
import type { Fields } from '~~/core/parts/field/field'
import { gaugeOf } from '~~/core/things/gauge/gauge'
import type { Units } from '~~/core/things/measure/format'
import type { Asking } from '~/composables/useAnswers'
import { linesIn, typedIn } from '~/reading/ownLines'
import { useSettings } from '~/stores/settings'

/** The subject of a swatch: plain stitches alone, or a texture too, with what was counted on that. */
const props = defineProps<{ texture: KeptTexture | undefined, gauge: DesignGauge, units: Units }>()
const emit = defineEmits<{ change: [texture: KeptTexture | undefined] }>()
const settings = useSettings()

const OF = [{ value: '', title: 'plain stitches' }, ...textureKinds().map(one => ({ value: one.kind as string, title: one.name }))]
const BEGUN = { across: 8, countedIn: 'repeats', overCm: 10, rounds: 10, tallCm: 10 } as const
const kind = computed(() => textureKinds().find(one => one.kind === props.texture?.of.kind))

function choose(value: string): void {
  const chosen = textureKinds().find(one => one.kind === value)
  if (!chosen) return emit('change', undefined)
  const own = chosen.fields.repeat ? { lines: firstRepeat('own-1').lines } : {}
  emit('change', { of: textureOfKind(chosen), counted: props.texture?.counted ?? BEGUN, ...own })
}

/** Asks one side of the swatch: which texture, or what was counted. */
function askingOf(side: 'of' | 'counted'): Asking {
  const texture = props.texture!
  return {
    spec: texture[side], now: { gauge: gaugeOf(props.gauge) }, units: props.units, yarns: [],
    answer(_, changes) {
      emit('change', { ...texture, [side]: withChanges(texture[side], changes) })
      return undefined
    },
  }
}

const typed = ref(typedIn(props.texture?.lines ?? firstRepeat('own-1').lines, settings.terms))
const trouble = computed(() => {
  const read = linesIn(typed.value, settings.terms)
  if (!read.ok) return `Line ${read.trouble.line + 1}: ${read.trouble.what}`
  const checked = checkRepeat({ id: 'own-1', name: '', lines: read.lines })
  return checked.ok ? '' : `Line ${checked.trouble.line + 1}: ${checked.trouble.what}`
})
function type(text: string): void {
  typed.value = text
  const read = linesIn(text, settings.terms)
  if (read.ok && !trouble.value) emit('change', { ...props.texture!, lines: read.lines })
}
</script>

<template>
  <div
    class="texture"
    role="group"
    aria-label="What the swatch is of"
  >
    <PickField
      label="A swatch of"
      :model-value="kind?.kind ?? ''"
      :items="OF"
      @update:model-value="choose"
    />
    <template v-if="kind && texture">
      <AskedFields
        :fields="textureFields(kind)"
        :asking="askingOf('of')"
      />
      <v-textarea
        v-if="kind.fields.repeat"
        label="Its repeat, a line a round"
        :model-value="typed"
        rows="2"
        auto-grow
        class="lines"
        spellcheck="false"
        :error-messages="trouble"
        @update:model-value="type"
      />
      <AskedFields
        :fields="SWATCH_OF_IT as Fields"
        :asking="askingOf('counted')"
      />
      <p class="soft">
        Bags in this texture are told by it when they take the swatch. Count plain stitches below as well if you worked some.
      </p>
    </template>
  </div>
</template>

<style scoped>
.texture { display: flex; flex-direction: column; gap: 0.7rem; min-width: 0; }
.lines :deep(textarea) { font-family: var(--figures); font-size: 0.9rem; line-height: 1.45; }
.texture p { margin: 0; font-size: 0.86rem; }
</style>

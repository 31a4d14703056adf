<script setup lang="ts">
import { computed } from 'vue'
import { type Field, valueAt } from '~/composables/baseFields'
import { useBench } from '~/stores/bench'

/** One of a base's questions, whatever its kind. */
const props = defineProps<{ field: Field }>()
const bench = useBench()
const value = computed(() => valueAt(bench.design!.base, props.field.path))

function put(answer: string | number): void {
  const { path, label } = props.field
  bench.edit(label, (design) => {
    const holder = path.slice(0, -1).reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, design.base as unknown as Record<string, unknown>)
    holder[path.at(-1)!] = answer
  }, `base.${path.join('.')}`)
}
</script>

<template>
  <LengthField
    v-if="field.kind === 'length'"
    :label="field.label"
    :cm="value as number"
    :units="bench.design!.units"
    :bounds="field.bounds"
    @change="put"
  />
  <CountField
    v-else-if="field.kind === 'count'"
    :label="field.label"
    :value="value as number"
    :bounds="field.bounds"
    @change="put"
  />
  <ChoiceField
    v-else-if="field.kind === 'choice'"
    :label="field.label"
    :value="value as string"
    :choices="field.choices"
    @change="put"
  />
</template>

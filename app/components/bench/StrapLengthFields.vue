<script setup lang="ts">
import { STRAP_COUNT } from '~~/core/design/bounds'
import { HAND_DROP_CM } from '~~/core/draft/handleFindings'
import type { StrapLength } from '~~/core/handle/strip'

/** A strap's length: by how far it drops, or by its rows or chains. */
const props = withDefaults(defineProps<{ length: StrapLength, counted: string, now?: number, label?: string, usual?: boolean }>(), { now: 40, label: 'Its length', usual: true })
const emit = defineEmits<{ change: [length: StrapLength, group?: string] }>()

function setMode(mode: string): void {
  emit('change', mode === 'want' ? { want: { dropCm: HAND_DROP_CM } } : { pin: { count: props.now } })
}
</script>

<template>
  <ChoiceField
    :label="`${label}, decided by`"
    :value="'want' in length ? 'want' : 'pin'"
    :choices="[{ value: 'want', name: 'its drop' }, { value: 'pin', name: counted }]"
    @change="setMode"
  />
  <DropField
    v-if="'want' in length"
    :label="`${label}: drop, rim to hand`"
    :cm="length.want.dropCm"
    :usual="usual"
    @change="emit('change', { want: { dropCm: $event } }, 'length')"
  />
  <CountField
    v-else
    :label="`${label}: ${counted}`"
    :value="length.pin.count"
    :bounds="STRAP_COUNT"
    @change="emit('change', { pin: { count: $event } }, 'length')"
  />
</template>

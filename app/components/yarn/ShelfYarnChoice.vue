<script setup lang="ts">
import { computed } from 'vue'
import { useYarns } from '~/stores/yarns'

/** Which yarn of the shelf something is, or none; not asked while the shelf is empty. */
const props = defineProps<{ id: string | undefined, none: string }>()
const emit = defineEmits<{ point: [id: string] }>()
const shelf = useYarns()
const choices = computed(() => [{ value: '', title: props.none }, ...shelf.choices])
</script>

<template>
  <PickField
    v-if="choices.length > 1 || id"
    label="On the shelf it is"
    :model-value="shelf.byId(id)?.id ?? ''"
    :items="choices"
    @update:model-value="emit('point', $event)"
  />
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { contentOf, type Contents } from '~~/core/parts/contents/contents'
import { withChanges } from '~~/core/bag/design/edit'
import { ASSUMED_GAUGE } from '~~/core/bag/design/starter'
import { gaugeOf } from '~~/core/things/gauge/gauge'
import type { Units } from '~~/core/things/measure/format'
import type { Asking } from '~/composables/useAnswers'

/** Questions about what a bag must hold, before there is a bag. */
const props = defineProps<{ contents: Contents, units: Units }>()
const emit = defineEmits<{ change: [contents: Contents] }>()
const asking = computed<Asking>(() => ({
  spec: props.contents, now: { gauge: gaugeOf(ASSUMED_GAUGE) }, units: props.units, yarns: [],
  answer(_, changes) {
    emit('change', withChanges(props.contents, changes))
    return undefined
  },
}))
</script>

<template>
  <AskedFields
    :fields="contentOf(contents).fields"
    :asking="asking"
  />
</template>

<script setup lang="ts">
import type { HandlesAs } from '~~/core/chart/handles'
import { useBench } from '~/stores/bench'

/** How the drawing shows the handles; nothing about the bag. */
const bench = useBench()
const CHOICES: readonly { readonly value: HandlesAs, readonly name: string }[] = [{ value: 'held', name: 'held up' }, { value: 'loaded', name: 'with the load in' }, { value: 'flat', name: 'lying flat' }]
</script>

<template>
  <ChoiceField
    label="Show the handles"
    :value="bench.handlesAs"
    :choices="CHOICES"
    @change="bench.handlesAs = $event"
  />
</template>

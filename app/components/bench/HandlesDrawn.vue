<script setup lang="ts">
import type { HandlesAs } from '~~/core/readers/chart/handles'
import { useView } from '~/stores/view'

/** How the drawing shows the handles; nothing about the bag. */
const view = useView()
const CHOICES: readonly { readonly value: HandlesAs, readonly name: string }[] = [
  { value: 'held', name: 'held up' }, { value: 'loaded', name: 'with the load in' }, { value: 'flat', name: 'lying flat' },
]
</script>

<template>
  <ChoiceField
    label="Show the handles"
    :value="view.handlesAs"
    :choices="CHOICES"
    @change="view.handlesAs = $event"
  />
</template>

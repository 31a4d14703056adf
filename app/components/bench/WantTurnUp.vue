<script setup lang="ts">
import { useBench } from '~/stores/bench'

const bench = useBench()
</script>

<template>
  <ChoiceField
    label="Base becomes wall by"
    :value="bench.design!.turnUp"
    :choices="[
      { value: 'plain', name: 'nothing special', does: 'A soft edge: the wall simply starts, and the floor rounds into it.' },
      { value: 'back-and-third-loop', name: 'back and third loops', does: 'One round in the back loop and the third loop behind it: a crisp fold, and no holes.' },
    ]"
    @change="(turnUp) => bench.edit('Turn-up', (d) => { d.turnUp = turnUp as typeof d.turnUp })"
  />
</template>

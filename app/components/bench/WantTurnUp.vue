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
      { value: 'back-loop', name: 'back loop', does: 'One round in the back loop alone: folds well, but the single loop may leave holes.' },
      { value: 'back-and-third-loop', name: 'back and third loops', does: 'One round in the back loop and the third loop behind it: a crisp fold, and no holes.' },
      { value: 'post', name: 'around the post', does: 'One round around the stems from behind: a ridge outside, and the floor sits square.' },
    ]"
    @change="(turnUp) => bench.edit('Turn-up', (d) => { d.turnUp = turnUp as typeof d.turnUp })"
  />
</template>

<script setup lang="ts">
import { ref } from 'vue'
import { CARDS } from '~~/core/things/entry/cards'

/** Every way that a stitch is entered or joined, to browse. */
const hands = ref<'right' | 'left'>('right')
</script>

<template>
  <div class="sheet">
    <h1>Where the hook goes</h1>
    <p class="soft">
      A drawing for every way that a stitch is entered or joined. The lit thread is the one to pick up; the arrow is the hook's way, dotted
      where it runs behind the work.
    </p>
    <ChoiceField
      label="Hands"
      :value="hands"
      :choices="[{ value: 'right', name: 'right-handed' }, { value: 'left', name: 'left-handed' }]"
      @change="hands = $event as 'right' | 'left'"
    />
    <EntryCards
      :cards="CARDS.map(({ id }) => id)"
      :left-handed="hands === 'left'"
    />
  </div>
</template>

<style scoped>
.sheet { max-width: 80rem; margin: 0 auto; padding: 1.2rem 1.4rem 4rem; }
</style>

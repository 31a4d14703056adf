<script setup lang="ts">
import type { YarnFix } from '~~/core/household/shelf/triedFix'
import { formatGramsRange } from '~~/core/things/measure/amounts'
import { useUnits } from '~/composables/useUnits'

/** Fixes that let a yarn last that runs short. */
defineProps<{ short: unknown, look: () => readonly YarnFix[] }>()
const emit = defineEmits<{ take: [fix: YarnFix] }>()
const units = useUnits()
const thenWants = ({ wants: { low, high }, odds }: YarnFix) =>
  `then ${formatGramsRange(Math.floor(low), Math.ceil(high), units.value)}: ${Math.min(99, Math.round(100 * odds))} % that it lasts`
</script>

<template>
  <FixesFound
    ask="What would let it last?"
    none="No single change of rounds, straps, colours or the base lets it last; see what another yarn or a smaller bag would do."
    :of="short"
    :look="look"
    :says="thenWants"
    @take="fix => emit('take', fix)"
  />
</template>

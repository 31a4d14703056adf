<script setup lang="ts">
import { knowEveryKind } from '~~/core/bag/design/everyKind'
import type { Draft } from '~~/core/bag/draft/draft'
import type { Rate } from '~~/core/household/shelf/yarnUse'
import { yarnFixes } from '~~/core/household/shelf/fixes'
import type { YarnFix } from '~~/core/household/shelf/triedFix'

/** A yarn of a bag that runs short: what would let it last. */
const props = defineProps<{ draft: Draft, yarn: string, haveGrams: number, eats: Rate }>()
const emit = defineEmits<{ take: [fix: YarnFix] }>()
// A smaller base may want an adjusting round that the bag does not have yet.
knowEveryKind()
</script>

<template>
  <LastingFixes
    :short="draft"
    :look="() => yarnFixes(props)"
    @take="fix => emit('take', fix)"
  />
</template>

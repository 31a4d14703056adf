<script setup lang="ts">
import type { Draft } from '~~/core/draft/draft'
import type { Rate } from '~~/core/shelf/eats'
import { type YarnFix, yarnFixes } from '~~/core/shelf/fixes'

/** A yarn of a bag that runs short: what would let it last. */
const props = defineProps<{ draft: Draft, yarn: string, haveGrams: number, eats: Rate }>()
const emit = defineEmits<{ take: [fix: YarnFix] }>()
</script>

<template>
  <LastingFixes
    :short="draft"
    :look="() => yarnFixes(props)"
    @take="fix => emit('take', fix)"
  />
</template>

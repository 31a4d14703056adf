<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Draft } from '~~/core/bag/draft/draft'
import { ballOrder } from '~~/core/household/shelf/ballOrder'
import { ballOrderWords } from '~~/core/household/shelf/ballOrderWords'
import type { Rate } from '~~/core/household/shelf/yarnUse'
import type { Ball } from '~~/core/household/shelf/yarn'
import { useTranslate } from '~/composables/useTranslate'

/** Which ball is used for what, so that no join falls on what bears and no change of lot shows. */
const props = defineProps<{ draft: Draft, yarn: string, balls: readonly Ball[], eats: Rate }>()
const told = useTranslate()
/** Every order is tried: only once somebody looks. */
const open = ref(false)
const lines = computed(() => {
  const found = open.value ? ballOrder(props.draft, props.yarn, props.balls, props.eats) : undefined
  return found ? { uses: found.uses.length, all: ballOrderWords(found, props.draft.rounds.length).map(told) } : undefined
})
</script>

<template>
  <details
    v-if="balls.filter(({ grams }) => grams > 0).length > 1"
    @toggle="open = ($event.target as HTMLDetailsElement).open"
  >
    <summary>Which ball for what</summary>
    <template v-if="lines">
      <ol>
        <li
          v-for="line in lines.all.slice(0, lines.uses)"
          :key="line"
        >
          {{ line }}
        </li>
      </ol>
      <p
        v-for="line in lines.all.slice(lines.uses)"
        :key="line"
      >
        {{ line }}
      </p>
    </template>
  </details>
</template>

<style scoped>
summary { cursor: pointer; min-height: 1.6rem; }
ol { margin: 0.2rem 0; padding-left: 1.3rem; }
p { margin: 0.2rem 0; }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { Draft } from '~~/core/draft/draft'
import { figure, formatCm, formatLength } from '~~/core/measure/format'
import { floorShort } from '~~/core/words/floorWords'
import { yarnNeeds } from '~~/core/yarn/yarn'

const props = defineProps<{ draft: Draft }>()
const units = computed(() => props.draft.design.units)
const sizes = computed(() => props.draft.sizes)
const yarns = computed(() => yarnNeeds(props.draft))
const floor = computed(() => {
  const { shape, length } = sizes.value.floor
  if (shape === 'none') return 'none'
  return shape === 'disc' ? formatLength(length, units.value) : floorShort(sizes.value.floor, units.value)
})
const holds = computed(() => sizes.value.litres < 10 ? sizes.value.litres.toFixed(1) : String(Math.round(sizes.value.litres)))
</script>

<template>
  <dl class="tally">
    <div>
      <dt>Rounds</dt>
      <dd>{{ sizes.rounds }}</dd>
    </div>
    <div>
      <dt>Stitches</dt>
      <dd>{{ sizes.stitches.toLocaleString('en') }}</dd>
    </div>
    <div>
      <dt>Floor</dt>
      <dd>{{ floor }}</dd>
    </div>
    <div>
      <dt>Lies flat</dt>
      <dd>{{ figure(sizes.flatWidth.cm, units) }} × {{ figure(sizes.height.cm, units) }} {{ units }}</dd>
    </div>
    <div v-if="sizes.withHandles">
      <dt>With handles</dt>
      <dd>{{ formatCm(sizes.withHandles.emptyCm, units) }}</dd>
    </div>
    <div>
      <dt>Holds about</dt>
      <dd>{{ holds }} l</dd>
    </div>
    <div
      v-for="{ yarn, metres } in yarns"
      :key="yarn.id"
      class="yarn"
    >
      <dt>{{ yarn.name }}</dt>
      <dd>
        <span
          class="dot"
          :style="{ background: yarn.colour }"
        />{{ Math.ceil(metres) }} m
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.tally { display: flex; gap: 0; margin: 0; overflow-x: auto; background: var(--sheet); border-top: 1px solid var(--line); scrollbar-width: thin; }
.tally > div { padding: 0.5rem 1rem; border-right: 1px solid var(--line); white-space: nowrap; }
dt { font-size: 0.78rem; color: var(--soft-ink); }
.yarn dt { max-width: 11rem; overflow: hidden; text-overflow: ellipsis; }
dd { margin: 0; font-family: var(--figures); font-size: 1.02rem; font-weight: 560; letter-spacing: -0.035em; word-spacing: -0.28em; display: flex; align-items: center; gap: 0.4rem; }
.dot { width: 0.85rem; height: 0.85rem; border-radius: 50%; border: 1px solid var(--strong-line); }
</style>

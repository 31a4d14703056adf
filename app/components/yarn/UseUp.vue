<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Draft } from '~~/core/bag/draft/draft'
import type { Change } from '~~/core/parts/part/finding'
import type { Rate } from '~~/core/household/shelf/yarnUse'
import { useUp, useUpWords } from '~~/core/household/shelf/useUp'
import { growingIn, meantToUseUp } from '~~/core/household/shelf/growing'
import { formatGrams } from '~~/core/things/measure/amounts'
import { useUnits } from '~/composables/useUnits'
import { useTranslate } from '~/composables/useTranslate'

/** Using a yarn up: what is to grow, and what is to be left; and what was meant to, whether it still does. */
const props = defineProps<{ draft: Draft, yarn: string, haveGrams: number, eats: Rate }>()
const emit = defineEmits<{ take: [label: string, changes: readonly Change[]] }>()

const told = useTranslate()
const units = useUnits()
const open = ref(false)
const leaveGrams = ref(0)
const chosen = ref<string>()
const keyOf = ({ part, by }: { readonly part: string, readonly by: string }) => `${part} ${by}`
const growing = computed(() => growingIn(props.draft, props.yarn))
const grows = computed(() => growing.value.find(one => keyOf(one) === chosen.value) ?? growing.value[0])
const used = (leave: number) => ({ draft: props.draft, yarn: props.yarn, haveGrams: props.haveGrams, eats: props.eats, leaveGrams: leave })
const found = computed(() => (open.value && grows.value ? useUp(used(leaveGrams.value), grows.value) : undefined))

/** Parts that were made to use it up, and what that would be now. */
const meant = computed(() => meantToUseUp(props.draft, props.yarn).map(({ growing: one, leaveGrams: leave }) => ({
  one, leave, now: useUp(used(leave), one),
})))
</script>

<template>
  <div
    v-if="growing.length > 0"
    class="use-up"
  >
    <p
      v-for="{ one, leave, now } in meant"
      :key="keyOf(one)"
    >
      {{ one.name }}: uses it up{{ leave > 0 ? ` until ${formatGrams(leave, units)} are left` : '' }}.
      <template v-if="now && now.much !== one.now">
        <v-btn
          size="small"
          variant="outlined"
          @click="emit('take', now.label, now.changes)"
        >
          {{ now.label }}
        </v-btn>
      </template>
      <template v-else-if="!now">
        There is too little for even the least of it.
      </template>
      <v-btn
        size="small"
        @click="emit('take', `${one.name}: no longer`, [{ path: ['wall', one.part, 'useUp'], value: undefined }])"
      >
        No longer
      </v-btn>
    </p>
    <v-btn
      v-if="!open"
      size="small"
      variant="outlined"
      @click="open = true"
    >
      Use it up
    </v-btn>
    <fieldset v-else>
      <legend>Use it up</legend>
      <PickField
        label="What grows"
        :model-value="grows ? keyOf(grows) : null"
        :items="growing.map(one => ({ value: keyOf(one), title: one.name }))"
        @update:model-value="chosen = $event"
      />
      <CountField
        label="Leave over"
        :value="leaveGrams"
        :bounds="{ least: 0, most: 100_000 }"
        suffix="g"
        :units="units"
        parts
        @change="leaveGrams = $event"
      />
      <p role="status">
        {{ found && grows ? told(useUpWords(grows, found, leaveGrams)) : 'There is too little for even the least of it.' }}
      </p>
      <div class="doing">
        <v-btn
          v-if="found"
          size="small"
          variant="tonal"
          color="primary"
          @click="emit('take', found.label, found.changes), (open = false)"
        >
          {{ found.label }}
        </v-btn>
        <v-btn
          size="small"
          @click="open = false"
        >
          Cancel
        </v-btn>
      </div>
    </fieldset>
  </div>
</template>

<style scoped>
.use-up { margin: 0.4rem 0; }
fieldset {
  border: 1px solid var(--line); border-radius: 6px; padding: 0.4rem 0.7rem 0.7rem; min-width: 0;
  display: flex; flex-direction: column; gap: 0.6rem;
}
legend { padding: 0 0.3rem; }
p { margin: 0 0 0.3rem; }
.doing { display: flex; flex-wrap: wrap; gap: 0.4rem; }
.doing :deep(.v-btn), p :deep(.v-btn) { height: auto; min-height: 2rem; max-width: 100%; white-space: normal; text-align: left; }
</style>

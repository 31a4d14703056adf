<script setup lang="ts">
import { computed, ref } from 'vue'
import { kindOf } from '~~/core/parts/wall/wall'
import { useReturnFocus } from '~/composables/useReturnFocus'
import { useTranslate } from '~/composables/useTranslate'

/** The kind of a part, in a line, with the way to change it: the kinds are laid out on a sheet. */
const props = defineProps<{ value: string, colour: string, asks: string }>()
const emit = defineEmits<{ pick: [kind: string] }>()
const told = useTranslate()
const own = computed(() => kindOf({ kind: props.value }))
const choosing = ref(false)
useReturnFocus(choosing)
</script>

<template>
  <div class="kind">
    <p>
      <strong>{{ own.name.charAt(0).toUpperCase() + own.name.slice(1) }}.</strong> {{ told(own.does) }}
      <strong v-if="asks">{{ asks }}</strong>
    </p>
    <v-btn
      size="small"
      variant="outlined"
      aria-haspopup="dialog"
      :aria-label="`Change what this part is, now ${own.name}`"
      @click="choosing = true"
    >
      Change
    </v-btn>
    <LazyKindSheet
      v-if="choosing"
      v-model="choosing"
      :value="value"
      :colour="colour"
      @pick="emit('pick', $event)"
    />
  </div>
</template>

<style scoped>
.kind {
  display: flex; gap: 0.6rem; align-items: flex-start; justify-content: space-between; padding-bottom: 0.6rem;
  border-bottom: 1px solid var(--line);
}
p { margin: 0; font-size: 0.92rem; line-height: 1.35; color: var(--soft-ink); }
strong { color: var(--ink); font-weight: 640; }
</style>

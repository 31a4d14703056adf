<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import type { YarnFix } from '~~/core/shelf/fixes'

/** What would let a yarn last that runs short, looked for when it is asked for; a changed bag or weight is looked at anew. */
const props = defineProps<{ short: unknown, look: () => readonly YarnFix[] }>()
const emit = defineEmits<{ take: [fix: YarnFix] }>()

const fixes = shallowRef<readonly YarnFix[]>()
const looking = ref(false)
watch(() => props.short, () => (fixes.value = undefined))

/** Each is drafted to its end: the page says first that it looks. */
function search(): void {
  looking.value = true
  setTimeout(() => {
    fixes.value = props.look()
    looking.value = false
  }, 30)
}
const thenWants = ({ wants: { low, high }, odds }: YarnFix) =>
  `then ${Math.floor(low)} to ${Math.ceil(high)} g: ${Math.min(99, Math.round(100 * odds))} % that it lasts`
</script>

<template>
  <div aria-live="polite">
    <v-btn
      v-if="!fixes"
      size="small"
      variant="outlined"
      class="look"
      :loading="looking"
      @click="search"
    >
      What would let it last?
    </v-btn>
    <p v-else-if="fixes.length === 0">
      No single change of rounds, straps, colours or the base lets it last; see what another yarn or a smaller bag would do.
    </p>
    <ul
      v-else
      aria-label="What would let it last"
    >
      <li
        v-for="fix in fixes"
        :key="fix.label"
      >
        <v-btn
          size="small"
          variant="outlined"
          @click="emit('take', fix)"
        >
          {{ fix.label }}
        </v-btn>
        <span class="soft">{{ thenWants(fix) }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
p { margin: 0; }
ul { list-style: none; margin: 0.4rem 0; padding: 0; display: flex; flex-direction: column; gap: 0.45rem; }
li { display: flex; flex-direction: column; align-items: flex-start; gap: 0.15rem; }
li :deep(.v-btn) { height: auto; min-height: 2rem; max-width: 100%; white-space: normal; text-align: left; }
.look { margin: 0.4rem 0; }
@media (pointer: coarse) { :deep(.v-btn) { min-height: 2.75rem; } }
</style>

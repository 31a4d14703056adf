<script setup lang="ts" generic="F extends { readonly label: string }">
import { ref, shallowRef, watch } from 'vue'

/** Fixes of something, looked for when they are asked for, since each is worked out to its end; whatever changes is looked at anew. */
const props = defineProps<{
  /** The question, and the name of the list. */
  ask: string
  none: string
  /** Looked at anew when it changes. */
  of: unknown
  look: () => readonly F[]
  /** A remark beside one. */
  says: (fix: F) => string
}>()
const emit = defineEmits<{ take: [fix: F] }>()

const fixes = shallowRef<readonly F[]>()
const looking = ref(false)
watch(() => props.of, () => (fixes.value = undefined))

/** The page says first that it looks. */
function search(): void {
  looking.value = true
  setTimeout(() => {
    fixes.value = props.look()
    looking.value = false
  }, 30)
}
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
      {{ ask }}
    </v-btn>
    <p v-else-if="fixes.length === 0">
      {{ none }}
    </p>
    <ul
      v-else
      :aria-label="ask.replace(/\?$/, '')"
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
        <span class="soft">{{ says(fix) }}</span>
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

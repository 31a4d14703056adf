<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight } from '@mdi/js'
import { computed, useId } from 'vue'
import { useFolds } from '~/stores/folds'

/** A section under a ruled heading, which folds it; folded ones say what they hold, and stay so on the next visit. */
const props = withDefaults(defineProps<{ name: string, title: string, now?: string, usually?: boolean }>(), { now: '', usually: true })
const folds = useFolds()
const id = useId()
const open = computed(() => folds.isOpen(props.name, props.usually))
</script>

<template>
  <section :aria-labelledby="id">
    <h3 class="ruled">
      <button
        :id="id"
        type="button"
        class="fold"
        :aria-expanded="open"
        @click="folds.set(name, !open)"
      >
        <v-icon
          :icon="open ? mdiChevronDown : mdiChevronRight"
          size="18"
          aria-hidden="true"
        />{{ title }}<span
          v-if="now"
          class="now"
        >{{ now }}</span>
      </button>
    </h3>
    <div
      v-if="open"
      class="inside"
    >
      <slot />
    </div>
  </section>
</template>

<style scoped>
.fold {
  display: flex; flex-wrap: wrap; align-items: center; gap: 0 0.3rem; min-height: 1.75rem; padding: 0; border: 0; background: none;
  color: inherit; font: inherit; text-align: left; cursor: pointer;
}
.fold:hover { color: var(--accent); }
.now { margin-left: 0.35rem; font-family: var(--v-font-body); font-weight: 400; font-size: 0.88rem; color: var(--soft-ink); }
@media (pointer: coarse) { .fold { min-height: 2.75rem; } }
.ruled { margin: 0; }
.inside { padding-top: 0.65rem; }
</style>

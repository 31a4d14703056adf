<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { onBeforeUnmount, onMounted, ref } from 'vue'

/** A sheet over the hook's screen: a question, or a drawer of things to do. Escape and the cross close it. */
defineProps<{ title: string, closing?: string }>()
const emit = defineEmits<{ close: [] }>()
const sheet = ref<HTMLElement>()
let before: HTMLElement | null = null

function onKey(event: KeyboardEvent): void {
  if (event.key === 'Escape') emit('close')
  if (event.key !== 'Tab' || !sheet.value) return
  const stops = [...sheet.value.querySelectorAll<HTMLElement>('button, input, select, textarea, a[href]')].filter(one => one.offsetParent)
  const [first, last] = [stops[0], stops.at(-1)]
  if (event.shiftKey ? document.activeElement === first : document.activeElement === last) {
    event.preventDefault()
    ;(event.shiftKey ? last : first)?.focus()
  }
}

onMounted(() => {
  before = document.activeElement as HTMLElement | null
  const wanted = sheet.value?.querySelector<HTMLElement>('[data-first]') ?? sheet.value?.querySelector<HTMLElement>('button')
  wanted?.focus()
})
useEventListener('keydown', onKey)
onBeforeUnmount(() => before?.focus?.())
</script>

<template>
  <div
    class="cover"
    @click.self="emit('close')"
  >
    <section
      ref="sheet"
      class="sheet"
      role="dialog"
      aria-modal="true"
      :aria-label="title"
    >
      <header>
        <h2>{{ title }}</h2>
        <IconButton
          size="default"
          :icon="mdiClose"
          :name="closing ?? 'Close'"
          @click="emit('close')"
        />
      </header>
      <div class="body">
        <slot />
      </div>
    </section>
  </div>
</template>

<style scoped>
.cover {
  position: fixed; inset: 0; z-index: 20; display: flex; align-items: flex-end; justify-content: center;
  background: rgba(20, 16, 12, 0.45);
}
.sheet {
  width: 100%; max-width: 34rem; max-height: 92dvh; overflow-y: auto; background: var(--sheet); color: var(--ink);
  border-radius: 1rem 1rem 0 0; border-top: 4px solid var(--accent); padding: 0.9rem 1.1rem 1.3rem;
}
header { display: flex; align-items: center; justify-content: space-between; gap: 1rem; margin-bottom: 0.5rem; }
.body { --control-height: 3rem; font-size: 1.05rem; line-height: 1.42; }
.body :deep(p) { margin: 0.4rem 0; }
.body :deep(label) { display: flex; align-items: center; gap: 0.5rem; flex-wrap: wrap; }
.body :deep(.wrong) { color: rgb(var(--v-theme-error)); font-weight: 600; }
@media (--over-tablet) { .cover { align-items: center; } .sheet { border-radius: 1rem; } }
</style>

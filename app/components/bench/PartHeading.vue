<script setup lang="ts">
import { mdiCheck, mdiPencilOutline } from '@mdi/js'
import { computed, nextTick, ref, watch } from 'vue'
import { useDocument } from '~/stores/document'

/** Where a part's own name stands in the design, and what it is. */
export interface Naming {
  readonly path: readonly string[]
  readonly called?: string | undefined
}

/** The name of what is in hand; every part can be called otherwise, and by what they are again if the name is emptied. */
const props = defineProps<{ title: string, naming?: Naming | undefined }>()
const bag = useDocument()
const renaming = ref(false)
const heading = ref<HTMLElement>()
const form = ref<HTMLFormElement>()
defineExpose({ focus: () => heading.value?.focus() })
const pencil = ref<{ $el: HTMLElement }>()
const typed = computed(() => props.naming?.called ?? '')
watch(() => props.naming?.path.join('.'), () => (renaming.value = false))

function rename(text: string): void {
  const { path } = props.naming!
  const called = text.trim()
  if (called !== typed.value) bag.change('Name of a part', [{ path, value: called || undefined }], path.join('.'))
}

async function begin(): Promise<void> {
  renaming.value = true
  await nextTick()
  form.value?.querySelector('input')?.focus()
}

async function done(): Promise<void> {
  renaming.value = false
  await nextTick()
  pencil.value?.$el.focus()
}
</script>

<template>
  <form
    v-if="renaming && naming"
    ref="form"
    class="renaming"
    @submit.prevent="done"
  >
    <v-text-field
      :model-value="typed"
      :placeholder="title"
      label="What you call it"
      maxlength="40"
      hide-details
      @update:model-value="rename"
      @keydown.esc.stop="done"
    />
    <IconButton
      :icon="mdiCheck"
      type="submit"
      name="Done"
    />
  </form>
  <div
    v-else
    class="name"
  >
    <h2
      ref="heading"
      tabindex="-1"
    >
      {{ title }}
    </h2>
    <IconButton
      v-if="naming"
      ref="pencil"
      :icon="mdiPencilOutline"
      size="x-small"
      :name="`Rename ${title}`"
      hint="Rename"
      @click="begin"
    />
  </div>
</template>

<style scoped>
.renaming { flex: 1; display: flex; align-items: center; gap: 0.3rem; }
/* The pencil runs on after the last word of a long name. */
.name { min-width: 0; }
.name > h2 { display: inline; }
h2 { overflow-wrap: anywhere; }
</style>

<script setup lang="ts">
import { ref } from 'vue'
import { capitalised } from '~~/core/readers/words/numbers'
import { useHook } from '~/composables/useHook'

/** Something to remember, where the hook is; with a marker in the work if one was put there. */
const emit = defineEmits<{ done: [] }>()
const { make } = useHook()
const text = ref('')
const marker = ref(false)
const tried = ref(false)

function keep(): void {
  tried.value = true
  if (text.value.trim() === '') return
  make.note(text.value.trim().slice(0, 2000), marker.value)
  emit('done')
}

function legName(leg: string): string {
  return /^r\d+$/.test(leg) ? capitalised(make.nameOfRound(Number(leg.slice(1)))) : leg === 'start' ? 'The start' : 'A step'
}
</script>

<template>
  <form @submit.prevent="keep">
    <textarea
      v-model="text"
      rows="3"
      maxlength="2000"
      aria-label="Note"
      data-first
    />
    <label><input
      v-model="marker"
      type="checkbox"
    > A marker is in the stitch just made</label>
    <p
      v-if="tried && text.trim() === ''"
      role="alert"
      class="wrong"
    >
      Write something first.
    </p>
    <TouchButton
      submit
      variant="primary"
    >
      Keep the note
    </TouchButton>
  </form>
  <ul v-if="make.state?.notes.length">
    <li
      v-for="note in [...make.state.notes].reverse()"
      :key="note.id"
    >
      <strong v-if="note.where">{{ legName(note.where.leg) }}{{ note.marker ? ', marker' : '' }}: </strong>{{ note.text }}
      <TouchButton
        :aria-label="`Delete: ${note.text}`"
        @click="make.takeBack(note.id)"
      >
        Delete
      </TouchButton>
    </li>
  </ul>
</template>

<style scoped>
textarea {
  width: 100%; padding: 0.6rem; font: inherit; color: inherit; background: var(--paper); border: 1px solid var(--strong-line);
  border-radius: 0.5rem;
}
ul { margin: 1rem 0 0; padding: 0; list-style: none; }
li { border-top: 1px solid var(--line); padding: 0.5rem 0; overflow-wrap: anywhere; }
input[type=checkbox] { width: 1.4rem; height: 1.4rem; }
</style>

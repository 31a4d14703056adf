<script setup lang="ts">
import { useHookSettings } from '~/stores/hookSettings'
import { useSettings } from '~/stores/settings'

/** How a maker is followed: what is heard and felt, which thumb, what light; and what this browser cannot do. */
defineProps<{ hasVoice: boolean, awake: string }>()
const hookSettings = useHookSettings()
const settings = useSettings()
const offline = typeof navigator !== 'undefined' && 'serviceWorker' in navigator
const buzzes = typeof navigator !== 'undefined' && 'vibrate' in navigator
</script>

<template>
  <div class="ways">
    <ChoiceField
      label="Controls lie under the"
      :value="hookSettings.thumb"
      :choices="[{ value: 'left', name: 'left thumb' }, { value: 'right', name: 'right thumb' }]"
      @change="hookSettings.thumb = $event as 'left' | 'right'"
    />
    <ChoiceField
      label="Light"
      :value="settings.light"
      :choices="[{ value: 'machine', name: 'as this machine' }, { value: 'light', name: 'by day' }, { value: 'dark', name: 'by lamp' }]"
      @change="settings.light = $event as 'machine' | 'light' | 'dark'"
    />
    <ChoiceField
      label="Terms"
      :value="settings.terms"
      :choices="[{ value: 'us', name: 'US' }, { value: 'uk', name: 'UK' }]"
      @change="settings.terms = $event as 'us' | 'uk'"
    />
    <label><input
      v-model="hookSettings.voice"
      type="checkbox"
      :disabled="!hasVoice"
    > Say each beat aloud{{ hasVoice ? '' : ' (this browser has no voice)' }}</label>
    <label><input
      v-model="hookSettings.tone"
      type="checkbox"
    > A short tone for what must not be missed</label>
    <label><input
      v-model="hookSettings.buzz"
      type="checkbox"
      :disabled="!buzzes"
    > A buzz for what must not be missed{{ buzzes ? '' : ' (this device does not buzz)' }}</label>
    <label><input
      v-model="hookSettings.asks"
      type="checkbox"
    > Ask for a count and the tape where they pay</label>
    <p class="soft">
      {{ awake === 'cannot' ? 'This browser lets the screen go dark here: set it to stay on yourself, or open the page by https.'
        : 'The screen stays on while this page is looked at.' }}
      {{ offline ? 'The page opens without a network once it was visited.'
        : 'At this address the page cannot be opened while the program is away; what is tapped is kept all the same.' }}
    </p>
    <p class="soft">
      Space, Enter, right arrow or page down: a beat is done. Backspace, left arrow or page up: one back. Foot pedals send these.
    </p>
  </div>
</template>

<style scoped>
.ways { display: flex; flex-direction: column; gap: 0.9rem; }
input[type=checkbox] { width: 1.4rem; height: 1.4rem; flex: none; }
label { flex-wrap: nowrap !important; min-height: 2.4rem; }
p { margin: 0 !important; font-size: 0.95rem; }
</style>

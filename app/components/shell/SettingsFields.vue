<script setup lang="ts">
import type { Handedness } from '~~/core/bag/design/design'
import type { Units } from '~~/core/things/measure/format'
import type { Terms } from '~~/core/things/stitch/dictionary'
import { useSettings } from '~/stores/settings'

/** The three things that every new bag takes over: terms, measures, hand. */
const settings = useSettings()
</script>

<template>
  <ChoiceField
    label="Terms"
    :value="settings.terms"
    :choices="[
      { value: 'us', name: 'US', does: 'sc, hdc, dc' },
      { value: 'uk', name: 'UK', does: 'dc, htr, tr' },
    ]"
    @change="settings.terms = $event as Terms"
  />
  <ChoiceField
    label="New bags are measured in"
    :value="settings.units ?? 'cm'"
    :choices="[
      { value: 'cm', name: 'centimetres', does: 'Metres and grams with them.' },
      { value: 'in', name: 'inches', does: 'Yards, ounces and pounds with them.' },
    ]"
    @change="settings.units = $event as Units"
  />
  <ChoiceField
    label="You hold the hook in the"
    :value="settings.hands ?? 'right'"
    :choices="[
      { value: 'right', name: 'right hand', does: 'New bags are drawn and followed so.' },
      { value: 'left', name: 'left hand', does: 'New bags are drawn and followed so.' },
    ]"
    @change="settings.hands = $event as Handedness"
  />
</template>

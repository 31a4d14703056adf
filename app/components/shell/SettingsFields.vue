<script setup lang="ts">
import type { Handedness } from '~~/core/bag/design/design'
import type { Units } from '~~/core/things/measure/format'
import type { Terms } from '~~/core/things/stitch/dictionary'
import { useSettings } from '~/stores/settings'

/** The three things that every new bag takes over: terms, measures, hand. */
const ways = useSettings()
</script>

<template>
  <ChoiceField
    label="Terms"
    :value="ways.terms"
    :choices="[
      { value: 'us', name: 'US', does: 'sc, hdc, dc' },
      { value: 'uk', name: 'UK', does: 'dc, htr, tr' },
    ]"
    @change="ways.terms = $event as Terms"
  />
  <ChoiceField
    label="New bags are measured in"
    :value="ways.units ?? 'cm'"
    :choices="[
      { value: 'cm', name: 'centimetres', does: 'Metres and grams with them.' },
      { value: 'in', name: 'inches', does: 'Yards, ounces and pounds with them.' },
    ]"
    @change="ways.units = $event as Units"
  />
  <ChoiceField
    label="You hold the hook in the"
    :value="ways.hands ?? 'right'"
    :choices="[
      { value: 'right', name: 'right hand', does: 'New bags are drawn and followed so.' },
      { value: 'left', name: 'left hand', does: 'New bags are drawn and followed so.' },
    ]"
    @change="ways.hands = $event as Handedness"
  />
</template>

<script setup lang="ts">
import { NuxtLink } from '#components'

/**
 * A button for a thumb, or a link that looks like one. `primary` and `secondary` fill their row, `outlined` ones stand side by side,
 * `row` is an entry of a list, `link` stands in a sentence. `--control-height`, set by a parent, is the height of all but the last.
 */
const { variant = 'outlined', submit = false, to } = defineProps<{
  variant?: 'primary' | 'secondary' | 'outlined' | 'row' | 'link'
  /** Submits the form around it. */
  submit?: boolean
  /** The page it links to. */
  to?: string
}>()
</script>

<template>
  <component
    :is="to ? NuxtLink : 'button'"
    v-bind="to ? { to } : { type: submit ? 'submit' : 'button' }"
    :class="['touch', variant]"
  >
    <slot />
  </component>
</template>

<style scoped>
.touch { font: inherit; color: inherit; background: none; cursor: pointer; }
.touch:disabled { opacity: 0.45; cursor: default; }
.primary, .secondary {
  width: var(--control-width, 100%); min-height: calc(var(--control-height) + 0.4rem); padding: 0.5rem 1rem;
  border: 2px solid var(--accent); border-radius: var(--control-radius); font-size: var(--control-text, 1.15rem); font-weight: 600;
}
.primary { margin-top: 0.6rem; background: var(--accent); color: rgb(var(--v-theme-on-primary)); }
.secondary { color: var(--accent); }
.outlined {
  min-width: var(--control-height); min-height: var(--control-height); padding: 0.1rem 0.6rem; border: 1px solid var(--strong-line);
  border-radius: var(--control-radius);
}
.outlined[aria-pressed=true] {
  border-color: var(--accent); box-shadow: inset 0 -3px 0 var(--accent); background: var(--wash); font-weight: 650;
}
.row {
  display: flex; align-items: center; width: 100%; min-height: var(--control-height); border: 0; padding: 0.4rem 0.2rem;
  font-size: 1.08rem; font-weight: 560; text-align: left; text-decoration: none;
}
.row:hover { color: var(--accent); }
.link { border: 0; padding: 0; color: var(--accent); text-decoration: underline; }
</style>

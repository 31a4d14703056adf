<script setup lang="ts">
import { NuxtLink } from '#components'

/**
 * A button for a thumb: `main` is what is done next, as wide as there is room, `quiet` the other thing that could be; `plain` stands
 * beside others, `row` in a list, `text` in a sentence; with an icon its words are in its label. How tall they are is told by `--press`
 * of what they stand in.
 */
const { look = 'plain', sends = false, icon, to } = defineProps<{
  look?: 'main' | 'quiet' | 'plain' | 'row' | 'text'
  /** It sends the form that it stands in. */
  sends?: boolean
  /** The path of an icon, drawn alone. */
  icon?: string
  /** A page that it leads to. */
  to?: string
}>()
</script>

<template>
  <component
    :is="to ? NuxtLink : 'button'"
    v-bind="to ? { to } : { type: sends ? 'submit' : 'button' }"
    :class="['press', icon ? 'icon' : look]"
  >
    <svg
      v-if="icon"
      viewBox="0 0 24 24"
      aria-hidden="true"
    ><path :d="icon" /></svg>
    <slot v-else />
  </component>
</template>

<style scoped>
.press { font: inherit; color: inherit; background: none; cursor: pointer; }
.main, .quiet {
  width: var(--press-width, 100%); min-height: calc(var(--press) + 0.4rem); padding: 0.5rem 1rem; border: 2px solid var(--accent);
  border-radius: var(--round); background: var(--accent); color: rgb(var(--v-theme-on-primary)); font-weight: 600;
  font-size: var(--press-text, 1.15rem);
}
.main { margin-top: 0.6rem; }
.quiet { background: none; color: var(--accent); }
.plain { min-height: var(--press); min-width: var(--press); padding: 0.1rem 0.6rem; border: 1px solid var(--strong-line); border-radius: var(--round); }
.press:disabled { opacity: 0.45; cursor: default; }
.plain[aria-pressed=true] {
  border-color: var(--accent); box-shadow: inset 0 -3px 0 var(--accent); background: var(--wash); font-weight: 650;
}
.row {
  display: flex; align-items: center; width: 100%; min-height: var(--press); border: 0; padding: 0.4rem 0.2rem; font-size: 1.08rem;

  font-weight: 560; text-align: left; text-decoration: none;
}
.row:hover { color: var(--accent); }
.icon { flex: none; width: 44px; height: 44px; display: grid; place-items: center; border: 0; }
.icon svg { width: 26px; height: 26px; fill: currentColor; }
.text { border: 0; padding: 0; color: var(--accent); text-decoration: underline; }
</style>

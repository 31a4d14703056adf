<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { same } from '~~/core/things/measure/same'
import { MOST_REPEATS } from '~~/core/bag/design/documentFields'
import { asksWords } from '~~/core/parts/part/asks'
import type { DraftPart } from '~~/core/bag/draft/draft'
import { foundation } from '~~/core/things/round/edge'
import { freshRepeatId } from '~~/core/bag/design/stacking'
import { firstRepeat, type OwnSpec } from '~~/core/parts/band/own'
import { checkRepeat } from '~~/core/parts/band/checkRepeat'
import { kindOf } from '~~/core/parts/wall/wall'
import { checkRounds, firstRounds } from '~~/core/parts/wall/written'
import { linesIn, typedIn } from '~/reading/ownLines'
import type { Asking } from '~/composables/useAnswers'
import { useDocument } from '~/stores/document'
import { useSettings } from '~/stores/settings'

/** A repeat of the maker's own: typed a line a round, worked as it is typed, kept when it comes out. */
const props = defineProps<{ asking: Asking, part?: DraftPart | undefined, rows?: boolean }>()
const bag = useDocument()
const settings = useSettings()

const repeatId = computed(() => (props.asking.spec as OwnSpec).repeat)
const kept = computed(() => bag.design.repeats.find(({ id }) => id === repeatId.value))
/** Whole rounds on what lies below, rather than a repeat. */
const whole = computed(() => kindOf(props.asking.spec as OwnSpec).tools?.includes('own-round') === true)
const text = ref('')
const read = computed(() => linesIn(text.value, settings.terms))
const checked = computed(() => {
  if (!read.value.ok) return { ok: false as const, trouble: read.value.trouble }
  return whole.value
    ? checkRounds(read.value.lines, props.part?.rounds[0]?.on ?? props.part?.edge ?? foundation('stitch', 1))
    : checkRepeat({ id: repeatId.value, name: '', lines: read.value.lines }, props.rows)
})
/** The result, in words. */
const sound = computed(() => {
  if (!checked.value.ok) return ''
  if ('leaves' in checked.value) return `They come out: ${checked.value.leaves} are left. Kept.`
  const { asks, gives, givesPlus = asks.plus } = checked.value.texture
  const left = gives === asks.multiple && givesPlus === asks.plus ? '' : ` and leaves ${gives}${givesPlus ? ` and ${givesPlus} more` : ''}`
  return `It works: it asks for ${asksWords(asks)}${left}. Kept.`
})
/** Where the trouble is: the line itself, with what cannot be read marked in it. */
const pointed = computed(() => {
  if (checked.value.ok) return undefined
  const { line, at, length, what } = checked.value.trouble
  const whole = text.value.split('\n')[line] ?? ''
  return { line: line + 1, before: whole.slice(0, at), marked: whole.slice(at, at + length) || ' ', after: whole.slice(at + length), what }
})

watch([() => kept.value?.id, () => settings.terms], () => void (text.value = kept.value ? typedIn(kept.value.lines, settings.terms) : ''), {
  immediate: true,
})
// Undo and redo change the kept lines while the text stays: show what is kept then.
watch(
  () => kept.value?.lines,
  (lines) => {
    if (lines && (!read.value.ok || !same(read.value.lines, lines))) text.value = typedIn(lines, settings.terms)
  },
)

/** A line as patterns write them. */
const example = computed(() =>
  settings.terms === 'us' ? 'sc in next 3, sk next st, (dc, ch 2, dc) in next' : 'dc in next 3, miss next st, (tr, ch 2, tr) in next')
/** How what goes around is written. */
const more = computed(() => {
  const around = settings.terms === 'us'
    ? 'sc in next, *dc in next, ch 1, sk next; rep from * around, sc in next'
    : 'dc in next, *tr in next, ch 1, miss next; rep from * around, dc in next'
  return whole.value
    ? `What goes around stands between asterisks: ${around}.`
    : `What stands before the first and after the last repeat goes around it: ${around}. Begin a line with "once:" if it is worked `
      + 'the first time only.'
})

function change(label: string, field: 'lines' | 'name', value: string | readonly string[]): void {
  bag.change(label, [{ path: ['repeats', repeatId.value, field], value }], `repeats.${repeatId.value}.${field}`)
}

function type(typed: string): void {
  text.value = typed
  if (checked.value.ok && read.value.ok) change('Your repeat', 'lines', read.value.lines)
}

function pick(id: string): void {
  props.asking.answer('Another repeat', [{ path: ['repeat'], value: id }])
}

function addAnother(): void {
  const { repeats } = bag.design
  const id = freshRepeatId(bag.design)
  const first = whole.value ? firstRounds(id) : firstRepeat(id)
  bag.change('A new repeat', [{ path: ['repeats'], value: [...repeats, { ...first, name: `${first.name} ${id.slice(4)}` }] }])
  pick(id)
}
</script>

<template>
  <fieldset class="own">
    <legend>{{ whole ? 'The rounds' : 'The repeat' }}</legend>
    <div class="row">
      <PickField
        :label="whole ? 'Your rounds and repeats' : 'Your repeats'"
        :model-value="repeatId"
        :items="bag.design.repeats.map(({ id, name }) => ({ value: id, title: name }))"
        @update:model-value="pick"
      />
      <IconButton
        :icon="mdiPlus"
        variant="outlined"
        :disabled="bag.design.repeats.length >= MOST_REPEATS"
        name="Another repeat"
        @click="addAnother"
      />
    </div>
    <v-text-field
      v-if="kept"
      label="What you call it"
      :model-value="kept.name"
      maxlength="80"
      @update:model-value="(name: string) => name.trim() && change('Name of a repeat', 'name', name)"
    />
    <v-textarea
      :label="whole ? 'Whole rounds, a line each' : 'One repeat, a line a round'"
      :model-value="text"
      rows="3"
      auto-grow
      class="lines"
      spellcheck="false"
      :error="!checked.ok"
      @update:model-value="type"
    />
    <p
      v-if="checked.ok"
      role="status"
      class="sound"
    >
      {{ sound }}
    </p>
    <div
      v-else-if="pointed"
      role="alert"
      class="wrong"
    >
      <p>Line {{ pointed.line }}: {{ pointed.what }}. The last repeat that works is kept until this one does.</p>
      <code>{{ pointed.before }}<mark>{{ pointed.marked }}</mark>{{ pointed.after }}</code>
    </div>
    <p class="soft hint">
      Write as the pattern does: {{ example }}. {{ more }}
    </p>
  </fieldset>
</template>

<style scoped>
.own {
  border: 1px solid var(--line); border-radius: 6px; padding: 0.5rem 0.8rem 0.8rem; margin: 0; display: flex; flex-direction: column;
  gap: 0.7rem; min-width: 0;
}
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0 0.3rem; }
.row { display: flex; gap: 0.5rem; align-items: center; }
.lines :deep(textarea) { font-family: var(--figures); font-size: 0.9rem; line-height: 1.45; }
.sound { margin: 0; font-size: 0.9rem; color: rgb(var(--v-theme-success)); font-weight: 560; }
.wrong p { margin: 0 0 0.3rem; font-size: 0.9rem; color: rgb(var(--v-theme-error)); font-weight: 560; }
code {
  display: block; overflow-x: auto; white-space: pre; font-family: var(--figures); font-size: 0.85rem; padding: 0.3rem 0.4rem;
  background: var(--paper);
}
mark { background: rgb(var(--v-theme-error)); color: var(--sheet); border-radius: 2px; }
.hint { margin: 0; font-size: 0.84rem; line-height: 1.35; }
</style>

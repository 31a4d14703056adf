<script setup lang="ts">
import { mdiArrowUp, mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import { MOST_LINES, ORDER_FIELDS, type OrderLine } from '~~/core/household/plan/order'
import type { KeptBag } from '~~/core/household/plan/keptBags'
import type { Asking } from '~/composables/useAnswers'

/** So many of which bags, and what is asked for one: what stands first is made first. */
const props = defineProps<{ lines: readonly OrderLine[], here: readonly KeptBag[], asking: Asking }>()
const emit = defineEmits<{ change: [lines: readonly OrderLine[]] }>()

const { count, notions, price } = ORDER_FIELDS.bags.of
const bags = computed(() => props.here.map(({ id, name }) => ({ value: id, title: name })))

function set(at: number, changed: Partial<OrderLine>): void {
  emit('change', props.lines.map((line, i) => (i === at ? { ...line, ...changed } : line)))
}

function choose(at: number, id: string): void {
  const found = props.here.find(bag => bag.id === id)
  if (found) set(at, { bag: id, name: found.name })
}

function up(at: number): void {
  emit('change', props.lines.with(at - 1, props.lines[at]!).with(at, props.lines[at - 1]!))
}

function add(): void {
  const next = props.here.find(({ id }) => props.lines.every(({ bag }) => bag !== id))
  if (next) emit('change', [...props.lines, { bag: next.id, name: next.name, count: 1 }])
}
</script>

<template>
  <fieldset>
    <legend>Bags, what stands first is made first</legend>
    <section
      v-for="(line, at) in lines"
      :key="at"
      :aria-label="`${line.name}, ${at + 1}`"
    >
      <PickField
        label="Bag"
        :model-value="line.bag || line.name"
        :items="line.bag ? bags : [{ value: line.name, title: `${line.name} (not here)` }, ...bags]"
        class="wide"
        @update:model-value="choose(at, $event)"
      />
      <AskedFields
        :fields="{ count, notions, price }"
        :asking="asking"
        :at="['bags', at]"
      />
      <span class="doing">
        <IconButton
          :icon="mdiArrowUp"
          :disabled="at === 0"
          :name="`Make ${line.name} earlier`"
          hint="Earlier"
          @click="up(at)"
        />
        <IconButton
          :icon="mdiDeleteOutline"
          :name="`Take ${line.name} out`"
          hint="Take out"
          @click="emit('change', lines.filter((_, i) => i !== at))"
        />
      </span>
    </section>
    <v-btn
      size="small"
      variant="outlined"
      :prepend-icon="mdiPlus"
      :disabled="here.length === 0 || lines.length >= MOST_LINES"
      @click="add"
    >
      Add a bag
    </v-btn>
    <p
      v-if="here.length === 0"
      class="soft"
    >
      There are no bags yet: an order is of bags that you have drafted.
    </p>
  </fieldset>
</template>

<style scoped>
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; display: flex; flex-direction: column; align-items: flex-start; gap: 0.7rem; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.4rem; }
section { display: grid; grid-template-columns: 2.2fr 1fr 1.3fr 1.3fr auto; gap: 0.5rem; width: 100%; align-items: start; }
.doing { white-space: nowrap; padding-top: 0.2rem; }
p { margin: 0; font-size: 0.88rem; }
@media (--tablet) {
  section { grid-template-columns: 1fr 1fr; padding-bottom: 0.6rem; border-bottom: 1px solid var(--line); }
  .wide { grid-column: 1 / -1; }
}
</style>

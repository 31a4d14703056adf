<script setup lang="ts">
import { computed } from 'vue'
import { type PlacedField, rowsOf } from '~~/core/parts/field/placedField'
import type { Fields } from '~~/core/parts/field/field'
import type { Asking } from '~/composables/useAnswers'

/** Questions as their declaration asks them, in its order; what belongs right after one goes into the slot of its name. */
const props = defineProps<{ fields: Fields, asking: Asking, at?: readonly (string | number)[], skip?: readonly string[] }>()
const asks = ({ path }: PlacedField) => [...(props.asking.at ?? []), ...path].join('.')
const rows = computed(() => rowsOf(props.fields, props.asking.spec, props.at, props.skip))
</script>

<template>
  <template
    v-for="row in rows"
    :key="row[0]!.path.join('.')"
  >
    <div
      v-if="row.length === 1"
      class="through"
      :data-asks="asks(row[0]!)"
    >
      <AskedField
        :put="row[0]!"
        :asking="asking"
      />
    </div>
    <div
      v-else
      class="row"
    >
      <div
        v-for="put in row"
        :key="put.path.join('.')"
        class="through"
        :data-asks="asks(put)"
      >
        <AskedField
          :put="put"
          :asking="asking"
        />
      </div>
    </div>
    <slot :name="row[0]!.name" />
  </template>
</template>

<style scoped>
.through { display: contents; }
.row { display: grid; grid-template-columns: repeat(auto-fit, minmax(6.6rem, 1fr)); gap: 0.5rem; align-items: start; }
</style>

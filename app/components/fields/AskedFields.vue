<script setup lang="ts">
import { computed } from 'vue'
import { rowsOf } from '~~/core/field/asking'
import type { Fields } from '~~/core/field/field'
import type { Asking } from '~/composables/useAsking'

/** Questions as their declaration asks them, in its order; what belongs right after one goes into the slot of its name. */
const props = defineProps<{ fields: Fields, asking: Asking, at?: readonly (string | number)[], skip?: readonly string[] }>()
const rows = computed(() => rowsOf(props.fields, props.asking.spec, props.at, props.skip))
</script>

<template>
  <template
    v-for="row in rows"
    :key="row[0]!.path.join('.')"
  >
    <AskedField
      v-if="row.length === 1"
      :put="row[0]!"
      :asking="asking"
    />
    <div
      v-else
      class="row"
    >
      <AskedField
        v-for="put in row"
        :key="put.path.join('.')"
        :put="put"
        :asking="asking"
      />
    </div>
    <slot :name="row[0]!.name" />
  </template>
</template>

<style scoped>
.row { display: grid; grid-template-columns: repeat(auto-fit, minmax(6.6rem, 1fr)); gap: 0.5rem; align-items: start; }
</style>
